import type { PlacedFish, Plan } from '@grey-keel/model';
import { skipN } from 'pure-rand/utils/skipN';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { answerOf } from '../calculation/calculation.ts';
import { imagingFrequency } from '../beams/imaging-frequency.ts';
import { sceneAt } from '../beams/scene.ts';
import { sectionAt, type SectionBeam } from '../beams/section.ts';
import { weakWidthDeg, type MarkStrength } from '../beams/target-area.ts';
import { workingWater } from '../plan/working-water.ts';

const radian = Math.PI / 180;

export const exerciseKinds = ['where is it', 'which beam shows it', 'which frequency'] as const;
export type ExerciseKind = (typeof exerciseKinds)[number];

/** What each beam shows of a mark; the boat's place over the mark is asked. */
export interface WhereExercise {
  readonly kind: 'where is it';
  readonly depthM: number;
  readonly beams: readonly {
    readonly id: string;
    readonly name: string;
    readonly beamwidthDeg: number;
    readonly atM: [number, number];
    readonly shows: MarkStrength;
  }[];
  /** Where the cross stands at first: ahead of every cone, since any place in them is an answer. */
  readonly startsAt: { readonly forwardM: number; readonly starboardM: number };
}

/** A place for a fish is asked where one beam shows it in its cone and the other does not; side lobes do not count. */
export interface WhichBeamExercise {
  readonly kind: 'which beam shows it';
  readonly depthM: number;
  readonly lengthCm: number;
  readonly shows: { readonly id: string; readonly name: string };
  readonly silent: { readonly id: string; readonly name: string };
  /** Where the fish stands at first: neither answer nor far from it. */
  readonly startsAt: { readonly starboardM: number; readonly depthM: number };
}

/** The highest frequency that still images a range in this water is asked. */
export interface WhichFrequencyExercise {
  readonly kind: 'which frequency';
  readonly rangeM: number;
  readonly temperatureC: number;
  readonly salinityPpt: number;
}

export type Exercise = WhereExercise | WhichBeamExercise | WhichFrequencyExercise;

const tenth = (value: number): number => Math.round(value * 10) / 10;
const between = (random: RandomGenerator, from: number, to: number): number =>
  from + ((to - from) * uniformInt(random, 0, 1_000_000)) / 1_000_000;

const shownBy = (beam: SectionBeam, depthM: number, at: { readonly x: number; readonly y: number }): MarkStrength => {
  const aside = Math.hypot(at.x - beam.transducer.starboardM, at.y - beam.transducer.forwardM);
  const angle = Math.atan2(aside, depthM) / radian;
  if (angle <= beam.cone.acrossDeg / 2) return 'strong';
  return angle <= weakWidthDeg(beam.cone.acrossDeg) / 2 ? 'weak' : 'none';
};

const where = (plan: Plan, random: RandomGenerator): WhereExercise | null => {
  const section = sectionAt(plan, plan.working.depthM);
  const sounders = section.beams.filter(({ kind }) => kind === 'sounder');
  const [wide, second] = [...sounders].sort((a, b) => b.cone.acrossDeg - a.cone.acrossDeg);
  if (!wide || !second) return null;
  const depthM = tenth(wide.belowFaceM * between(random, 0.5, 0.95));
  const radius = depthM * Math.tan((wide.cone.acrossDeg / 2) * radian) * Math.sqrt(between(random, 0.05, 0.98));
  const turn = between(random, 0, 2 * Math.PI);
  const fish = {
    x: wide.transducer.starboardM + radius * Math.sin(turn),
    y: wide.transducer.forwardM + radius * Math.cos(turn),
  };
  const ahead = sounders.map(
    ({ transducer, cone }) => transducer.forwardM + 1.1 * depthM * Math.tan((cone.acrossDeg / 2) * radian),
  );
  return {
    kind: 'where is it',
    depthM,
    startsAt: { forwardM: Math.max(0, ...ahead), starboardM: 0 },
    beams: sounders.map((beam) => ({
      id: beam.id,
      name: beam.transducer.name,
      beamwidthDeg: beam.cone.acrossDeg,
      atM: [beam.transducer.forwardM, beam.transducer.starboardM],
      shows: shownBy(beam, depthM, fish),
    })),
  };
};

