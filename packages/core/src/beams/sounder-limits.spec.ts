import { aPlan, aTransducer, aBeam } from '../testing/sample-plan.ts';
import { sounderLimits } from './sounder-limits.ts';

const plan = {
  ...aPlan(),
  boat: { ...aPlan().boat, draughtM: 0.5 },
  transducers: {
    low: aTransducer({ aboveKeelM: 0.1, beams: [aBeam({ frequencyHz: 45_000 })] }),
    side: aTransducer({ kind: 'side-scan' }),
  },
};

describe('the limits of a sounder', () => {
  it('start below the face by half the way of pulse and ringing', () => {
    const [only, ...none] = sounderLimits(plan, 32);
    expect(none).toEqual([]);
    // The usual pulse over 32 m is 12 cycles at 45 kHz, 0.267 ms; a plain face rings for 35 more, and 0.2 ms
    // pass until the receiver hears, at some 1440 m/s.
    expect((only?.seesFromM ?? 0) - 0.4).toBeCloseTo((1443 * ((12 + 35) / 45_000 + 0.0002)) / 2, 2);
  });

  it('draw more bottoms again in shallow water than in deep, each at a multiple of the depth', () => {
    const count = (depthM: number): number => sounderLimits(plan, depthM)[0]?.echoes.length ?? 0;
    expect(count(4)).toBeGreaterThan(0);
    expect(count(4)).toBeGreaterThanOrEqual(count(400));
    expect(sounderLimits(plan, 4)[0]?.echoes[0]?.drawnM).toBe(8);
  });

  it('are not told while the water is not described', () => {
    expect(sounderLimits({ ...plan, waters: {} }, 32)).toEqual([]);
  });

  it('are told at any depth a plan can be worked at, however little comes back', () => {
    const fine = { ...plan, transducers: { high: aTransducer({ beams: [aBeam({ frequencyHz: 1_200_000 })] }) } };
    for (const depthM of [0.5, 2000]) expect(sounderLimits(fine, depthM).length).toBe(1);
    expect(sounderLimits(fine, 2000)[0]?.echoes).toEqual([]);
  });
});
