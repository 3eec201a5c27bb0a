import { emptyPlan, type Edit } from '@grey-keel/model';
import { editSamples, samplePlan } from '../testing/edit-samples.ts';
import { applyEdits, undoing } from './apply-edits.ts';
import { allEditRows } from './edit-rows.ts';

const codeOf = (edit: Edit, ...before: Edit[]): string | null => {
  const result = applyEdits(before.length ? samplePlan() : emptyPlan('Bare'), [...before, edit]);
  return result.ok ? null : result.code;
};

describe('every kind of edit', () => {
  for (const [kind, { edit, refusedFor }] of Object.entries(editSamples)) {
    it(`is taken, changes something and is undone and redone: ${kind}`, () => {
      const before = samplePlan();
      expect(allEditRows[edit.type].schema.safeParse(edit).error).toBeUndefined();
      const there = applyEdits(before, [edit]);
      if (!there.ok) return fail(JSON.stringify(there.errors));
      expect(before).toEqual(samplePlan());
      const back = applyEdits(there.plan, undoing(there.inverse));
      expect(there.patches.length).toBeGreaterThan(0);
      if (!back.ok) return fail(JSON.stringify(back.errors));
      expect(back.plan).toEqual(before);
      const again = applyEdits(back.plan, undoing(back.inverse));
      expect(again.ok && again.plan).toEqual(there.plan);
    });

    it(`is refused by a code for what is not there, or there already, and for nothing else: ${kind}`, () => {
      if (refusedFor === 'taken') expect(codeOf(edit, edit)).toBe('taken');
      else if (kind === 'restore') expect(codeOf(edit)).toBe('nothing to restore');
      else expect(codeOf(edit)).toBe(refusedFor);
    });
  }

  it('is refused where it would hang something on what is not there', () => {
    const remove: Edit = { type: 'removeBattery', id: 'house' };
    expect(codeOf({ type: 'describeCircuit', id: 'helm', changes: { batteryId: 'house' } }, remove)).toBe(
      'hangs on nothing',
    );
    expect(codeOf(editSamples.addCircuit.edit, remove)).toBe('hangs on nothing');
  });
});