/** Places a fish is tried at: thirteen across and seven down. */
const spots = (depthM: number, halfM: number): { starboardM: number; depthM: number }[] =>
  Array.from({ length: 91 }, (_, i) => ({
    starboardM: tenth(((i % 13) / 6 - 1) * halfM),
    depthM: tenth(depthM * (0.3 + 0.1 * Math.floor(i / 13))),
  }));

const whichBeam = (plan: Plan, random: RandomGenerator): WhichBeamExercise | null => {
  const depthM = plan.working.depthM;
  const lengthCm = uniformInt(random, 20, 90);
  const widest = Math.max(0, ...sectionAt(plan, depthM).beams.map(({ onBottom }) => onBottom?.acrossM ?? 0));
  const tried = spots(depthM, 1.6 * widest);
  const fish = Object.fromEntries(
    tried.map((spot, i): [string, PlacedFish] => [`spot${i}`, { ...spot, lengthCm, forwardM: 0 }]),
  );
  const scene = sceneAt(plan, depthM, fish);
  if (!scene || scene.beams.length < 2) return null;
  const pairs = scene.beams.flatMap((shows) =>
    scene.beams.filter((silent) => silent !== shows).map((silent) => ({ shows, silent })),
  );
  const fits = (pair: (typeof pairs)[number], one: (typeof scene.fish)[number]): boolean =>
    !one.aground &&
    one.seen.some(({ beamId, state, insideCone }) => beamId === pair.shows.id && state === 'seen' && insideCone) &&
    one.seen.some(({ beamId, state, insideCone }) => beamId === pair.silent.id && !(state === 'seen' && insideCone));
  const possible = pairs.filter((pair) => scene.fish.some((one) => fits(pair, one)));
  if (!possible.length) return null;
  const pair = possible[uniformInt(random, 0, possible.length - 1)];
  if (!pair) return null;
  const wrong = scene.fish.filter((one) => !fits(pair, one) && !one.aground);
  const start = wrong[uniformInt(random, 0, Math.max(0, wrong.length - 1))]?.fish ?? {
    starboardM: 0,
    depthM: depthM / 2,
  };
  return {
    kind: 'which beam shows it',
    depthM,
    lengthCm,
    shows: { id: pair.shows.id, name: pair.shows.name },
    silent: { id: pair.silent.id, name: pair.silent.name },
    startsAt: { starboardM: start.starboardM, depthM: start.depthM },
  };
};

/** Nothing that is sold images higher. */
const highestAskedHz = 1_200_000;
/** Ranges from 20 m on, by five. */
const askedRanges = 27;

const whichFrequency = (plan: Plan, random: RandomGenerator): WhichFrequencyExercise | null => {
  const water = workingWater(plan);
  if (!water) return null;
  const { temperatureC, salinityPpt } = water;
  // Some ranges no frequency covers, and short ones the highest of all: then the next in the round is asked.
  const start = uniformInt(random, 0, askedRanges - 1);
  for (let k = 0; k < askedRanges; k++) {
    const rangeM = 20 + 5 * ((start + k) % askedRanges);
    const { frequencyHz, atEnd } = answerOf(imagingFrequency, { rangeM, temperatureC, salinityPpt });
    if (frequencyHz !== null && atEnd === 'none' && frequencyHz <= highestAskedHz)
      return { kind: 'which frequency', rangeM, temperatureC, salinityPpt };
  }
  return null;
};

const makers: Readonly<Record<ExerciseKind, (plan: Plan, random: RandomGenerator) => Exercise | null>> = {
  'where is it': where,
  'which beam shows it': whichBeam,
  'which frequency': whichFrequency,
};

/**
 * An exercise of a kind for this boat in this water, the same for the same whole-number seed; null where the boat or
 * the water does not allow one (two sounders, or a described water, are missing).
 */
export const makeExercise = (plan: Plan, kind: ExerciseKind, seed: number): Exercise | null => {
  const random = xoroshiro128plus(seed | 0);
  // Seeds that lie close together begin alike.
  skipN(random, 32);
  return makers[kind](plan, random);
};
