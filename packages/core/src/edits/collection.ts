import type { Plan } from '@grey-keel/model';
import { EditRefused } from './edit-refused.ts';
import { takeAlong } from './holds.ts';

export const has = (record: object, key: string): boolean => Object.prototype.hasOwnProperty.call(record, key);

/** Things of one kind by their ids, to which is added, which are described and removed. */
export interface Collection<T extends object> {
  /** Throws where there is none of that id. */
  readonly get: (plan: Plan, id: string) => T;
  readonly add: (plan: Plan, id: string, value: T) => void;
  readonly describe: (plan: Plan, id: string, changes: { readonly [K in keyof T]?: T[K] | undefined }) => void;
  /** Takes along what hangs on it. */
  readonly remove: (plan: Plan, id: string) => T;
}

/**
 * The one maker of what adds, describes and removes: `path` is where the things stand in the plan, `word` what one is
 * called when it is not there any more, or there already.
 */
export const collection = <T extends object>(
  path: string,
  word: string,
  of: (plan: Plan) => Record<string, T>,
): Collection<T> => {
  const get = (plan: Plan, id: string): T => {
    const record = of(plan);
    const found = has(record, id) ? record[id] : undefined;
    if (!found) throw new EditRefused('gone', `${path}.${id}`, `There is no ${word} "${id}" any more.`);
    return found;
  };
  return {
    get,
    add: (plan, id, value) => {
      const record = of(plan);
      if (has(record, id)) throw new EditRefused('taken', `${path}.${id}`, `There is a ${word} "${id}" already.`);
      record[id] = value;
    },
    describe: (plan, id, changes) => {
      Object.assign(get(plan, id), changes);
    },
    remove: (plan, id) => {
      const removed = get(plan, id);
      delete of(plan)[id];
      takeAlong(plan, path, id);
      return removed;
    },
  };
};

/** Puts a thing under its id, or takes it away for null: what is there or not matters to nobody. */
export const putOrDelete = <T>(record: Partial<Record<string, T>>, id: string, value: T | null): void => {
  if (value === null) delete record[id];
  else record[id] = value;
};
