import type { Edit, Patch, Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { editSamples, samplePlan } from '../testing/edit-samples.ts';
import { aPlan, aTransducer, aWater, edited, pair } from '../testing/sample-plan.ts';
import { alarmsHeld } from '../plan/held-by.ts';
import { calls } from '../testing/set-at.ts';
import { applyEdits, undoing } from './apply-edits.ts';
import { splitPatches, touches, valueAt } from '../edits/rebase.ts';

/** Runs of every kind of edit there is, in any order; what does not fit where it stands is left out. */
const someEdits = fc
  .array(fc.constantFrom(...Object.values(editSamples).map(({ edit }) => edit)), { minLength: 1, maxLength: 12 })
  .map((edits) => {
    let plan = samplePlan();
    return edits.filter((edit) => {
      const result = applyEdits(plan, [edit]);
      if (result.ok) plan = result.plan;
      return result.ok;
    });
  })
  .filter((edits) => edits.length > 0);

const applied = (plan: Plan, edits: readonly Edit[]) => {
  const result = applyEdits(plan, edits);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result;
};

describe('applyEdits', () => {
  it('undoes any run of edits with the inverse it gives, and redoes it again', () => {
    fc.assert(
      fc.property(someEdits, (edits) => {
        const before = samplePlan();
        const there = applied(before, edits);
        expect(before).toEqual(samplePlan());
        const back = undoing(there.inverse);
        if (back.length === 0) return expect(there.plan).toEqual(before);
        const undone = applied(there.plan, back);
        expect(undone.plan).toEqual(before);
        expect(applied(undone.plan, undoing(undone.inverse)).plan).toEqual(there.plan);
      }),
    );
  });

  it('says the same whether edits come one by one or together', () => {
    fc.assert(
      fc.property(someEdits, (edits) => {
        const together = applied(samplePlan(), edits).plan;
        expect(edits.reduce((plan, edit) => applied(plan, [edit]).plan, samplePlan())).toEqual(together);
      }),
    );
  });

  it('tells in its patches every place that changed', () => {
    fc.assert(
      fc.property(someEdits, (edits) => {
        const { plan, patches } = applied(samplePlan(), edits);
        const same = applied(
          samplePlan(),
          patches.length ? [{ type: 'restore', patches: [...patches] }] : [{ type: 'workAtDepth', depthM: 32 }],
        );
        expect(same.plan).toEqual(plan);
      }),
    );
  });

  it('takes the first water described as the working one, and another when that is removed', () => {
    const bare = edited(aPlan(), { type: 'removeWater', id: 'pool' });
    expect(bare.working.waterId).toBeNull();
    const two = edited(
      bare,
      { type: 'addWater', id: 'b', water: aWater() },
      { type: 'addWater', id: 'a', water: aWater() },
    );
    expect(two.working.waterId).toBe('b');
    expect(edited(two, { type: 'removeWater', id: 'b' }).working.waterId).toBe('a');
  });

  it('takes a transducer off with its readings', () => {
    const plan = edited(aPlan(), { type: 'removeTransducer', id: 'a-wide' });
    expect(plan.transducers['a-wide']).toBeUndefined();
    expect(plan.depthOffsets['a-wide']).toBeUndefined();
  });

  it('refuses, as a whole and by name, what speaks of things that are not there or are there already', () => {
    const wrong: Edit[] = [
      { type: 'describeWater', id: 'nowhere', changes: {} },
      { type: 'addWater', id: 'pool', water: aWater() },
      { type: 'workIn', waterId: 'nowhere' },
      { type: 'removeStation', id: 'nowhere' },
      { type: 'placeTransducer', id: 'a-wide', transducer: aTransducer() },
      { type: 'describeDepthOffset', transducerId: 'nowhere', changes: {} },
      { type: 'recordReading', transducerId: 'a-wide', readingId: 'r1', reading: pair(1, 1) },
      { type: 'correctReading', transducerId: 'a-wide', readingId: 'r99', changes: {} },
      { type: 'restore', patches: [{ op: 'replace', path: ['waters', 'nowhere', 'name'], value: 'x' }] },
      { type: 'describeWater', id: 'constructor', changes: {} },
    ];
    for (const edit of wrong) {
      const result = applyEdits(aPlan(), [{ type: 'workAtDepth', depthM: 9 }, edit]);
      expect(result.ok).withContext(edit.type).toBeFalse();
      if (!result.ok)
        expect(result.errors[0]?.message)
          .withContext(edit.type)
          .toMatch(/There is|no longer there/);
    }
  });

  it('refuses a part that no plan has, and a plan without one of its parts', () => {
    const restore = (op: 'add' | 'remove', path: string[]): unknown =>
      applyEdits(aPlan(), [{ type: 'restore', patches: [{ op, path, ...(op === 'add' ? { value: {} } : {}) }] }]);
    for (const [op, part] of [
      ['add', 'yacht'],
      ['remove', 'boat'],
    ] as const)
      expect(restore(op, [part]))
        .withContext(part)
        .toEqual(jasmine.objectContaining({ ok: false, code: 'schema' }));
    // Added and removed again, and never there but by inheritance: nothing is left of either.
    for (const name of ['yacht', 'toString']) {
      const path = [name];
      const patches: Patch[] = [
        { op: 'add', path, value: 1 },
        { op: 'remove', path },
      ];
      expect(applyEdits(aPlan(), [{ type: 'restore', patches }])).toEqual(
        jasmine.objectContaining({ ok: true, plan: aPlan() }),
      );
    }
  });

  it('refuses what the schema does not allow and names the field and its range', () => {
    const result = applyEdits(aPlan(), [
      { type: 'restore', patches: [{ op: 'replace', path: ['boat', 'draughtM'], value: -3 }] },
    ]);
    expect(result).toEqual({
      ok: false,
      code: 'schema',
      errors: [jasmine.objectContaining({ field: 'boat.draughtM' })],
    });
    if (!result.ok) expect(result.errors[0]?.range).toContain('0.05 to 10');
  });
});

describe('splitPatches', () => {
  const mine = applied(aPlan(), [
    { type: 'describeBoat', changes: { lengthM: 9, name: 'Mine' } },
    { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.3 } },
  ]);

  it('keeps what the other did not touch and shows what both did, with both values', () => {
    const theirs = applied(aPlan(), [{ type: 'describeBoat', changes: { name: 'Theirs' } }]);
    const { clear, conflicting, conflicts } = splitPatches(
      mine.patches,
      theirs.patches.map(({ path }) => path),
      theirs.plan,
    );
    expect(clear.map(({ path }) => path.join('.'))).toEqual(['boat.lengthM', 'transducers.a-wide.aboveKeelM']);
    expect(conflicting.length).toBe(1);
    expect(conflicts).toEqual([{ path: ['boat', 'name'], mine: 'Mine', theirs: 'Theirs' }]);
  });

  it('meets a change inside what the other took away', () => {
    const theirs = applied(aPlan(), [{ type: 'removeTransducer', id: 'a-wide' }]);
    const paths = theirs.patches.map(({ path }) => path);
    expect(touches(mine.patches, paths)).toBeTrue();
    expect(splitPatches(mine.patches, paths, theirs.plan).conflicts).toEqual([
      { path: ['transducers', 'a-wide', 'aboveKeelM'], mine: 0.3, theirs: undefined },
    ]);
    expect(valueAt(theirs.plan, ['transducers', 'a-wide', 'name'])).toBeUndefined();
  });

  it('is no conflict when both want the same', () => {
    const { conflicting, conflicts } = splitPatches(
      mine.patches,
      mine.patches.map(({ path }) => path),
      mine.plan,
    );
    expect(conflicting.length).toBe(3);
    expect(conflicts).toEqual([]);
  });

  it('rebases edits on disjoint paths to the same plan in either order', () => {
    const theirs: Edit[] = [{ type: 'describeWater', id: 'pool', changes: { clarity: 'turbid' } }];
    const ours: Edit[] = [{ type: 'describeBoat', changes: { beamM: 2.2 } }];
    expect(applied(applied(aPlan(), theirs).plan, ours).plan).toEqual(
      applied(applied(aPlan(), ours).plan, theirs).plan,
    );
  });

  it('sets one alarm of a display and leaves its others as they are', () => {
    const plan = edited(aPlan(), ...calls('helm', { shallowM: 2, lowVoltageV: 11 }));
    const off = edited(plan, ...calls('helm', { shallowM: null }));
    expect(alarmsHeld(off, 'helm')).toEqual({ shallowM: null, lowVoltageV: 11 });
    const third = applyEdits(plan, calls('helm', { shallowM: 3 }));
    expect(third.ok && third.patches.map(({ path }) => path.slice(0, 4))).toEqual([
      ['held', 'helm', 'shallow-alarm', 'helm'],
    ]);
  });
});
