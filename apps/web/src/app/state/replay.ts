import { applyEdits } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Stuck, Unsent } from './plan.state.ts';

/** The newest revision of the plan that edits are put on. */
export interface Base {
  readonly number: number;
  readonly revisionId: string | null;
}

export interface Replayed {
  readonly plan: Plan;
  /** Those that apply, each building on the base. */
  readonly unsent: Unsent[];
  /** Those that do not any more, with the reason; they hold up none of the others. */
  readonly stuck: Stuck[];
}

/** Puts unsent edits on top of a plan, one after the other. */
export const replay = (kept: Plan, unsent: readonly Unsent[], base: Base): Replayed => {
  let plan = kept;
  const again: Unsent[] = [];
  const stuck: Stuck[] = [];
  for (const entry of unsent) {
    const applied = applyEdits(plan, entry.edits);
    if (!applied.ok) {
      stuck.push({ ...entry, reason: applied.errors[0]?.message ?? 'It no longer applies.' });
      continue;
    }
    plan = applied.plan;
    again.push({ ...entry, patches: [...applied.patches], base: base.number, baseId: base.revisionId });
  }
  return { plan, unsent: again, stuck };
};
