import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { temperatureOffset } from './temperature-offset.ts';

const offsetOf = (pairs: readonly (readonly [referenceC: number, displayedC: number])[], more: object = {}) =>
  answerOf(temperatureOffset, {
    readings: pairs.map(([referenceC, displayedC]) => ({ referenceC, displayedC })),
    ...more,
  });

describe('temperature-offset', () => {
  it('gives the mean, standard error and interval that Student (1908) gives for his ten pairs', () => {
    const hours = [1.2, 2.4, 1.3, 1.3, 0, 1, 1.8, 0.8, 4.6, 1.4];
    const answer = offsetOf(
      hours.map((more) => [10 + more, 10]),
      { displayResolutionC: 0.001 },
    );
    expect(answer.offsetC).toBeCloseTo(1.58, 9);
    expect(answer.standardErrorC).toBeCloseTo(0.389, 3);
    // Published as 0.70 to 2.46.
    expect(answer.offsetC - (answer.halfInterval95C ?? 0)).toBeCloseTo(0.7, 2);
    expect(answer.offsetC + (answer.halfInterval95C ?? 0)).toBeCloseTo(2.46, 2);
  });

  it('takes the rounding of both instruments for the least scatter: undivided in one water, which all readings share', () => {
    const steps = { referenceResolutionC: 0.3, displayResolutionC: 0.4 };
    const several = offsetOf(
      [9, 11, 13, 15].map((at) => [at, at - 0.5] as const),
      steps,
    );
    expect(several.standardErrorC).toBeCloseTo(0.5 / Math.sqrt(12) / 2, 9);
    expect(several.halfInterval95C).toBeCloseTo((1.96 * 0.5) / Math.sqrt(12) / 2, 9);
    const one = offsetOf(
      Array.from({ length: 4 }, () => [9, 8.5] as const),
      steps,
    );
    expect(one.standardErrorC).toBeCloseTo(0.5 / Math.sqrt(12), 9);
    // Two even errors, 0.15 and 0.2 each way: 95 of 100 sums lie within 0.15 + 0.2 - sqrt(0.2 x 0.15 x 0.2).
    expect(one.halfInterval95C).toBeCloseTo(0.35 - Math.sqrt(0.006), 9);
    // Two in one water say nothing of their own uncertainty; a third, or another water, does.
    const two = offsetOf([
      [9, 8.5],
      [9, 8.5],
    ]);
    expect(two.halfInterval95C).toBeNull();
    expect(two.flags.join()).toContain('Read a third');
  });

  it('tells the steps from the readings', () => {
    const answer = offsetOf([9.2, 14.1, 10.05].map((at, i) => [at, 8.5 + i] as const));
    expect([answer.displayResolutionC, answer.referenceResolutionC]).toEqual([0.5, 0.01]);
  });

  it('finds a gain where the readings carry one, and keeps the offset the plain mean of the differences', () => {
    const spread = [4.1, 9.2, 14.1, 19.3, 24.2];
    const grown = offsetOf(spread.map((at) => [at, 0.95 * at + 0.5]));
    expect(grown.gainJustified).toBeTrue();
    expect(grown.gain).toBeCloseTo(1 / 0.95, 2);
    expect(grown.offsetC).toBeCloseTo(0.05 * 14.18 - 0.5, 9);
    expect(grown.flags.join()).toContain('grows with temperature');
    const level = offsetOf(spread.map((at, i) => [at, at - 0.7 + (i % 2) * 0.1]));
    expect(level.gainJustified).toBeFalse();
    expect(offsetOf([9, 10, 11].map((at) => [at, at - 1] as const)).gain).toBeNull();
  });

  it('has no error for one reading, and refuses what no water is', () => {
    const one = offsetOf([[9.2, 8.5]]);
    expect([one.standardErrorC, one.halfInterval95C]).toEqual([null, null]);
    expect(one.flags.length).toBe(1);
    expect(refusalOf(temperatureOffset, { readings: [{ referenceC: 80, displayedC: 8 }] })).toContain('referenceC');
  });
});
