import { aDisplay, aPlan, edited } from '../testing/sample-plan.ts';
import { foundSet } from './found-set.ts';

const at = '2026-05-01T08:00:00Z';

describe('what turned out to be set while readings were taken', () => {
  const plan = edited(aPlan(), { type: 'fitDisplay', stationId: 'helm', display: aDisplay() });
  const found = (changes: object, of = plan) => foundSet(of, 'depth', 'a-wide', { ...changes }, at);

  it('is found in the display it is read on, once: not where that is known, nor where something else is said', () => {
    const [edit, ...more] = found({ offsetSetM: 0.3, reference: 'keel' });
    expect(more).toEqual([]);
    expect(edit).toEqual(
      jasmine.objectContaining({
        type: 'readAsFound',
        kind: 'depth-offset',
        deviceId: 'helm',
        ofId: 'a-wide',
      }),
    );
    expect((edit as { readonly asFound?: object }).asFound).toEqual(
      jasmine.objectContaining({ value: jasmine.objectContaining({ offsetM: 0.3 }), at, by: null }),
    );
    expect(found({ offsetSetM: 0.3 }, edited(plan, edit!))).toEqual([]);
    expect(found({ toleranceM: 0.2 })).toEqual([]);
  });

  it('is nothing for what no device takes', () => {
    expect(foundSet(plan, 'tilt', 'a-wide', { toleranceDeg: 3 }, at)).toEqual([]);
  });
});
