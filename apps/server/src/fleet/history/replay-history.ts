import { putPatches } from '@grey-keel/core';
import { planVersion, upgradeEdits, upgradePlan, upgrades, type Patch, type Upgrade } from '@grey-keel/model';

/** A revision as far as a plan is made from it, as plain JSON. */
export interface StoredStep {
  readonly number: number;
  /** The plan version it was written in; 0 where that was not stored yet. */
  readonly planVersion: number;
  readonly edits: unknown;
  /** What it changed, in the shape of that version; null where that was not stored yet. */
  readonly patches: unknown;
}

/** Revisions from before their version was stored are of this one, or older. */
export const lastWithoutPatches = 12;

/** The plan version a revision was written in, as far as it is known. */
export const writtenIn = ({ planVersion: version }: Pick<StoredStep, 'planVersion'>): number =>
  version || lastWithoutPatches;

/** A revision's edits in the words of `target`, as plain JSON: where its version was not stored, old shapes are told from new ones. */
export const editsFor = (
  { planVersion: version, edits }: Pick<StoredStep, 'planVersion' | 'edits'>,
  target: number = planVersion,
): unknown => upgradeEdits(edits, version || 1, undefined, target);

/**
 * A plan as it was after some revisions, in the shape of the last of them. Each is put on the plan in the shape it was
 * written for: patches as they are, which needs no code of that time, and edits without patches by the appliers of version
 * 12, which are kept as they were. Throws for a revision that does not apply.
 */
export const replayHistory = async (
  start: unknown,
  steps: readonly StoredStep[],
  planUpgrades: Readonly<Record<number, Upgrade>> = upgrades,
): Promise<unknown> => {
  let plan: unknown = structuredClone(start);
  for (const step of steps) {
    plan = upgradePlan(plan, planUpgrades, writtenIn(step));
    if (step.patches !== null) putPatches(plan as object, step.patches as Patch[]);
    else {
      const { replay } = await import('./replay-12.mjs');
      plan = replay(plan, editsFor(step, lastWithoutPatches));
    }
  }
  return plan;
};
