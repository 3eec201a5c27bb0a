import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { absorption } from './absorption.ts';

const at = (frequencyHz: number, salinityPpt: number, more: object = {}): number =>
  answerOf(absorption, { frequencyHz, temperatureC: 10, salinityPpt, ...more }).absorptionDbPerKm;

describe('absorption', () => {
  it('gives the published values at 10 °C, 10 m, pH 8', () => {
    expect(at(38_000, 35)).toBeCloseTo(10.2, 1);
    expect(at(200_000, 35)).toBeCloseTo(54.4, 1);
    expect(at(200_000, 0)).toBeCloseTo(12.4, 1);
    expect(Math.abs(at(800_000, 0) - 199)).toBeLessThan(0.5);
  });

  it('in fresh water agrees with Pinkerton 1949 within 2 %: 25.3e-15 s²/m in amplitude at 20 °C', () => {
    const nepersPerM = 25.3e-15 * 500_000 ** 2;
    const pinkerton = 20 * Math.log10(Math.E) * nepersPerM * 1000;
    const own = answerOf(absorption, { frequencyHz: 500_000, temperatureC: 20, salinityPpt: 0, depthM: 0 });
    expect(Math.abs(own.absorptionDbPerKm / pinkerton - 1)).toBeLessThan(0.02);
  });

  it('agrees with Ainslie and McColm in the sea within a tenth, and is 6 to 9 % below it in fresh water', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30_000, max: 900_000 }),
        fc.integer({ min: 4, max: 20 }),
        (frequencyHz, temperatureC) => {
          const sea = answerOf(absorption, { frequencyHz, temperatureC, salinityPpt: 35 });
          expect(Math.abs(sea.otherModelDiffers)).toBeLessThan(0.1);
        },
      ),
    );
    const fresh = answerOf(absorption, { frequencyHz: 200_000, temperatureC: 10, salinityPpt: 0 });
    expect(fresh.otherModelDiffers).toBeGreaterThan(0.06);
    expect(fresh.otherModelDiffers).toBeLessThan(0.095);
    const other = answerOf(absorption, {
      frequencyHz: 200_000,
      temperatureC: 10,
      salinityPpt: 0,
      model: 'ainslie-mccolm',
    });
    expect(other.absorptionDbPerKm / fresh.absorptionDbPerKm - 1).toBeCloseTo(fresh.otherModelDiffers, 9);
  });

  it('rises with frequency, and falls with depth in the sea', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 900_000 }),
        fc.integer({ min: 0, max: 35 }),
        (frequencyHz, salinityPpt) => {
          expect(at(frequencyHz * 1.1, salinityPpt)).toBeGreaterThan(at(frequencyHz, salinityPpt));
          expect(at(frequencyHz, 35, { depthM: 500 })).toBeLessThan(at(frequencyHz, 35, { depthM: 10 }));
        },
      ),
    );
  });

  it('is the same on both sides of 20 °C, where the formula changes its coefficients', () => {
    const below = answerOf(absorption, { frequencyHz: 1_000_000, temperatureC: 20, salinityPpt: 0 });
    const above = answerOf(absorption, { frequencyHz: 1_000_000, temperatureC: 20.0001, salinityPpt: 0 });
    expect(Math.abs(below.absorptionDbPerKm / above.absorptionDbPerKm - 1)).toBeLessThan(0.005);
  });

  it('flags brackish water and frequencies beyond the measurements, and not the sea or fresh water', () => {
    const flags = (input: object): number =>
      answerOf(absorption, { frequencyHz: 190_000, temperatureC: 10, salinityPpt: 35, ...input }).flags.length;
    expect(flags({})).toBe(0);
    expect(flags({ salinityPpt: 0 })).toBe(0);
    expect(flags({ salinityPpt: 18 })).toBe(1);
    expect(flags({ frequencyHz: 1_150_000 })).toBe(1);
    expect(flags({ temperatureC: 35 })).toBe(1);
  });
});
