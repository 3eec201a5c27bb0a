import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { seeded } from '../testing/sample-plan.ts';
import { targetRing } from './target-ring.ts';

const radian = Math.PI / 180;

describe('target-ring', () => {
  it('between two cones about one point is a ring of the two radii', () => {
    const { areaM2, nearestM, farthestM, narrowOutsideWide } = answerOf(targetRing, {
      wideDeg: 90,
      narrowDeg: (2 * Math.atan(0.5)) / radian,
      depthM: 10,
    });
    expect(nearestM).toBeCloseTo(5, 9);
    expect(farthestM).toBeCloseTo(10, 9);
    expect(areaM2).toBeCloseTo(Math.PI * 75, 6);
    expect(narrowOutsideWide).toBeCloseTo(0, 9);
  });

  it('agrees with counting random points of the bottom, wherever the two transducers stand', () => {
    const uniform = seeded(7);
    fc.assert(
      fc.property(
        fc.integer({ min: 15, max: 60 }),
        fc.integer({ min: 5, max: 14 }),
        fc.tuple(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: -6, max: 6, noNaN: true })),
        (wideDeg, narrowDeg, narrowAtM) => {
          const depthM = 20;
          const [wide, narrow] = [wideDeg, narrowDeg].map((deg) => depthM * Math.tan((deg / 2) * radian)) as [
            number,
            number,
          ];
          const answer = answerOf(targetRing, { wideDeg, narrowDeg, depthM, narrowAtM });
          let inside = 0;
          let near = Number.POSITIVE_INFINITY;
          let far = 0;
          const n = 40_000;
          for (let i = 0; i < n; i++) {
            const x = (2 * uniform() - 1) * wide;
            const y = (2 * uniform() - 1) * wide;
            const fromNarrow = Math.hypot(x - narrowAtM[0], y - narrowAtM[1]);
            if (Math.hypot(x, y) > wide || fromNarrow < narrow) continue;
            inside += 1;
            near = Math.min(near, fromNarrow);
            far = Math.max(far, fromNarrow);
          }
          expect(Math.abs(answer.areaM2 - (inside / n) * 4 * wide * wide)).toBeLessThan(0.05 * wide * wide);
          const { nearestM, farthestM } = answer;
          expect(nearestM).not.toBeNull();
          expect(farthestM).not.toBeNull();
          expect(Math.abs((nearestM ?? 0) - near)).toBeLessThan(0.12 * wide);
          expect(Math.abs((farthestM ?? 0) - far)).toBeLessThan(0.12 * wide);
          expect(near).toBeGreaterThanOrEqual((nearestM ?? 0) - 1e-9);
          expect(far).toBeLessThanOrEqual((farthestM ?? 0) + 1e-9);
        },
      ),
      { numRuns: 40, seed: 11 },
    );
  });

  it('is nothing where the narrow cone covers the wide one, and all of the wide one where they do not meet', () => {
    const covered = answerOf(targetRing, { wideDeg: 10, narrowDeg: 40, depthM: 10 });
    expect(covered.areaM2).toBe(0);
    expect(covered.nearestM).toBeNull();
    expect(covered.flags.length).toBe(1);
    const apart = answerOf(targetRing, { wideDeg: 20, narrowDeg: 10, depthM: 2, narrowAtM: [8, 6] });
    expect(apart.areaM2).toBeCloseTo(Math.PI * (2 * Math.tan(10 * radian)) ** 2, 9);
    expect(apart.nearestM).toBeCloseTo(10 - 2 * Math.tan(10 * radian), 9);
    expect(apart.narrowOutsideWide).toBe(1);
  });
});
