import type { Plan } from '@grey-keel/model';
import { depthOffsetOf } from './depth-offset-subject.ts';

/**
 * The offset the display holds now: what was entered, until another was set in it while new readings were taken. The
 * entry remembers what was set when it was worked out.
 */
export const heldOffsetM = (plan: Plan, id: string): number => {
  const { entered, offsetSetM } = depthOffsetOf(plan, id);
  if (!entered) return offsetSetM;
  const then = (entered.inputs as { offsetSetM?: unknown } | null)?.offsetSetM;
  return typeof then === 'number' && Math.abs(then - offsetSetM) > 1e-6 ? offsetSetM : entered.offsetM;
};
