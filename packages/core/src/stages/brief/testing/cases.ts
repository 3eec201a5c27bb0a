import type { RuleCases } from '../../../testing/rule-case.ts';
import { aPlan, edited } from '../../../testing/sample-plan.ts';

const plan = aPlan();

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const briefCases: RuleCases = {
  'brief-missing': {
    speaks: edited(plan, { type: 'describeBoat', changes: { draughtM: null } }),
    silent: plan,
    value: 1,
  },
  'assumed-values': {
    speaks: { ...plan, assumed: { 'boat/beamM': true, ways: true } },
    silent: plan,
    value: 2,
  },
  'salinity-kind': {
    speaks: edited(plan, { type: 'describeWater', id: 'pool', changes: { salinityPpt: 18 } }),
    silent: plan,
    value: 18,
  },
  'order-of-values': {
    speaks: edited(plan, { type: 'describeBoat', changes: { cruiseSpeedMps: 20 } }),
    silent: plan,
    value: 3,
  },
};
