import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { forwardView } from './forward-view.ts';

const fan = { sectorDeg: 120, thinDeg: 20, tiltDeg: 0, belowFaceM: 10, rangeM: 40 } as const;

describe('forward-view', () => {
  it('upright and level looks from the level down, past straight below, with no blind disc', () => {
    const it = answerOf(forwardView, { ...fan, mode: 'ahead' });
    expect([it.fromDownDeg, it.toDownDeg]).toEqual([-30, 90]);
    expect(it.blindM).toBe(0);
    expect(it.bottomToM).toBeCloseTo(Math.sqrt(40 ** 2 - 10 ** 2), 9);
    expect(it.windowProportion).toBe(4);
  });

  it('of a narrow sector leaves a disc blind: 30° off straight down over 10 m is 5.77 m', () => {
    const it = answerOf(forwardView, { ...fan, mode: 'ahead', sectorDeg: 60 });
    expect(it.blindM).toBeCloseTo(10 / Math.sqrt(3), 9);
    expect(it.flags.length).toBe(1);
  });

  it('looks down half the sector to each side, and no further ahead', () => {
    const it = answerOf(forwardView, { ...fan, mode: 'down', sectorDeg: 90 });
    expect([it.fromDownDeg, it.toDownDeg]).toEqual([-45, 45]);
    expect(it.bottomToM).toBeCloseTo(10, 9);
    expect(calculate(forwardView, { ...fan, mode: 'down', tiltDeg: 50 }).ok).toBeFalse();
  });

  it('lying flat meets the bottom only beyond its lower edge: 10 m under a 10° edge is 56.7 m out', () => {
    const it = answerOf(forwardView, { ...fan, mode: 'flat', rangeM: 100 });
    expect(it.blindM).toBeCloseTo(10 / Math.tan((10 * Math.PI) / 180), 6);
    expect(answerOf(forwardView, { ...fan, mode: 'flat' }).blindM).toBeNull();
    expect(answerOf(forwardView, { ...fan, mode: 'flat', tiltDeg: 30 }).blindM).toBeCloseTo(
      10 / Math.tan((40 * Math.PI) / 180),
      6,
    );
  });

  it('has no blind disc where its lower edge looks up astern', () => {
    // Tilted by 44 degrees a fan of 140 ends 94 degrees behind straight down.
    expect(answerOf(forwardView, { ...fan, mode: 'ahead', sectorDeg: 140, tiltDeg: 44, rangeM: 200 }).blindM).toBe(0);
  });

  it('tilted further down never widens the blind disc, and a pane of true proportions is as long as it is wide', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('ahead' as const, 'flat' as const),
        fc.integer({ min: 20, max: 140 }),
        fc.integer({ min: 0, max: 39 }),
        (mode, sectorDeg, tiltDeg) => {
          const at = (tilt: number) => answerOf(forwardView, { ...fan, mode, sectorDeg, tiltDeg: tilt, rangeM: 200 });
          const [less, more] = [at(tiltDeg), at(tiltDeg + 5)];
          expect(more.blindM ?? 0).toBeLessThanOrEqual((less.blindM ?? Infinity) + 1e-9);
          expect(less.trueWindowM / (1.2 * fan.belowFaceM)).toBeCloseTo(1.5, 9);
        },
      ),
    );
  });
});
