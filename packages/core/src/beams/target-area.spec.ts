import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { moveInParts, targetArea, weakWidthDeg, type MarkStrength } from './target-area.ts';
import { targetRing } from './target-ring.ts';

const radian = Math.PI / 180;
const wide = { beamwidthDeg: 24, atM: [2, -0.8] as [number, number], shows: 'strong' as MarkStrength };
const narrow = { beamwidthDeg: 9, atM: [0, 1.2] as [number, number], shows: 'none' as MarkStrength };

describe('target-area', () => {
  it('of two cones is the ring of the calculation for two', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 60 }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (depthM, forward, starboard) => {
          const narrowAtM: [number, number] = [forward, starboard];
          const ring = answerOf(targetRing, { wideDeg: 24, narrowDeg: 9, depthM, wideAtM: wide.atM, narrowAtM });
          const area = answerOf(targetArea, {
            beams: [wide, { ...narrow, atM: narrowAtM }],
            depthM,
            fromAtM: narrowAtM,
          });
          expect(area.areaM2 / ring.areaM2).toBeCloseTo(1, 2);
          expect(Math.abs((area.moveM ?? 0) - (ring.nearestM ?? 0))).toBeLessThan(0.01 * depthM);
          expect(Math.abs((area.farthestM ?? 0) - (ring.farthestM ?? 0))).toBeLessThan(0.01 * depthM);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('of three beams holds what random places say that are seen so by each', () => {
    const beams = [wide, narrow, { beamwidthDeg: 16, atM: [5, 0] as [number, number], shows: 'weak' as MarkStrength }];
    const depthM = 30;
    const { areaM2, polygons } = answerOf(targetArea, { beams, depthM });
    const showsAt = (x: number, y: number): boolean =>
      beams.every(({ beamwidthDeg, atM, shows }) => {
        const angle = Math.atan2(Math.hypot(x - atM[0], y - atM[1]), depthM) / radian;
        const strength =
          angle <= beamwidthDeg / 2 ? 'strong' : angle <= weakWidthDeg(beamwidthDeg) / 2 ? 'weak' : 'none';
        return shows === 'none' ? strength !== 'strong' : strength === shows;
      });
    let inside = 0;
    const side = 400;
    for (let i = 0; i < side; i++)
      for (let k = 0; k < side; k++)
        if (showsAt(-20 + (40 * (i + 0.5)) / side, -20 + (40 * (k + 0.5)) / side)) inside += 1;
    expect(areaM2).toBeCloseTo((inside * 1600) / side ** 2, 0);
    expect(polygons.flat().flat().length).toBeGreaterThan(20);
  });

  it('knows how far a ring is and not which way, and of a sickle which way and how wide', () => {
    const both = (atM: [number, number], shows: MarkStrength, depthM = 30) =>
      answerOf(targetArea, {
        beams: [
          { ...wide, atM: [0, 0] },
          { ...narrow, atM, shows },
        ],
        depthM,
        fromAtM: [0, 0],
      });
    const ring = both([0, 0], 'none');
    expect([ring.bearingDeg, ring.moveForwardM, ring.moveStarboardM]).toEqual([null, null, null]);
    expect(ring.moveM).toBeCloseTo(30 * Math.tan(4.5 * radian), 1);
    expect(ring.directionWidthDeg).toBeCloseTo(360, 6);
    // A second wide cone 8 m ahead does not show it: what is left is a sickle astern.
    const sickle = answerOf(targetArea, {
      beams: [
        { ...wide, atM: [0, 0] },
        { ...wide, atM: [8, 0], shows: 'none' },
      ],
      depthM: 30,
      fromAtM: [8, 0],
    });
    expect(Math.abs((sickle.bearingDeg ?? 0) - 180)).toBeLessThan(3);
    // From 8 m ahead the disc of 30 tan 12 degrees, 6.4 m, is seen asin(6.4 / 8) to each side.
    expect(sickle.directionWidthDeg).toBeLessThan(2 * (Math.asin((30 * Math.tan(12 * radian)) / 8) / radian) + 2);
    expect(sickle.directionWidthDeg).toBeGreaterThan(60);
  });

  it('tells the least move in the boat, and its bearing by its heading', () => {
    const it = answerOf(targetArea, {
      beams: [{ beamwidthDeg: 20, atM: [30, 0], shows: 'strong' }],
      depthM: 20,
      headingDeg: 300,
    });
    const radius = 20 * Math.tan(10 * radian);
    expect(it.moveForwardM).toBeCloseTo(30 - radius, 2);
    expect(it.moveStarboardM).toBeCloseTo(0, 6);
    expect(it.bearingDeg).toBeCloseTo(300, 6);
    expect(
      answerOf(targetArea, {
        beams: [{ beamwidthDeg: 20, atM: [0, 30], shows: 'strong' }],
        depthM: 20,
        headingDeg: 300,
      }).bearingDeg,
    ).toBeCloseTo(30, 4);
  });

  it('needs no move when the boat stands in it, and says when no place fits or none shows it', () => {
    expect(answerOf(targetArea, { beams: [wide], depthM: 30, fromAtM: [2, -0.8] })).toEqual(
      jasmine.objectContaining({ moveM: 0, bearingDeg: null }),
    );
    const never = answerOf(targetArea, {
      beams: [
        { ...narrow, atM: [0, 0], shows: 'strong' },
        { ...wide, atM: [0, 0], shows: 'none' },
      ],
      depthM: 30,
    });
    expect([never.areaM2, never.moveM, never.flags.length]).toEqual([0, null, 1]);
    expect(answerOf(targetArea, { beams: [{ ...wide, shows: 'none' }], depthM: 30 }).flags[0]).toContain('No beam');
  });

  it('has no more than the disc of the sine for a weak mark, and words for each way', () => {
    expect(weakWidthDeg(16.4)).toBeCloseTo(28, 0);
    expect(weakWidthDeg(160)).toBe(170);
    expect(moveInParts(-3, 2)).toEqual([
      { metres: 3, towards: 'astern' },
      { metres: 2, towards: 'to starboard' },
    ]);
    expect(moveInParts(0.01, -1)).toEqual([{ metres: 1, towards: 'to port' }]);
  });
});
