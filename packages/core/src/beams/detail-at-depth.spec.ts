import { answerOf } from '../calculation/calculation.ts';
import { aBeam, aPlan, aTransducer } from '../testing/sample-plan.ts';
import { detailAtDepth } from './detail-at-depth.ts';
import { footprint } from './footprint.ts';

const plan = {
  ...aPlan(),
  transducers: {
    a: aTransducer({ beams: [aBeam(), aBeam({ frequencyHz: 95_000, bandwidthHz: 30_000 })] }),
    b: aTransducer({ kind: 'side-scan' }),
  },
};

describe('detail at a depth', () => {
  it('has the width of the footprint, for each beam that looks down', () => {
    const [first, second, ...others] = detailAtDepth(plan, 32);
    expect(others).toEqual([]);
    expect([first?.frequencyHz, second?.frequencyHz]).toEqual([190_000, 95_000]);
    expect(first?.widthM).toBeCloseTo(answerOf(footprint, { beamwidthDeg: 24, depthM: 32 }).widthAcrossM, 9);
  });

  it('loses separation with depth where the pulse grows, and keeps it with a chirp: c / 2B', () => {
    const at = (depthM: number): readonly number[] => detailAtDepth(plan, depthM).map(({ separationM }) => separationM);
    const [[pulse10 = 0, chirp10 = 0], [pulse100 = 0, chirp100 = 0]] = [at(10), at(100)] as [number[], number[]];
    expect(pulse100).toBeGreaterThan(2 * pulse10);
    // The speed of sound is that of the plan's own water, 9 °C and fresh.
    expect(chirp10).toBeCloseTo(1443.6 / 60_000, 4);
    expect(chirp100).toBe(chirp10);
  });
});
