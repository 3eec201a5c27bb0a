import type { Circuit, Plan } from '@grey-keel/model';
import type { Found, Rule } from '../../../findings/rule.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { circuitStanding, type CircuitStanding } from '../../../power/circuit-standing.ts';

interface OnBattery {
  readonly id: string;
  readonly circuit: Circuit;
  readonly standing: CircuitStanding;
}

/** What a rule finds at each circuit that a battery feeds, in the order of the plan. */
export const eachCircuit =
  (find: (it: OnBattery, plan: Plan) => readonly Found[]): Rule['find'] =>
  (plan) =>
    inOrder(plan.power.circuits).flatMap(([id, circuit]) => {
      const standing = circuitStanding(plan, circuit);
      return standing ? find({ id, circuit, standing }, plan) : [];
    });
