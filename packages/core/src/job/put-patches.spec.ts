import type { Patch } from '@grey-keel/model';
import { NoSuchPlace, putPatches } from '../edits/put-patches.ts';

const start = () => ({ boat: { name: 'A' }, list: [{ at: 1 }, { at: 2 }], fish: {} as Record<string, unknown> });
const put = (...patches: Patch[]) => {
  const draft = start();
  putPatches(draft, patches);
  return draft;
};

describe('patches put into a draft', () => {
  it('add, replace and remove what is the draft\u2019s own, in order', () => {
    expect(put({ op: 'replace', path: ['boat', 'name'], value: 'B' }).boat).toEqual({ name: 'B' });
    expect(put({ op: 'remove', path: ['boat', 'name'] }).boat as object).toEqual({});
    // What is gone already, or was never its own, is as it should be.
    for (const path of [['boat', 'nowhere'], ['toString']]) expect(put({ op: 'remove', path })).toEqual(start());
    const nested: Patch[] = [
      { op: 'add', path: ['fish', 'a'], value: {} },
      { op: 'add', path: ['fish', 'a', 'size'], value: 3 },
    ];
    expect(put(...nested).fish).toEqual({ a: { size: 3 } });
  });

  it('count places of a list as they are: added between, one past the end, removed without a hole', () => {
    const at = (patch: Patch): number[] => put(patch).list.map((one) => one.at);
    expect(at({ op: 'add', path: ['list', 0], value: { at: 9 } })).toEqual([9, 1, 2]);
    expect(at({ op: 'add', path: ['list', 2], value: { at: 9 } })).toEqual([1, 2, 9]);
    expect(at({ op: 'replace', path: ['list', 1], value: { at: 9 } })).toEqual([1, 9]);
    expect(at({ op: 'remove', path: ['list', 0] })).toEqual([2]);
  });

  it('refuse every place that is not there, inherited ones and the length of a list too', () => {
    const places: Patch[] = [
      { op: 'replace', path: ['list', 2], value: {} },
      { op: 'add', path: ['list', 3], value: {} },
      { op: 'remove', path: ['list', 2] },
      { op: 'replace', path: ['list', 'length'], value: 4e9 },
      { op: 'replace', path: ['list', 'length', 'x'], value: 1 },
      { op: 'replace', path: ['nowhere', 'x'], value: 1 },
      { op: 'replace', path: ['toString', 'x'], value: 1 },
      { op: 'replace', path: ['__proto__', 'x'], value: 1 },
      { op: 'replace', path: ['constructor', 'prototype', 'x'], value: 1 },
      { op: 'replace', path: ['boat', 'name', 'x'], value: 1 },
    ];
    for (const patch of places)
      expect(() => put(patch))
        .withContext(patch.path.join('/'))
        .toThrowError(NoSuchPlace);
  });

  it('put in a copy, so that a patch may be put in twice', () => {
    const value = { size: 1 };
    const draft = put({ op: 'add', path: ['fish', 'a'], value });
    (draft.fish['a'] as { size: number }).size = 2;
    expect(value.size).toBe(1);
  });
});
