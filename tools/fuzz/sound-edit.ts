import { applyEdits } from '@grey-keel/core';
import { editSchemas, type Edit, type EditKind, type Plan } from '@grey-keel/model';
import { valueFrom } from '../../packages/core/src/testing/extreme-plans.ts';

type Random = () => number;

/** The ids of everything in a plan, however deep. */
const idsIn = (value: unknown): string[] =>
  typeof value !== 'object' || value === null
    ? []
    : Object.entries(value).flatMap(([key, inner]) => [
        ...(typeof inner === 'object' && !Array.isArray(value) ? [key] : []),
        ...idsIn(inner),
      ]);

/** What an edit names by its id, taken from what the plan has. */
const naming = (value: unknown, ids: readonly string[], random: Random): unknown => {
  if (Array.isArray(value)) return value.map((inner) => naming(inner, ids, random));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [
      key,
      /^(id|.*Id)$/.test(key) && typeof inner === 'string' && random() < 0.8
        ? ids[Math.floor(random() * ids.length)]
        : naming(inner, ids, random),
    ]),
  );
};

const mostTries = 60;

/** An edit of some kind that a plan takes, at the bounds of its schema as often as not; null where none was found. */
export const soundEdit = (plan: Plan, random: Random): Edit | null => {
  const kinds = Object.keys(editSchemas).filter((kind) => kind !== 'restore') as EditKind[];
  const kind = kinds[Math.floor(random() * kinds.length)] ?? 'describeBoat';
  const ids = idsIn(plan);
  for (let i = 0; i < mostTries; i++) {
    const edit = editSchemas[kind].safeParse(naming(valueFrom(editSchemas[kind], random), ids, random));
    if (edit.success && applyEdits(plan, [edit.data]).ok) return edit.data;
  }
  return null;
};
