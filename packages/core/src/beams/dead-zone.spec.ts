import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { deadZone } from './dead-zone.ts';

const rad = Math.PI / 180;
const at = (slopeDeg: number, beamwidthDeg = 24) =>
  answerOf(deadZone, { beamwidthDeg, depthM: 32, pulseLengthS: 0.0002, soundSpeedMps: 1443, slopeDeg });

describe('dead-zone', () => {
  it('is half a pulse below the axis on a flat bottom, and the curve of the front more at the edge', () => {
    const flat = at(0);
    expect(flat.heightOnAxisM).toBeCloseTo(0.1443, 9);
    expect(flat.heightAtEdgeM).toBeCloseTo(32 - (32 - 0.1443) * Math.cos(12 * rad), 9);
    expect(flat.heightAtUphillEdgeM).toBeCloseTo(flat.heightAtEdgeM, 9);
  });

  it('agrees with searching the beam for the first echo and the water column for the last clear fish', () => {
    for (const [slopeDeg, beamwidthDeg] of [
      [8, 24],
      [25, 9],
    ] as const) {
      const slope = slopeDeg * rad;
      const half = (beamwidthDeg / 2) * rad;
      let first = Infinity;
      for (let angle = -half; angle <= half; angle += half / 20_000) {
        // The bottom falls to the positive side: y = 32 + x tan(slope).
        const range = 32 / (Math.cos(angle) - Math.sin(angle) * Math.tan(slope));
        first = Math.min(first, range);
      }
      const hidden = (angle: number): number => {
        for (let range = first; ; range -= 1e-4)
          if (range + 0.1443 <= first) {
            const [x, y] = [range * Math.sin(angle), range * Math.cos(angle)];
            return 32 + x * Math.tan(slope) - y;
          }
      };
      const answer = at(slopeDeg, beamwidthDeg);
      expect(answer.firstEchoRangeM).toBeCloseTo(first, 4);
      expect(answer.heightOnAxisM).toBeCloseTo(hidden(0), 3);
      expect(answer.heightAtEdgeM).toBeCloseTo(hidden(half), 3);
      expect(answer.heightAtUphillEdgeM).toBeCloseTo(hidden(-half), 3);
    }
  });

  it('never shrinks with slope, cone or pulse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (slopeDeg, beamwidthDeg, more) => {
          const before = at(slopeDeg, beamwidthDeg).heightAtEdgeM;
          expect(at(slopeDeg + more, beamwidthDeg).heightAtEdgeM).toBeGreaterThanOrEqual(before - 1e-9);
          expect(at(slopeDeg, beamwidthDeg + more).heightAtEdgeM).toBeGreaterThanOrEqual(before - 1e-9);
        },
      ),
    );
  });

  it('refuses a slope the cone never meets', () => {
    const input = { beamwidthDeg: 60, depthM: 32, pulseLengthS: 0.0002, soundSpeedMps: 1443, slopeDeg: 61 };
    const result = calculate(deadZone, input);
    expect(result.ok ? '' : result.errors[0]?.range).toBe('0 to below 60.0');
  });
});
