import type { PlacedFish } from '@grey-keel/model';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { sceneAt, type FishSeen, type SceneFish } from '../../../beams/scene.ts';
import { sectionAt } from '../../../beams/section.ts';
import { defineExercise } from '../../../drill/exercise.ts';

/** A place for a fish is asked where one beam shows it in its cone and the other does not; side lobes do not count. */
export interface WhichBeamQuestion {
  readonly depthM: number;
  readonly lengthCm: number;
  readonly shows: { readonly id: string; readonly name: string };
  readonly silent: { readonly id: string; readonly name: string };
  readonly startsAt: WhichBeamAnswer;
}

/** Where the fish was put. */
export interface WhichBeamAnswer {
  readonly starboardM: number;
  readonly depthM: number;
}

const whyWords: Readonly<Record<FishSeen['state'], string>> = {
  seen: 'it lies outside it, in a side lobe at most',
  faint: 'it is too faint there',
  hidden: "it lies in the bottom's echo",
};

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** Places a fish is tried at: thirteen across and seven down. */
const spots = (depthM: number, halfM: number): WhichBeamAnswer[] =>
  Array.from({ length: 91 }, (_, i) => ({
    starboardM: tenth(((i % 13) / 6 - 1) * halfM),
    depthM: tenth(depthM * (0.3 + 0.1 * Math.floor(i / 13))),
  }));

const seenIn = (fish: SceneFish | undefined, id: string): FishSeen | undefined =>
  fish?.seen.find(({ beamId }) => beamId === id);
const inCone = (seen: FishSeen | undefined): boolean => seen?.state === 'seen' && seen.insideCone;

export const whichBeamShowsIt = defineExercise<WhichBeamQuestion, WhichBeamAnswer>({
  name: 'which beam shows it',

  make: (plan, random) => {
    const depthM = plan.working.depthM;
    const lengthCm = uniformInt(random, 20, 90);
    const widest = Math.max(0, ...sectionAt(plan, depthM).beams.map(({ onBottom }) => onBottom?.acrossM ?? 0));
    const fish = Object.fromEntries(
      spots(depthM, 1.6 * widest).map((spot, i): [string, PlacedFish] => [
        `spot${i}`,
        { ...spot, lengthCm, forwardM: 0 },
      ]),
    );
    const scene = sceneAt(plan, depthM, fish);
    if (!scene) return null;
    const pairs = scene.beams.flatMap((shows) =>
      scene.beams.filter((silent) => silent !== shows).map((silent) => ({ shows, silent })),
    );
    const fits = (pair: (typeof pairs)[number], one: SceneFish): boolean =>
      !one.aground && inCone(seenIn(one, pair.shows.id)) && !inCone(seenIn(one, pair.silent.id));
    const possible = pairs.filter((pair) => scene.fish.some((one) => fits(pair, one)));
    const pair = possible[possible.length ? uniformInt(random, 0, possible.length - 1) : 0];
    if (!pair) return null;
    const wrong = scene.fish.filter((one) => !fits(pair, one) && !one.aground);
    const { starboardM, depthM: startDepthM } = wrong[uniformInt(random, 0, Math.max(0, wrong.length - 1))]?.fish ?? {
      starboardM: 0,
      depthM: depthM / 2,
    };
    return {
      depthM,
      lengthCm,
      shows: { id: pair.shows.id, name: pair.shows.name },
      silent: { id: pair.silent.id, name: pair.silent.name },
      startsAt: { starboardM, depthM: startDepthM },
    };
  },

  startsAt: ({ startsAt }) => startsAt,

  score: (plan, { depthM, lengthCm, shows, silent }, answer) => {
    const fish = sceneAt(plan, depthM, { fish: { lengthCm, forwardM: 0, ...answer } })?.fish[0];
    const [shown, other] = [seenIn(fish, shows.id), seenIn(fish, silent.id)];
    const right = inCone(shown) && !fish?.aground;
    const quiet = other !== undefined && (!inCone(other) || fish?.aground === true);
    return {
      points: (right ? 50 : 0) + (quiet && !fish?.aground ? 50 : 0),
      parts: [
        {
          right,
          words: [
            right
              ? `${shows.name} shows it.`
              : `${shows.name} does not show it in its cone: ${whyWords[shown?.state ?? 'faint']}.`,
          ],
        },
        {
          right: quiet,
          words: [quiet ? `${silent.name} does not show it.` : `${silent.name} has it in its cone too.`],
        },
      ],
      working: [...(shown?.working ?? []), ...(other?.working ?? [])],
    };
  },
});
