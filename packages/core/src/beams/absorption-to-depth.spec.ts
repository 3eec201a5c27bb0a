import { answerOf } from '../calculation.ts';
import { absorption } from '../water/absorption.ts';
import { lostToAbsorption } from './absorption-to-depth.ts';

describe('lostToAbsorption', () => {
  it('is twice the way, in kilometres, times the absorption of the water at half the depth', () => {
    const water = { temperatureC: 10, salinityPpt: 35 };
    const { absorptionDbPerKm } = answerOf(absorption, { frequencyHz: 200_000, ...water, depthM: 50 });
    expect(lostToAbsorption(water, 200_000, 100).lostDb).toBeCloseTo(0.2 * absorptionDbPerKm, 9);
    // 54.4 dB/km near the surface: about 10.9 dB to 100 m and back.
    expect(lostToAbsorption(water, 200_000, 100).lostDb).toBeCloseTo(10.9, 0);
  });
});
