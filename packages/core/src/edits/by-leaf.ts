import type { Patch, Path, Plan } from '@grey-keel/model';
import { valueAt } from './rebase.ts';

/** Registers whose records are made as they are needed, and how deep their lines lie. */
const leafDepth: Readonly<Record<string, number>> = { held: 4, resets: 3, chosen: 5 };

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a path leads to a record of a register, above its lines. */
export const aboveLeaf = (path: Path): boolean => path.length < (leafDepth[String(path[0])] ?? 0);

const leaves = (path: Path, value: unknown): { readonly path: Path; readonly value: unknown }[] =>
  aboveLeaf(path) && isRecord(value)
    ? Object.entries(value).flatMap(([key, inner]) => leaves([...path, key], inner))
    : [{ path, value }];

/**
 * What an edit changed, with the records that had to be made for it taken apart into their lines: so two people who write
 * the first two lines of one device do not meet.
 */
export const forwardByLeaf = (patches: readonly Patch[]): Patch[] =>
  patches.flatMap((patch) =>
    patch.op === 'add' && aboveLeaf(patch.path)
      ? leaves(patch.path, patch.value).map(({ path, value }) => ({
          op: 'add' as const,
          path: [...path],
          value: value as NonNullable<Patch['value']>,
        }))
      : [patch],
  );

/** The way back from that: the lines go, what was made for them may stay. `after` is the plan with them. */
export const backByLeaf = (patches: readonly Patch[], after: Plan): Patch[] =>
  patches.flatMap((patch) =>
    patch.op === 'remove' && aboveLeaf(patch.path)
      ? leaves(patch.path, valueAt(after, patch.path)).map(({ path }) => ({ op: 'remove' as const, path: [...path] }))
      : [patch],
  );

/** Takes away in a draft what holds nothing any more under a part of a register, from the ground up. */
export const pruneEmpty = (draft: Plan, path: Path): void => {
  const holder = valueAt(draft, path.slice(0, -1)) as Record<string, unknown> | undefined;
  const key = String(path.at(-1));
  const inner = holder?.[key];
  if (!holder || !isRecord(inner)) return;
  if (aboveLeaf([...path, ''])) for (const of of Object.keys(inner)) pruneEmpty(draft, [...path, of]);
  if (Object.keys(inner).length === 0) delete holder[key];
};

/** Every device of every register. */
export const pruneAll = (draft: Plan): void => {
  for (const place of [['held'], ['resets'], ['chosen', 'devices']])
    for (const id of Object.keys(valueAt(draft, place) as object)) pruneEmpty(draft, [...place, id]);
};
