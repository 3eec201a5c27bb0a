import { answerOf } from '../calculation/calculation.ts';
import { steeredSector } from './steered-sector.ts';

const sector = { beamwidthDeg: 4, sectorDeg: 120, rangeM: 75, belowFaceM: 20, soundSpeedMps: 1500 } as const;

describe('steered-sector', () => {
  it('takes the way there and back for each step: thirty steps to 75 m and back are 3 s', () => {
    expect(answerOf(steeredSector, sector).sweepS).toBeCloseTo(3, 9);
    expect(answerOf(steeredSector, { ...sector, sectorDeg: 121 }).sweepS).toBeCloseTo(3.1, 9);
  });

  it('smears by what the boat turns in a sweep, and says so from a beamwidth on', () => {
    const turning = (turnRateDegPerS: number) => answerOf(steeredSector, { ...sector, turnRateDegPerS });
    expect(turning(2).smearDeg).toBeCloseTo(6, 9);
    expect(turning(2).smearM).toBeCloseTo((75 * 6 * Math.PI) / 180, 9);
    expect(turning(2).flags.length).toBe(1);
    expect(turning(1).flags).toEqual([]);
  });

  it('meets the bottom with its lower edge and the surface with its upper one', () => {
    const level = answerOf(steeredSector, { ...sector, faceDepthM: 0.5 });
    expect(level.bottomFromM).toBeCloseTo(20 / Math.tan((2 * Math.PI) / 180), 6);
    expect(level.surfaceFromM).toBeCloseTo(0.5 / Math.tan((2 * Math.PI) / 180), 6);
    const tilted = answerOf(steeredSector, { ...sector, tiltDeg: 43 });
    expect(tilted.bottomFromM).toBeCloseTo(20, 6);
    expect(tilted.surfaceFromM).toBeNull();
    expect(answerOf(steeredSector, { ...sector, tiltDeg: 90 }).bottomFromM).toBe(0);
  });
});
