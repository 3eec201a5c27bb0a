import type { Patch, Path, Plan } from '@grey-keel/model';

/** Whether two places in a plan are the same or one holds the other. */
export const overlaps = (a: Path, b: Path): boolean => {
  const shorter = Math.min(a.length, b.length);
  for (let i = 0; i < shorter; i++) if (String(a[i]) !== String(b[i])) return false;
  return true;
};

export const touches = (patches: readonly Patch[], paths: readonly Path[]): boolean =>
  patches.some(({ path }) => paths.some((other) => overlaps(path, other)));

/** What stands at a place in a plan, or undefined. */
export const valueAt = (plan: Plan, path: Path): unknown =>
  path.reduce<unknown>(
    (at, key) =>
      typeof at === 'object' && at !== null && Object.prototype.hasOwnProperty.call(at, key)
        ? (at as Record<string | number, unknown>)[key]
        : undefined,
    plan,
  );

/** One place that both have changed, with what each wants there. */
export interface Conflict {
  readonly path: Path;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Splits one's own patches into those that meet the other's changes and those that do not. */
export const splitPatches = (
  mine: readonly Patch[],
  theirPaths: readonly Path[],
  theirPlan: Plan,
): { clear: Patch[]; conflicting: Patch[]; conflicts: Conflict[] } => {
  const meets = (patch: Patch): boolean => theirPaths.some((path) => overlaps(patch.path, path));
  const conflicting = mine.filter(meets);
  const latest = new Map(conflicting.map((patch) => [patch.path.join('/'), patch]));
  return {
    clear: mine.filter((patch) => !meets(patch)),
    conflicting,
    conflicts: [...latest.values()]
      .map((patch) => ({ path: patch.path, mine: patch.value, theirs: valueAt(theirPlan, patch.path) }))
      .filter(({ mine: own, theirs }) => JSON.stringify(own) !== JSON.stringify(theirs)),
  };
};
