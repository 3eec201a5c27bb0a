import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { groundRange } from './ground-range.ts';

describe('ground-range', () => {
  it('of a 3-4-5 triangle, and the rule 2 m short', () => {
    const answer = answerOf(groundRange, { slantRangeM: 5, heightM: 3 });
    expect(answer.groundRangeM).toBeCloseTo(4, 9);
    expect(answer.ruleM).toBeCloseTo(2, 9);
    expect(answer.ruleErrorM).toBeCloseTo(-2, 9);
  });

  it('of a target at the height of the unit is the slant range itself', () => {
    expect(answerOf(groundRange, { slantRangeM: 20, heightM: 8, targetHeightM: 8 }).groundRangeM).toBe(20);
  });

  it('always obeys Pythagoras, and the rule never reads far enough on a flat bottom', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        (heightM, ground) => {
          const answer = answerOf(groundRange, { slantRangeM: Math.hypot(heightM, ground), heightM });
          expect(answer.groundRangeM).toBeCloseTo(ground, 5);
          expect(answer.ruleErrorM).toBeLessThanOrEqual(1e-9);
        },
      ),
    );
  });

  it('refuses a slant range shorter than the way straight down', () => {
    const result = calculate(groundRange, { slantRangeM: 2, heightM: 3 });
    expect(result).toEqual({
      ok: false,
      errors: [jasmine.objectContaining({ field: 'slantRangeM', range: '3 or more' })],
    });
  });
});
