import { applyEdits, overlaps, splitPatches, undoing } from '@grey-keel/core';
import type { Edit, Patch, Path, Plan } from '@grey-keel/model';
import type { OpenConflict } from './plan.state.ts';

/** Holds every place of a plan: what is said to be touched by a history that cannot be followed. */
export const everywhere: Path = [];

/** The patches that a plan takes, each by itself, and what comes of them. One that has no place any more is left out. */
export const whatFits = (plan: Plan, patches: readonly Patch[]): { plan: Plan; edits: Edit[]; left: Patch[] } => {
  const whole = patches.length ? applyEdits(plan, undoing(patches)) : null;
  if (whole?.ok) return { plan: whole.plan, edits: undoing(patches), left: [] };
  let now = plan;
  const edits: Edit[] = [];
  const left: Patch[] = [];
  for (const patch of patches) {
    const applied = applyEdits(now, undoing([patch]));
    if (applied.ok) {
      now = applied.plan;
      edits.push(...undoing([patch]));
    } else left.push(patch);
  }
  return { plan: now, edits, left };
};

/**
 * What has to be asked where changes made here meet changes made elsewhere, and the plan to show meanwhile. Where both came
 * to the same values there is nothing to ask: what met is let go, and the rest is sent as one, since the steps that led
 * there would pass over what stands.
 */
export const openConflict = (
  kept: Plan,
  { mine, paths, replaces }: Pick<OpenConflict, 'mine' | 'paths' | 'replaces'>,
): { plan: Plan; conflict: OpenConflict } => {
  const { clear, conflicting, conflicts } = splitPatches(mine, paths, kept);
  return { plan: whatFits(kept, clear).plan, conflict: { mine, paths, replaces, clear, conflicting, conflicts } };
};

/** The patches that stand after a choice: what met nothing, and of the rest what was chosen, in the order they were made. */
export const chosenPatches = ({ mine, conflicting }: OpenConflict, chosen: readonly Path[]): Patch[] =>
  mine.filter((patch) => !conflicting.includes(patch) || chosen.some((own) => overlaps(own, patch.path)));
