import type { Patch, Path } from '@grey-keel/model';
import { aboveLeaf } from './by-leaf.ts';

/** A patch that speaks of a place which is not there. */
export class NoSuchPlace extends Error {
  override readonly name = 'NoSuchPlace';
  constructor(readonly path: Path) {
    super(`There is no ${path.join(' / ')} any more.`);
  }
}

type Holder = Record<string, unknown> | unknown[];

const isHolder = (value: unknown): value is Holder => typeof value === 'object' && value !== null;

const has = (holder: object, key: string | number): boolean => Object.prototype.hasOwnProperty.call(holder, key);

/** What a holder has under a key of its own, never what it inherits. */
const owned = (holder: Holder, key: string | number): unknown => {
  if (Array.isArray(holder)) return typeof key === 'number' ? holder[key] : undefined;
  return has(holder, key) ? holder[String(key)] : undefined;
};

const inList = (list: unknown[], key: string | number, { op, path, value }: Patch): void => {
  const most = op === 'add' ? list.length : list.length - 1;
  if (typeof key !== 'number' || key > most) throw new NoSuchPlace(path);
  if (op === 'remove') list.splice(key, 1);
  else list.splice(key, op === 'add' ? 0 : 1, value);
};

/**
 * Puts patches into a draft, in order. Only what a plan holds itself is walked and changed: own keys of objects, places
 * of lists that are there, and one past the end for what is added.
 * Throws NoSuchPlace for a patch that leads anywhere else.
 */
export const putPatches = (draft: object, patches: readonly Patch[]): void => {
  for (const patch of patches) {
    let at: unknown = draft;
    for (const [depth, key] of patch.path.slice(0, -1).entries()) {
      if (!isHolder(at)) throw new NoSuchPlace(patch.path);
      // A line of a register brings the records it stands in.
      if (patch.op !== 'remove' && !Array.isArray(at) && !has(at, key) && aboveLeaf(patch.path.slice(0, depth + 1)))
        at[String(key)] = {};
      at = owned(at, key);
    }
    const key = patch.path[patch.path.length - 1];
    if (!isHolder(at) || key === undefined) throw new NoSuchPlace(patch.path);
    // What is put in is a copy: the same patch may be put in more than once.
    const put: Patch = {
      ...patch,
      ...('value' in patch ? { value: JSON.parse(JSON.stringify(patch.value)) as NonNullable<Patch['value']> } : {}),
    };
    if (Array.isArray(at)) inList(at, key, put);
    else if (patch.op !== 'remove') at[key] = put.value;
    else if (has(at, key)) delete at[key];
  }
};
