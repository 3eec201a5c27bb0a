import type { Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { imagingFrequency } from '../../../beams/imaging-frequency.ts';
import { sceneAt } from '../../../beams/scene.ts';
import { answerOf } from '../../../calculation/calculation.ts';
import { askOf, type AnyExercise, type Exercise } from '../../../drill/exercise.ts';
import { aBeam, aPlan, aTransducer } from '../../../testing/sample-plan.ts';
import { whereIsIt } from './where-is-it.ts';
import { whichBeamShowsIt } from './which-beam-shows-it.ts';
import { whichFrequency } from './which-frequency.ts';

const plan: Plan = {
  ...aPlan(),
  transducers: {
    wide: aTransducer({ name: 'Wide', beams: [aBeam({ beamwidthDeg: 30 })] }),
    narrow: aTransducer({ name: 'Narrow', starboardM: 1, beams: [aBeam({ beamwidthDeg: 8 })] }),
  },
};
const seeds = fc.integer({ min: 0, max: 1_000_000 });

const asked = <Question, Answer>(exercise: Exercise<Question, Answer>, seed: number): Question => {
  const question = askOf(exercise, plan, seed);
  if (question === null) throw new Error(`${exercise.name} asks nothing.`);
  return question;
};

describe('exercises on beams', () => {
  it('have an answer worth a hundred for every mark, and a boat length off is worth nothing', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const question = asked(whereIsIt, seed);
        expect(question.beams.find(({ name }) => name === 'Wide')?.shows).toBe('strong');
        const points = (forwardM: number, starboardM: number): number =>
          whereIsIt.score(plan, question, { forwardM, starboardM }).points;
        // The ring and the middle are both found by walking over the wide cone.
        const radius = question.depthM * Math.tan((15 * Math.PI) / 180);
        const walked = Array.from({ length: 160 }, (_, i) => {
          const r = radius * Math.sqrt((i + 0.5) / 160);
          return points(2 + r * Math.cos(i * 2.4), -0.8 + r * Math.sin(i * 2.4));
        });
        expect(Math.max(...walked)).toBe(100);
        const off = whereIsIt.score(plan, question, { forwardM: 2 + 3 * radius + 40, starboardM: 0 });
        expect([off.points, off.parts.map(({ right }) => right)]).toEqual([0, [false]]);
        const start = whereIsIt.startsAt(question);
        expect(points(start.forwardM, start.starboardM)).toBeLessThan(100);
      }),
      { numRuns: 6 },
    );
  });

  it('ask for a fish that one beam shows and the other does not, from where it is not so', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const question = asked(whichBeamShowsIt, seed);
        expect(question.shows.id).not.toBe(question.silent.id);
        const points = (starboardM: number, depthM: number): number =>
          whichBeamShowsIt.score(plan, question, { starboardM, depthM }).points;
        const start = whichBeamShowsIt.startsAt(question);
        expect(points(start.starboardM, start.depthM)).toBeLessThan(100);
        const scores = Array.from({ length: 450 }, (_, i) =>
          points(((i % 30) / 15 - 1) * 20, question.depthM * (0.2 + 0.052 * Math.floor(i / 30))),
        );
        expect(Math.max(...scores)).toBe(100);
      }),
      { numRuns: 4 },
    );
  });

  it('give nothing for a fish put under the bottom', () => {
    const question = asked(whichBeamShowsIt, 3);
    const depthM = question.depthM + 1;
    expect(
      sceneAt(plan, question.depthM, { f: { lengthCm: 40, forwardM: 0, starboardM: 0, depthM } })?.fish[0]?.aground,
    ).toBeTrue();
    expect(whichBeamShowsIt.score(plan, question, { starboardM: 0, depthM }).points).toBe(0);
  });

  it('want the highest frequency that still covers: a fifth too high is worth less than a fifth too low', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const question = asked(whichFrequency, seed);
        const idealHz = answerOf(imagingFrequency, question).frequencyHz ?? 0;
        const scored = (frequencyHz: number) => whichFrequency.score(plan, question, { frequencyHz });
        expect(scored(idealHz).points).toBe(100);
        expect(scored(0.8 * idealHz).points).toBeGreaterThan(scored(1.2 * idealHz).points);
        expect(scored(0.4 * idealHz).points).toBe(0);
        const start = scored(whichFrequency.startsAt(question).frequencyHz);
        expect([start.points < 100, start.working.length > 0]).toEqual([true, true]);
        expect(start.parts[0]?.words).toContain({ value: idealHz, quantity: 'frequency' });
      }),
      { numRuns: 12 },
    );
  });

  it('are not offered where the boat or its water does not allow it', () => {
    const one = { ...plan, transducers: { wide: aTransducer() } };
    const without = (exercise: AnyExercise, bare: Plan): unknown => askOf(exercise, bare, 1);
    expect(without(whereIsIt, one)).toBeNull();
    expect(without(whichBeamShowsIt, one)).toBeNull();
    expect(without(whichFrequency, { ...plan, waters: {} })).toBeNull();
  });
});
