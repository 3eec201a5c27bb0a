import type { Edit, Plan } from '@grey-keel/model';
import { boat } from '../../../testing/fault-edits.ts';
import { between, type Fault } from '../../../testing/sound-boat.ts';

const water = (changes: Partial<Plan['waters'][string]>): Edit => ({ type: 'describeWater', id: 'pool', changes });

/** Values that cannot be, by the rule that has to speak, once, and what is put in. */
export const briefFaults: Readonly<Record<string, Fault>> = {
  'too-shallow: shallowest under the draught': (_, random) => {
    const needsM = between(random, 0.9, 1.4);
    const full: Edit = { type: 'putLoading', id: 'full', loading: { name: 'full', draughtM: needsM } };
    return {
      faulty: [full, water({ shallowestM: needsM - 0.01 })],
      nearly: [full, water({ shallowestM: needsM + 0.01 })],
    };
  },
  'order-of-values: working deeper than the water': () => ({
    faulty: [water({ usualDeepestM: 50, greatestM: 70 }), { type: 'workAtDepth', depthM: 71 }],
    nearly: [water({ usualDeepestM: 50, greatestM: 70 }), { type: 'workAtDepth', depthM: 70 }],
  }),
  'order-of-values: fish deeper than the water': () => {
    const char = (deepestM: number): Edit => ({ type: 'describeSought', id: 'char', changes: { deepestM } });
    return { faulty: [char(141)], nearly: [char(140)] };
  },
  'order-of-values: wider than long': (plan) => ({
    faulty: [boat({ beamM: plan.boat.lengthM! + 0.1 })],
    nearly: [boat({ beamM: plan.boat.lengthM! })],
  }),
};
