import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { aDisplay, aPlan, edited } from '../testing/sample-plan.ts';
import { leastAngleArcmin, legibility } from './legibility.ts';
import { hardestSight, sightsOf } from './number-legibility.ts';

const screen = { screenDiagonalM: 0.30734, pixelsWide: 1280, pixelsHigh: 800 };

describe('legibility', () => {
  it('agrees with the published angular sizes', () => {
    // ISO 9241-303: 16 minutes of arc are 2.3 mm at 500 mm and 4.65 mm at 1 m.
    const at = (viewingDistanceM: number): number =>
      1000 * answerOf(legibility, { ...screen, heightPx: 10, viewingDistanceM }).wantedHeightM;
    expect(at(0.5)).toBeCloseTo(2.33, 2);
    expect(at(1)).toBeCloseTo(4.65, 2);
    expect(leastAngleArcmin.day).toBe(16);
    // MIL-STD-1472G: 0.20 in seen from 28 in. In the same angle 0.9 m asks for 6.43 mm.
    const night = answerOf(legibility, { ...screen, heightPx: 10, viewingDistanceM: 0.7112, light: 'night' });
    expect(night.wantedHeightM).toBeCloseTo(0.00508, 9);
    expect(leastAngleArcmin.night).toBeCloseTo(24.6, 1);
  });

  it('by hand: 2.9 mm at 0.95 m fill 10.5 minutes, and by day want 4.4 mm', () => {
    const answer = answerOf(legibility, { ...screen, heightPx: 14, viewingDistanceM: 0.95 });
    expect(1000 * answer.heightM).toBeCloseTo(2.85, 2);
    expect(answer.angleArcmin).toBeCloseTo(10.3, 1);
    expect(1000 * answer.wantedHeightM).toBeCloseTo(4.42, 2);
    expect(answer.readable).toBeFalse();
  });

  it('is readable at exactly the pixels it asks for, and not one below, whatever screen, eye and light', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        fc.integer({ min: 480, max: 2560 }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.constantFrom('day' as const, 'night' as const),
        (screenDiagonalM, pixelsWide, viewingDistanceM, light) => {
          const input = {
            screenDiagonalM,
            pixelsWide,
            pixelsHigh: Math.round(pixelsWide * 0.6),
            viewingDistanceM,
            light,
          };
          const { wantedPx } = answerOf(legibility, { ...input, heightPx: 20 });
          expect(answerOf(legibility, { ...input, heightPx: wantedPx }).angleArcmin).toBeGreaterThanOrEqual(
            leastAngleArcmin[light] * (1 - 1e-9),
          );
          if (wantedPx > 1)
            expect(answerOf(legibility, { ...input, heightPx: wantedPx - 1 }).readable)
              .withContext(`${wantedPx}`)
              .toBeFalse();
        },
      ),
    );
  });

  it('asks for twice the height at twice the distance', () => {
    const want = (viewingDistanceM: number): number =>
      answerOf(legibility, { ...screen, heightPx: 10, viewingDistanceM }).wantedHeightM;
    expect(want(1.8) / want(0.9)).toBeCloseTo(2, 9);
  });
});

describe('the sights of a number', () => {
  const both = edited(
    aPlan(),
    { type: 'describeStation', id: 'helm', changes: { posture: 'both' } },
    { type: 'describeDisplay', stationId: 'helm', changes: { seatedDistanceM: 1.3 } },
  );

  it('are by day and by night, standing, and seated too where a station is used both ways', () => {
    expect(sightsOf(aPlan(), 'helm', { heightPx: 40 }).map(({ posture, light }) => `${posture} ${light}`)).toEqual([
      'standing day',
      'standing night',
    ]);
    expect(sightsOf(both, 'helm', { heightPx: 40 }).length).toBe(4);
    const seated = edited(aPlan(), { type: 'describeStation', id: 'helm', changes: { posture: 'seated' } });
    expect(sightsOf(seated, 'helm', { heightPx: 40 })[0]?.posture).toBe('seated');
  });

  it('are judged by the hardest: the farther eye, and the night only where it is read at night', () => {
    expect(hardestSight(both, 'helm', { heightPx: 40 })).toEqual(
      jasmine.objectContaining({ posture: 'seated', light: 'day' }),
    );
    const night = edited(both, { type: 'describeDisplay', stationId: 'helm', changes: { readAtNight: true } });
    expect(hardestSight(night, 'helm', { heightPx: 40 })?.light).toBe('night');
  });

  it('are none without a display or without knowing where the eye is', () => {
    expect(hardestSight({ ...aPlan(), displays: {} }, 'helm', { heightPx: 40 })).toBeNull();
    const unknown = edited(aPlan(), { type: 'describeStation', id: 'helm', changes: { viewingDistanceM: null } });
    expect(sightsOf(unknown, 'helm', { heightPx: 40 })).toEqual([]);
    expect(aDisplay().seatedDistanceM).toBeNull();
  });
});
