import type { Plan } from '@grey-keel/model';
import type { BuiltStage } from '../job/stages.ts';
import { beamsCases } from '../stages/beams/testing/cases.ts';
import { beamFaults } from '../stages/beams/testing/faults.ts';
import { briefCases } from '../stages/brief/testing/cases.ts';
import { briefFaults } from '../stages/brief/testing/faults.ts';
import { calibrateCases } from '../stages/calibrate/testing/cases.ts';
import { offsetFaults } from '../stages/calibrate/testing/offset-faults.ts';
import { sensorFaults } from '../stages/calibrate/testing/sensor-faults.ts';
import { hullFaults } from '../stages/fit/testing/hull-faults.ts';
import { networkFaults } from '../stages/fit/testing/network-faults.ts';
import { placeFaults } from '../stages/fit/testing/place-faults.ts';
import { powerFaults } from '../stages/fit/testing/power-faults.ts';
import { handoverCases } from '../stages/handover/testing/cases.ts';
import { keysCases } from '../stages/keys/testing/cases.ts';
import { pagesCases } from '../stages/pages/testing/cases.ts';
import { alarmFaults } from '../stages/sources/testing/alarm-faults.ts';
import { sourceFaults } from '../stages/sources/testing/source-faults.ts';
import type { RuleCases } from './rule-case.ts';
import { edited, seeded } from './sample-plan.ts';
import { soundBoat, type Fault } from './sound-boat.ts';

/** What the rules of a stage are tried on: plans made by hand, and faults put into boats that have none. */
export interface RuleFixtures {
  readonly cases: RuleCases;
  /** By rule, and what is put in where there are several: each makes its rule speak once. */
  readonly faults: Readonly<Record<string, Fault>>;
}

/** The register of fixtures: a stage without any does not compile. */
export const ruleFixtures: Readonly<Record<BuiltStage, RuleFixtures>> = {
  brief: { cases: briefCases, faults: briefFaults },
  beams: { cases: beamsCases, faults: beamFaults },
  fit: { cases: {}, faults: { ...hullFaults, ...powerFaults, ...networkFaults, ...placeFaults } },
  sources: { cases: {}, faults: { ...sourceFaults, ...alarmFaults } },
  calibrate: { cases: calibrateCases, faults: { ...offsetFaults, ...sensorFaults } },
  pages: { cases: pagesCases, faults: {} },
  keys: { cases: keysCases, faults: {} },
  handover: { cases: handoverCases, faults: {} },
};

const together = <T>(part: (fixtures: RuleFixtures) => Readonly<Record<string, T>>): Readonly<Record<string, T>> =>
  Object.fromEntries(Object.values(ruleFixtures).flatMap((fixtures) => Object.entries(part(fixtures))));

export const ruleCases: RuleCases = together(({ cases }) => cases);
export const ruleFaults = together(({ faults }) => faults);

/** A plan for every fault there is a fixture of, by the rule that has to speak, and what is put in where there are several. */
export const everyFault = (): ReadonlyMap<string, Plan> => {
  const random = seeded(15);
  const sound = soundBoat(random);
  return new Map([
    ...Object.entries(ruleCases).map(([name, { speaks }]) => [name, speaks] as const),
    ...Object.entries(ruleFaults).map(
      ([name, fault]) => [name, edited(sound, ...fault(sound, random).faulty)] as const,
    ),
  ]);
};
