import type { Plan } from '@grey-keel/model';
import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { imagingFrequency } from '../beams/imaging-frequency.ts';
import { sceneAt } from '../beams/scene.ts';
import { aBeam, aPlan, aTransducer } from '../testing/sample-plan.ts';
import { exerciseKinds, makeExercise } from './exercise.ts';
import { scoreOf, type Answer } from './score.ts';

const plan: Plan = {
  ...aPlan(),
  transducers: {
    wide: aTransducer({ name: 'Wide', beams: [aBeam({ beamwidthDeg: 30 })] }),
    narrow: aTransducer({ name: 'Narrow', starboardM: 1, beams: [aBeam({ beamwidthDeg: 8 })] }),
  },
};
const nothing: Answer = { forwardM: 0, starboardM: 0, depthM: 10, frequencyHz: 400_000 };
const seeds = fc.integer({ min: 0, max: 1_000_000 });

describe('drill', () => {
  it('makes the same exercise of the same seed, and others of others', () => {
    for (const kind of exerciseKinds) {
      expect(makeExercise(plan, kind, 7))
        .withContext(kind)
        .toEqual(makeExercise(plan, kind, 7));
      const many = new Set(Array.from({ length: 20 }, (_, seed) => JSON.stringify(makeExercise(plan, kind, seed))));
      expect(many.size).withContext(kind).toBeGreaterThan(5);
    }
  });

  it('has an answer worth a hundred for every mark, and a boat length off is worth nothing', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const exercise = makeExercise(plan, 'where is it', seed);
        if (exercise?.kind !== 'where is it') return fail('There is no exercise.');
        expect(exercise.beams.find(({ name }) => name === 'Wide')?.shows).toBe('strong');
        const points = (forwardM: number, starboardM: number): number =>
          scoreOf(plan, exercise, { ...nothing, forwardM, starboardM }).points;
        // The ring and the middle are both found by walking over the wide cone.
        const radius = exercise.depthM * Math.tan((15 * Math.PI) / 180);
        const walked = Array.from({ length: 160 }, (_, i) => {
          const r = radius * Math.sqrt((i + 0.5) / 160);
          return points(2 + r * Math.cos(i * 2.4), -0.8 + r * Math.sin(i * 2.4));
        });
        expect(Math.max(...walked)).toBe(100);
        expect(points(2 + 3 * radius + 40, 0)).toBe(0);
      }),
      { numRuns: 6 },
    );
  });

  it('asks for a fish that one beam shows and the other does not, from where it is not so', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const exercise = makeExercise(plan, 'which beam shows it', seed);
        if (exercise?.kind !== 'which beam shows it') return fail('There is no exercise.');
        expect(exercise.shows.id).not.toBe(exercise.silent.id);
        expect(scoreOf(plan, exercise, { ...nothing, ...exercise.startsAt }).points).toBeLessThan(100);
        const scores = Array.from({ length: 450 }, (_, i) =>
          scoreOf(plan, exercise, {
            ...nothing,
            starboardM: ((i % 30) / 15 - 1) * 20,
            depthM: exercise.depthM * (0.2 + 0.052 * Math.floor(i / 30)),
          }),
        );
        expect(Math.max(...scores.map(({ points }) => points))).toBe(100);
      }),
      { numRuns: 4 },
    );
  });

  it('gives nothing for a fish put under the bottom', () => {
    const exercise = makeExercise(plan, 'which beam shows it', 3);
    if (exercise?.kind !== 'which beam shows it') return fail('There is no exercise.');
    const under = { ...nothing, depthM: exercise.depthM + 1 };
    expect(
      sceneAt(plan, exercise.depthM, { f: { lengthCm: 40, forwardM: 0, starboardM: 0, depthM: under.depthM } })?.fish[0]
        ?.aground,
    ).toBeTrue();
    expect(scoreOf(plan, exercise, under).points).toBe(0);
  });

  it('wants the highest frequency that still covers: a fifth too high is worth less than a fifth too low', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const exercise = makeExercise(plan, 'which frequency', seed);
        if (exercise?.kind !== 'which frequency') return fail('There is no exercise.');
        const { frequencyHz } = answerOf(imagingFrequency, {
          rangeM: exercise.rangeM,
          temperatureC: exercise.temperatureC,
          salinityPpt: exercise.salinityPpt,
        });
        const points = (factor: number): number =>
          scoreOf(plan, exercise, { ...nothing, frequencyHz: (frequencyHz ?? 0) * factor }).points;
        expect(points(1)).toBe(100);
        expect(points(0.8)).toBeGreaterThan(points(1.2));
        expect(points(0.4)).toBe(0);
        expect(scoreOf(plan, exercise, nothing).working.length).toBeGreaterThan(0);
      }),
      { numRuns: 12 },
    );
  });

  it('is not offered where the boat or its water does not allow it', () => {
    const one = { ...plan, transducers: { wide: aTransducer() } };
    expect(makeExercise(one, 'where is it', 1)).toBeNull();
    expect(makeExercise(one, 'which beam shows it', 1)).toBeNull();
    expect(makeExercise({ ...plan, waters: {} }, 'which frequency', 1)).toBeNull();
  });
});
