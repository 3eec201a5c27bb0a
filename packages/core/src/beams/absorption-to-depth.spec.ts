import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { absorption } from '../water/absorption.ts';
import { absorptionLossDb, lostToAbsorption } from './absorption-to-depth.ts';

describe('lostToAbsorption', () => {
  it('is twice the way, in kilometres, times the absorption of the water at half the depth', () => {
    const water = { temperatureC: 10, salinityPpt: 35 };
    const { absorptionDbPerKm } = answerOf(absorption, { frequencyHz: 200_000, ...water, depthM: 50 });
    expect(lostToAbsorption(water, 200_000, 100).lostDb).toBeCloseTo(0.2 * absorptionDbPerKm, 9);
    // 54.4 dB/km near the surface: about 10.9 dB to 100 m and back.
    expect(lostToAbsorption(water, 200_000, 100).lostDb).toBeCloseTo(10.9, 0);
  });
});

describe('absorptionLossDb', () => {
  it('is the same loss, whatever the water, frequency and depth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 30_000, max: 1_300_000, noNaN: true }),
        fc.double({ min: 0.5, max: 2000, noNaN: true }),
        (temperatureC, salinityPpt, frequencyHz, depthM) => {
          const water = { temperatureC, salinityPpt };
          const whole = lostToAbsorption(water, frequencyHz, depthM).lostDb;
          expect(absorptionLossDb(water, frequencyHz, depthM) / whole).toBeCloseTo(1, 12);
        },
      ),
    );
  });
});
