import { normal, seeded } from '../testing/sample-plan.ts';
import { expectWorkingHolds } from '../testing/evaluated.ts';
import { effectiveNumber, partsOfMean, roundingOf, suretyOf, suretySteps } from './surety.ts';

describe('what rounding leaves', () => {
  it('is each reading’s own where they lie apart, by places where they lie in few, and shared in one', () => {
    // Step² / 12 is the variance of an even error over a step.
    expect(roundingOf([1, 2.3, 4.1], 0.1).apartVariance).toBeCloseTo(0.01 / 12, 12);
    expect(roundingOf([1, 2.3, 4.1], 0.1).shared).toBeNull();
    // Six readings in two places are off by two errors and not by six: each counts for three.
    expect(roundingOf([5, 5, 5, 9, 9, 9], 0.1).apartVariance).toBeCloseTo(0.03 / 12, 12);
    expect(roundingOf([1, 1, 1], 0.1, 2).shared).toEqual({ halfStep: 0.1 });
    expect(roundingOf([1, 1, 1, 1.1], 0.1).shared).not.toBeNull();
    // As many of one step as of the next: the place lies between them, and its readings tell.
    expect(roundingOf([1, 1.1, 1, 1.1], 0.1).shared).toBeNull();
    expect(roundingOf([1, 1], 0)).toEqual({ apartVariance: 0, shared: null });
  });

  it('of one instrument and of two is what 95 of 100 sums of even errors lie within', () => {
    const uniform = seeded(3);
    for (const steps of [[1], [1, 1], [1, 0.5], [1, 0.1]]) {
      const sums = Array.from({ length: 40_000 }, () =>
        Math.abs(steps.reduce((sum, step) => sum + step * (uniform() - 0.5), 0)),
      ).sort((a, b) => a - b);
      const { sharedHalf95 } = suretyOf({
        scatter: 0,
        degreesOfFreedom: 3,
        floor: 0,
        roundings: steps.map((step) => ({ halfStep: step / 2 })),
      });
      expect(sharedHalf95).withContext(steps.join(' and ')).toBeCloseTo(sums[38_000]!, 2);
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
        roundings: [{ apartVariance: 0, shared: { halfStep: 0.5 } }],
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
          // Nobody reads by the clock.
          const t = (spanS * (k + (k > 0 && k < readings - 1 ? 0.8 * (uniform() - 0.5) : 0))) / (readings - 1);
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
    expect(suretyOf(partsOfMean({ squares: 1, readings: 5, counting: 1, roundings: [] })).halfInterval95).toBeNull();
  });
});
