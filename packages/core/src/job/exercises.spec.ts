import type { Plan } from '@grey-keel/model';
import { askOf } from '../drill/exercise.ts';
import { aBeam, aPlan, aTransducer } from '../testing/sample-plan.ts';
import { builtStages } from './stages.ts';

const plan: Plan = {
  ...aPlan(),
  transducers: {
    wide: aTransducer({ name: 'Wide', beams: [aBeam({ beamwidthDeg: 30 })] }),
    narrow: aTransducer({ name: 'Narrow', starboardM: 1, beams: [aBeam({ beamwidthDeg: 8 })] }),
  },
};
const exercises = builtStages.flatMap((stage) => stage.exercises);

describe('the exercises of all stages', () => {
  it('have names of their own', () => {
    expect(exercises.length).toBeGreaterThan(2);
    expect(new Set(exercises.map(({ name }) => name)).size).toBe(exercises.length);
  });

  it('ask the same of the same seed, and others of others', () => {
    for (const exercise of exercises) {
      const once = askOf(exercise, plan, 7);
      expect(once).withContext(exercise.name).not.toBeNull();
      expect(once)
        .withContext(exercise.name)
        .toEqual(askOf(exercise, plan, 7));
      const many = new Set(Array.from({ length: 20 }, (_, seed) => JSON.stringify(askOf(exercise, plan, seed))));
      expect(many.size).withContext(exercise.name).toBeGreaterThan(5);
    }
  });
});
