import type { Edit, Plan } from '@grey-keel/model';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { equipment } from '../testing/sound-boat.ts';
import { applyEdits } from './apply-edits.ts';
import { copyPlan } from './copy-plan.ts';

describe('readings of the simulated boat', () => {
  const from = { source: 'simulated boat', simulated: true, at: '2026-05-01T09:30:00Z', lastedS: 30, samples: 60 };
  const aboard: Plan = { ...aPlan(), equipment: { log: equipment('speed and temperature sensor', [3, 0.2, 0.1]) } };
  const edit: Edit = {
    type: 'recordCalibration',
    of: 'temperature',
    sensorId: 'log',
    readingId: 'r1',
    reading: { referenceC: 9, displayedC: 8.6, leftOut: false, from },
  };

  it('of the depth are refused alike', () => {
    const depth: Edit = {
      type: 'recordReading',
      transducerId: 'a-wide',
      readingId: 'zz',
      reading: { leadLineM: 9, displayedM: 8.6, leftOut: false, at: from.at, from },
    };
    expect(applyEdits(aboard, [depth])).toEqual(jasmine.objectContaining({ ok: false, code: 'simulated' }));
    expect(applyEdits(copyPlan(aboard, 'Practice', 'practice'), [depth]).ok).toBeTrue();
  });

  it('are taken on a practice copy, and on no other boat by any way in', () => {
    const practice = copyPlan(aboard, 'Practice', 'practice');
    const taken = edited(practice, edit);
    expect(applyEdits(aboard, [edit])).toEqual(jasmine.objectContaining({ ok: false, code: 'simulated' }));
    // A practice copy that has them cannot be made a boat, nor can its copy.
    const asBoat: Edit = { type: 'restore', patches: [{ op: 'remove', path: ['practice'] }] };
    expect(applyEdits(taken, [asBoat]).ok).toBeFalse();
    const again = copyPlan(taken, 'Again');
    expect(again.practice).toBeUndefined();
    expect(again.calibrations.temperature).toEqual({});
  });
});
