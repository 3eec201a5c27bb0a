import { normal, seeded } from '../testing/sample-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { effectiveNumber, partsOfMean, roundingOf, scatterSd, suretyOf, suretySteps } from './surety.ts';

describe('what rounding leaves', () => {
  it('is each reading’s own where they lie apart, and shared where they lie in one place or few', () => {
    // Step² / 12 is the variance of an even error over a step.
    expect(roundingOf([1, 2.3, 4.1], 0.1)).toEqual({ apartVariance: jasmine.any(Number) as never, shared: null });
    expect(roundingOf([1, 2.3, 4.1], 0.1).apartVariance).toBeCloseTo(0.01 / 12, 12);
    const one = roundingOf([1, 1, 1.1], 0.1).shared;
    expect([one?.half, one?.sd]).toEqual([0.475 * 0.1, 0.1 / Math.sqrt(12)]);
    expect(roundingOf([5, 5, 5, 5], 0.5, 2).shared?.half).toBeCloseTo(0.475, 12);
  });

  it('of two places and of three lies within the shares that 95 of 100 means of such errors do', () => {
    const uniform = seeded(3);
    for (const places of [1, 2, 3]) {
      const means = Array.from({ length: 40_000 }, () =>
        Math.abs(Array.from({ length: places }, () => uniform() - 0.5).reduce((sum, one) => sum + one, 0) / places),
      ).sort((a, b) => a - b);
      const half = roundingOf(
        Array.from({ length: 4 * places }, (_, i) => 10 * (i % places)),
        1,
      ).shared?.half;
      expect(half)
        .withContext(`${places} places`)
        .toBeGreaterThan(means[38_000]! * 0.98);
      expect(half)
        .withContext(`${places} places`)
        .toBeLessThan(means[38_000]! * 1.06);
    }
  });
});

describe('how sure a mean is', () => {
  it('is Student’s for what scatters, 1.96 for what rounding leaves at the least, and what all share beside it', () => {
    // Student's t at 97.5 % with three degrees of freedom: 3.182 (published tables).
    const scattered = suretyOf(partsOfMean({ squares: 3, readings: 4, roundings: [] }));
    expect(scattered.halfInterval95).toBeCloseTo(3.182 / 2, 3);
    const alike = suretyOf(
      partsOfMean({ squares: 0, readings: 4, roundings: [{ apartVariance: 1 / 12, shared: null }] }),
    );
    expect(alike.halfInterval95).toBeCloseTo(1.96 / Math.sqrt(48), 12);
    const shared = suretyOf(
      partsOfMean({
        squares: 3,
        readings: 4,
        roundings: [{ apartVariance: 0, shared: { half: 0.475, sd: 0.3 } }],
        shared: [0.6],
      }),
    );
    expect(shared.halfInterval95).toBeCloseTo(Math.hypot(3.182 / 2, 0.475, 0.6), 3);
    expect(shared.sharedHalf95).toBeCloseTo(Math.hypot(0.475, 0.6), 12);
    const parts = partsOfMean({ squares: 3, readings: 4, roundings: [roundingOf([1, 1, 1, 1], 0.1)], shared: [0.2] });
    expectWorkingHolds(suretySteps(parts, 'the mean', 'm'), 'surety');
  });

  it('is not told by one reading, nor by two that share a step', () => {
    const two = (values: number[]) =>
      suretyOf(partsOfMean({ squares: 0.01, readings: 2, roundings: [roundingOf(values, 0.1)] })).halfInterval95;
    expect(two([5, 5])).toBeNull();
    expect(two([5, 9])).not.toBeNull();
    expect(suretyOf(partsOfMean({ squares: 0, readings: 1, roundings: [] })).halfInterval95).toBeNull();
  });

  it('counts two readings to a wave, and holds the truth 93 times of 100 in waves that tie quick ones together', () => {
    expect([effectiveNumber(5, null, 8), effectiveNumber(5, 12, 8), effectiveNumber(5, 1, 8)]).toEqual([5, 3, 1]);
    expect(effectiveNumber(5, 600, 8)).toBe(5);
    const uniform = seeded(12);
    for (const [readings, spanS] of [
      [5, 16],
      [8, 24],
    ] as const) {
      let [held, series] = [0, 3000];
      for (let i = 0; i < 3000; i++) {
        // A sea of several waves about 8 s long, and the reader's own error.
        const waves = Array.from({ length: 6 }, () => ({
          s: 6 + 5 * uniform(),
          at: uniform(),
          m: 0.1 * normal(uniform),
        }));
        const values = Array.from({ length: readings }, (_, k) => {
          const t = (spanS * k) / (readings - 1);
          const sea = waves.reduce((sum, { s, at, m }) => sum + m * Math.sin(2 * Math.PI * (t / s + at)), 0);
          return sea + 0.03 * normal(uniform);
        });
        const mean = values.reduce((sum, one) => sum + one, 0) / readings;
        const squares = values.reduce((sum, one) => sum + (one - mean) ** 2, 0);
        const counting = effectiveNumber(readings, spanS, 8);
        const { halfInterval95 } = suretyOf(partsOfMean({ squares, readings, counting, roundings: [] }));
        if (halfInterval95 === null) series -= 1;
        else if (Math.abs(mean) <= halfInterval95) held += 1;
      }
      expect(held / series)
        .withContext(`${readings} in ${spanS} s`)
        .toBeGreaterThan(0.93);
    }
    expect(scatterSd(4, 5)).toBeCloseTo(1, 12);
  });
});
