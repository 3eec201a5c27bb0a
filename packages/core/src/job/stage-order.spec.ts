import { emptyPlan, stageNumber, type Plan } from '@grey-keel/model';
import { aPlan, seeded } from '../testing/sample-plan.ts';
import { everyFault } from '../testing/every-fault.ts';
import { soundBoat } from '../testing/sound-boat.ts';
import { builtStages } from './stages.ts';

/** What each stage waits for that is asked in a later one. */
const waitsForLater = (plan: Plan): string[] =>
  builtStages.flatMap(({ stage, waitsFor }) =>
    waitsFor(plan)
      .filter((toDo) => stageNumber(toDo.stage ?? stage) > stageNumber(stage))
      .map(({ what }) => `${stage}: ${what}`),
  );

describe('the order of the stages', () => {
  it('can be walked: what a stage waits for is asked in it or before it', () => {
    expect(waitsForLater(emptyPlan('Bare'))).toEqual([]);
    expect(waitsForLater(aPlan())).toEqual([]);
    for (const [name, plan] of everyFault()) expect(waitsForLater(plan)).withContext(name).toEqual([]);
    const random = seeded(18);
    for (let i = 0; i < 10; i++) {
      const sound = soundBoat(random);
      // A boat of which any part is still to come.
      for (const part of ['displays', 'transducers', 'stations', 'feeds', 'units', 'pages', 'keys'] as const)
        expect(waitsForLater({ ...sound, [part]: {} }))
          .withContext(part)
          .toEqual([]);
    }
  });
});
