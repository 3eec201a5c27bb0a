import type { Plan } from '@grey-keel/model';
import { depthFaults } from './depth-faults.ts';
import { fitFaults } from './fit-faults.ts';
import { placeFaults } from './place-faults.ts';
import { ruleCases } from './rule-cases.ts';
import { edited, seeded } from './sample-plan.ts';
import { soundBoat } from './sound-boat.ts';

/** A plan for every fault there is a fixture of, by the rule that has to speak, and what is put in where there are several. */
export const everyFault = (): ReadonlyMap<string, Plan> => {
  const random = seeded(15);
  const sound = soundBoat(random);
  const put = Object.entries({ ...fitFaults, ...depthFaults, ...placeFaults });
  return new Map([
    ...Object.entries(ruleCases).map(([name, { speaks }]) => [name, speaks] as const),
    ...put.map(([name, fault]) => [name, edited(sound, ...fault(sound, random).faulty)] as const),
  ]);
};
