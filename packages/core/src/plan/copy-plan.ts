import type { Plan } from '@grey-keel/model';

/**
 * Another boat's plan to start from. What was measured, entered or printed on the first boat is left out: it says
 * nothing about the second one, and a depth offset taken over by mistake grounds her.
 */
export const copyPlan = (plan: Plan, name: string): Plan => ({
  ...plan,
  boat: { ...plan.boat, name },
  depthOffsets: {},
  cards: {},
  // Tags are read and settings looked at on each boat anew.
  sources: Object.fromEntries(
    Object.entries(plan.sources).map(([id, source]) => [id, { ...source, tag: '', selected: '' }]),
  ),
  units: {},
});
