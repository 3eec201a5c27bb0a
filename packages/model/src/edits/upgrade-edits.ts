import { planVersion } from '../plan/plan.ts';
import { editToHeld } from './upgrade-edits-to-held.ts';

type Raw = Readonly<Record<string, unknown>>;

/**
 * Brings an edit of one version to those of the next that do the same: plain JSON, since its schema is gone by then. Null
 * where there is no like any more.
 */
export type EditUpgrade = (edit: Raw) => readonly Raw[] | null;

const isObject = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const overSeveral = (sought: unknown): unknown =>
  isObject(sought) && typeof sought['over'] === 'string' ? { ...sought, over: [sought['over']] } : sought;

/** What a patch puts under `sought`, with the grounds as a list. */
const patchOverSeveral = (patch: unknown): unknown => {
  if (!isObject(patch) || !Array.isArray(patch['path']) || patch['value'] === undefined) return patch;
  const { path, value } = patch as { path: readonly unknown[]; value?: unknown };
  if (path[0] !== 'sought') return patch;
  if (path.length === 3 && path[2] === 'over' && typeof value === 'string') return { ...patch, value: [value] };
  if (path.length === 2) return { ...patch, value: overSeveral(value) };
  if (path.length === 1 && isObject(value))
    return { ...patch, value: Object.fromEntries(Object.entries(value).map(([id, one]) => [id, overSeveral(one)])) };
  return patch;
};

/** By the version they start from; where none stands, an edit of that version is one of the next. */
export const editUpgrades: Readonly<Record<number, EditUpgrade>> = {
  // A species may stand over several grounds.
  10: (edit) => {
    switch (edit['type']) {
      case 'addSought':
        return [{ ...edit, sought: overSeveral(edit['sought']) }];
      case 'describeSought':
        return [{ ...edit, changes: overSeveral(edit['changes']) }];
      case 'restore':
        return [Array.isArray(edit['patches']) ? { ...edit, patches: edit['patches'].map(patchOverSeveral) } : edit];
      default:
        return [edit];
    }
  },
  // What devices hold, in one register.
  12: editToHeld,
};

/**
 * Brings edits that were written for plan version `from` up to `target`, as plain JSON; null where one of them has no like
 * any more. What is no list of edits is given back as it is, for the schema to refuse.
 */
export const upgradeEdits = (
  raw: unknown,
  from: number,
  steps: Readonly<Record<number, EditUpgrade>> = editUpgrades,
  target: number = planVersion,
): unknown => {
  if (!Array.isArray(raw)) return raw;
  let edits = raw as readonly unknown[];
  for (let version = from; version < target; version++) {
    const step = steps[version];
    if (!step) continue;
    const next: unknown[] = [];
    for (const edit of edits) {
      const now = isObject(edit) ? step(edit) : null;
      if (now === null) return null;
      next.push(...now);
    }
    edits = next;
  }
  return edits;
};
