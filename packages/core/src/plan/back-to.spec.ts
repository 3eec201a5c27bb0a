import { emptyPlan, type Plan } from '@grey-keel/model';
import { copyPlan } from '../job/copy-plan.ts';
import { edited } from '../testing/sample-plan.ts';
import { editSamples, samplePlan } from '../testing/edit-samples.ts';
import { backTo } from './back-to.ts';

const point = { name: 'Before the haul-out', number: 7, at: '2026-05-01T10:00:00Z' };
const back = (now: Plan, then: Plan): Plan => {
  const edit = backTo(now, then);
  return edit ? edited(now, edit) : now;
};

describe('going back to a named state', () => {
  it('undoes whatever was done since, of every kind of edit, and is nothing where nothing was', () => {
    const then = samplePlan();
    for (const { edit } of Object.values(editSamples)) {
      if (edit.type === 'putRestorePoint') continue;
      expect(back(edited(then, edit), then))
        .withContext(edit.type)
        .toEqual(then);
    }
    expect(backTo(then, then)).toBeNull();
  });

  it('keeps the states named since, and takes away what had no place then', () => {
    const { assumed, ...then } = samplePlan();
    expect(assumed).toBeDefined();
    const now = edited(samplePlan(), { type: 'putRestorePoint', id: 'p1', point });
    const gone = back(now, then);
    expect(gone.restorePoints).toEqual({ ...now.restorePoints });
    expect(gone.assumed).toBeUndefined();
    expect(edited(gone, { type: 'putRestorePoint', id: 'p1', point: null }).restorePoints).not.toEqual(
      jasmine.objectContaining({ p1: point }),
    );
  });

  it('is of one boat: a copy of it has no named states', () => {
    const named = edited(emptyPlan('Gull'), { type: 'putRestorePoint', id: 'p1', point });
    expect(named.restorePoints).toEqual({ p1: point });
    expect('restorePoints' in copyPlan(named, 'Tern')).toBeFalse();
  });
});
