import fc from 'fast-check';
import { headingOffset } from '../../../calibration/heading-offset.ts';
import { answerOf } from '../../../calculation/calculation.ts';
import { askOf } from '../../../drill/exercise.ts';
import { aPlan } from '../../../testing/sample-plan.ts';
import { calibrateExercises, hiddenHeading, hiddenLog } from './hidden-error.ts';

const plan = aPlan();
const seeds = fc.integer({ min: 0, max: 1_000_000 });

describe('exercises on calibrating', () => {
  it('are worth a hundred for the hidden figure from as many runs as it takes, and little for nothing done', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        for (const exercise of Object.values(calibrateExercises)) {
          const question = askOf(exercise, plan, seed)!;
          const points = (taken: number, entered = question.hidden): number =>
            exercise.score(plan, question, { taken, entered }).points;
          const best = [2, 3, 4, 5, 6, 7, 8].map((taken) => points(taken));
          expect(Math.max(...best)).toBe(100);
          expect(best.filter((score) => score === 100).length).toBe(1);
          expect(exercise.score(plan, question, exercise.startsAt(question)).points).toBeLessThan(75);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('tell an offset with its sign turned, and runs too few or too many', () => {
    const question = askOf(hiddenHeading, plan, 11)!;
    const said = (taken: number, entered: number): string =>
      hiddenHeading
        .score(plan, question, { taken, entered })
        .parts.flatMap(({ words }) => words)
        .filter((word) => typeof word === 'string')
        .join('');
    expect(said(4, -question.hidden)).toContain('the sign is the wrong way round');
    expect(said(4, question.hidden)).not.toContain('wrong way round');
    expect(said(2, question.hidden)).toContain('too few');
    expect(said(8, question.hidden)).toMatch(/would have done|as many as it takes/);
  });

  it('can be worked out from what is shown: the calculation finds what was hidden', () => {
    let near = 0;
    for (let seed = 0; seed < 40; seed++) {
      const question = askOf(hiddenHeading, plan, seed)!;
      const runs = question.runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg }));
      if (Math.abs(answerOf(headingOffset, { runs }).offsetDeg - question.hidden) < 1.5) near += 1;
      expect(askOf(hiddenLog, plan, seed)?.hidden).not.toBe(1);
    }
    expect(near).toBeGreaterThan(36);
  });
});
