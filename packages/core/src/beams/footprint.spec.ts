import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { footprint } from './footprint.ts';

const degree = Math.PI / 180;

/** The nearest point of a sloping line inside the cone, by walking along the rays: an independent method. */
const nearestByRays = (beamwidthDeg: number, depthM: number, slopeDeg: number): number => {
  let nearest = Number.POSITIVE_INFINITY;
  for (let i = 0; i <= 20_000; i++) {
    const angle = (-beamwidthDeg / 2 + (beamwidthDeg * i) / 20_000) * degree;
    const range = depthM / (Math.cos(angle) + Math.sin(angle) * Math.tan(slopeDeg * degree));
    if (range > 0) nearest = Math.min(nearest, range);
  }
  return nearest;
};

describe('footprint', () => {
  it('is 2 d tan(φ/2) wide on a flat bottom, with the first echo straight below', () => {
    const flat = answerOf(footprint, { beamwidthDeg: 90, depthM: 10 });
    expect(flat.widthAcrossM).toBeCloseTo(20, 9);
    expect(flat.uphillReachM).toBeCloseTo(10, 9);
    expect(flat.downhillReachM).toBeCloseTo(10, 9);
    expect(flat.depthErrorM).toBeCloseTo(0, 9);
    expect(flat.assumed).toEqual({ slopeDeg: 0 });
  });

  it('is what the usual rule says only for small angles: 24° at 32 m is 13.6 m, the rule 13.4 m', () => {
    const { widthAcrossM, ruleWidthM } = answerOf(footprint, { beamwidthDeg: 24, depthM: 32 });
    expect(widthAcrossM).toBeCloseTo(13.604, 2);
    expect(ruleWidthM).toBeCloseTo(13.404, 2);
  });

  it('meets the bottom where the edge rays meet it, up and down the slope', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (deg, slopeDeg) => {
          const { uphillReachM, downhillReachM } = answerOf(footprint, { beamwidthDeg: deg, depthM: 25, slopeDeg });
          const onSlope = (x: number): number => 25 - x * Math.tan(slopeDeg * degree);
          expect(Math.atan2(uphillReachM, onSlope(uphillReachM)) / degree).toBeCloseTo(deg / 2, 6);
          expect(Math.atan2(downhillReachM, onSlope(-downhillReachM)) / degree).toBeCloseTo(deg / 2, 6);
        },
      ),
    );
  });

  it('has its first echo at the nearest point of the bottom in the cone', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 60 }), fc.integer({ min: 0, max: 50 }), (deg, slopeDeg) => {
        const { firstEchoRangeM, depthErrorM } = answerOf(footprint, { beamwidthDeg: deg, depthM: 30, slopeDeg });
        expect(firstEchoRangeM).toBeCloseTo(nearestByRays(deg, 30, slopeDeg), 4);
        expect(depthErrorM).toBeCloseTo(firstEchoRangeM - 30, 9);
        expect(depthErrorM).toBeLessThanOrEqual(1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('refuses a slope the cone never meets, and a beamwidth of 400', () => {
    expect(calculate(footprint, { beamwidthDeg: 60, depthM: 10, slopeDeg: 60 }).ok).toBeFalse();
    expect(calculate(footprint, { beamwidthDeg: 400, depthM: 10 })).toEqual({
      ok: false,
      errors: [{ field: 'beamwidthDeg', message: '"beamwidthDeg" is too large.', range: '0.01 to 170' }],
    });
  });
});
