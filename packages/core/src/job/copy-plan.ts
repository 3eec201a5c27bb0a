import type { Plan } from '@grey-keel/model';
import { builtStages } from './stages.ts';

/**
 * Another boat's plan to start from. What was measured, entered or printed on the first boat is left out: it says
 * nothing about the second one.
 */
export const copyPlan = (plan: Plan, name: string): Plan =>
  builtStages.reduce((copy, { forAnotherBoat }) => ({ ...copy, ...forAnotherBoat(plan) }), {
    ...plan,
    boat: { ...plan.boat, name },
  });
