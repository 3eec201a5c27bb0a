import type { Plan, WorkingStep } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { imagingFrequency } from '../beams/imaging-frequency.ts';
import { sceneAt, type FishSeen } from '../beams/scene.ts';
import { targetArea } from '../beams/target-area.ts';
import type { Exercise, WhereExercise, WhichBeamExercise, WhichFrequencyExercise } from './exercise.ts';

export interface Answer {
  /** Where the mark is said to be, or the fish was put. */
  readonly forwardM: number;
  readonly starboardM: number;
  readonly depthM: number;
  readonly frequencyHz: number;
}

export interface Score {
  /** 0 to 100. */
  readonly points: number;
  readonly parts: readonly ScoredPart[];
  readonly working: readonly WorkingStep[];
}

/** One thing that was right or not. `offM` and `idealHz` say by how much and what would have been right. */
export type ScoredPart =
  | { readonly is: 'inside the area' | 'outside the area'; readonly offM: number }
  | {
      readonly is: 'shows it' | 'should show it' | 'does not show it' | 'should not show it';
      readonly beam: string;
      readonly why: FishSeen['state'];
    }
  | { readonly is: 'covers the range' | 'does not cover the range'; readonly idealHz: number };

const where = (plan: Plan, { beams, depthM }: WhereExercise, answer: Answer): Score => {
  const { moveM, working } = answerOf(targetArea, {
    beams: beams.map(({ beamwidthDeg, atM, shows }) => ({ beamwidthDeg, atM, shows })),
    depthM,
    fromAtM: [answer.forwardM, answer.starboardM],
  });
  const offM = moveM ?? Number.POSITIVE_INFINITY;
  // A boat's length off is as good as not having looked.
  const points = Math.round(100 * Math.max(0, 1 - offM / (plan.boat.lengthM ?? 6)));
  return { points, parts: [{ is: offM === 0 ? 'inside the area' : 'outside the area', offM }], working };
};

const whichBeam = (plan: Plan, exercise: WhichBeamExercise, answer: Answer): Score => {
  const { starboardM, depthM } = answer;
  const scene = sceneAt(plan, exercise.depthM, {
    fish: { lengthCm: exercise.lengthCm, forwardM: 0, starboardM, depthM },
  });
  const [fish] = scene?.fish ?? [];
  const of = (id: string): FishSeen | undefined => fish?.seen.find(({ beamId }) => beamId === id);
  const [shows, silent] = [of(exercise.shows.id), of(exercise.silent.id)];
  const shown = shows?.state === 'seen' && shows.insideCone && !fish?.aground;
  const quiet = silent !== undefined && (silent.state !== 'seen' || !silent.insideCone || fish?.aground === true);
  return {
    points: (shown ? 50 : 0) + (quiet && !fish?.aground ? 50 : 0),
    parts: [
      { is: shown ? 'shows it' : 'should show it', beam: exercise.shows.name, why: shows?.state ?? 'faint' },
      {
        is: quiet ? 'does not show it' : 'should not show it',
        beam: exercise.silent.name,
        why: silent?.state ?? 'faint',
      },
    ],
    working: [...(shows?.working ?? []), ...(silent?.working ?? [])],
  };
};

const whichFrequency = (
  { rangeM, temperatureC, salinityPpt }: WhichFrequencyExercise,
  { frequencyHz }: Answer,
): Score => {
  const answer = answerOf(imagingFrequency, { rangeM, temperatureC, salinityPpt });
  const idealHz = answer.frequencyHz ?? 0;
  const covers = frequencyHz <= idealHz * 1.02;
  const octaves = Math.abs(Math.log2(frequencyHz / idealHz));
  // A picture that does not reach is worth less than one a little coarse.
  const points = Math.round(Math.max(0, 100 * (1 - Math.max(0, octaves - 0.03))) * (covers ? 1 : 0.5));
  return {
    points,
    parts: [{ is: covers ? 'covers the range' : 'does not cover the range', idealHz }],
    working: answer.working,
  };
};

/** How good an answer to an exercise is, by the same calculations the stages use, with their working. */
export const scoreOf = (plan: Plan, exercise: Exercise, answer: Answer): Score => {
  switch (exercise.kind) {
    case 'where is it':
      return where(plan, exercise, answer);
    case 'which beam shows it':
      return whichBeam(plan, exercise, answer);
    case 'which frequency':
      return whichFrequency(exercise, answer);
  }
};
