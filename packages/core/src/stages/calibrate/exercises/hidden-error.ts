import type { Figure, WorkingStep } from '@grey-keel/model';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { bearingOf, eastNorth, wrapped } from '../../../calibration/bearings.ts';
import { headingOffset } from '../../../calibration/heading-offset.ts';
import { speedFactor } from '../../../calibration/speed-factor.ts';
import { calculate } from '../../../calculation/calculation.ts';
import { between, defineExercise, type Score } from '../../../drill/exercise.ts';
import { figure } from '../../../findings/rule.ts';

export interface AskedRun {
  readonly headingDeg: number;
  readonly logMps: number;
  readonly sogMps: number;
  readonly cogDeg: number;
}

/** A boat whose heading sensor or log is off by what is not told; its runs are seen one after the other. */
export interface HiddenErrorQuestion {
  readonly of: 'heading' | 'speed';
  /** Degrees to be added, or true speed for one shown. */
  readonly hidden: number;
  readonly runs: readonly AskedRun[];
}

export interface HiddenErrorAnswer {
  /** So many of the runs are looked at. */
  readonly taken: number;
  readonly entered: number;
}

/** As near as it need be, and as far as it counts for nothing; what is sure enough for a boat. */
const marks = {
  heading: { full: 1, none: 6, tolerance: 2, least: 4, together: 2 },
  speed: { full: 0.01, none: 0.1, tolerance: 0.03, least: 3, together: 1 },
} as const;
const mostRuns = 8;

interface Worked {
  readonly value: number;
  readonly half: number | null;
  readonly working: readonly WorkingStep[];
}

/** What the first runs give; null where they give nothing yet. */
const workedOut = ({ of, runs }: HiddenErrorQuestion, taken: number): Worked | null => {
  const seen = runs.slice(0, taken);
  if (of === 'heading') {
    const shown = seen.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg }));
    const result = calculate(headingOffset, { runs: shown });
    if (!result.ok) return null;
    const { offsetDeg, halfInterval95Deg, working } = result.answer;
    return { value: offsetDeg, half: halfInterval95Deg, working };
  }
  const result = calculate(speedFactor, { runs: seen });
  if (!result.ok) return null;
  const { factor, factorHalfInterval95, working } = result.answer;
  return { value: factor, half: factorHalfInterval95, working };
};

/** The fewest runs that are sure enough; all of them where none are. */
const fewestRuns = (question: HiddenErrorQuestion): number => {
  const { tolerance, least, together } = marks[question.of];
  for (let taken: number = least; taken <= mostRuns; taken += together) {
    const half = workedOut(question, taken)?.half;
    if (half != null && half <= tolerance) return taken;
  }
  return mostRuns;
};

const figureOf = (of: HiddenErrorQuestion['of'], value: number): Figure =>
  figure(value, of === 'heading' ? 'angle' : 'fraction');

const askedRuns = (random: RandomGenerator, of: HiddenErrorQuestion['of'], hidden: number): AskedRun[] => {
  const first = between(random, 0, 360);
  const throughMps = between(random, 2.5, 4);
  const current = eastNorth(between(random, 0, 360), between(random, 0.3, 1.2));
  const round = (deg: number): number => ((Math.round(deg) % 360) + 360) % 360;
  return Array.from({ length: mostRuns }, (_, i): AskedRun => {
    const pointedDeg = first + 180 * i + (of === 'heading' ? 90 : 45) * Math.floor(i / 2);
    const through = eastNorth(pointedDeg, throughMps * between(random, 0.97, 1.03));
    const over = { east: through.east + current.east, north: through.north + current.north };
    return {
      headingDeg: round(pointedDeg - (of === 'heading' ? hidden : 0) + between(random, -1.5, 1.5)),
      logMps: Math.round((100 * throughMps * between(random, 0.98, 1.02)) / (of === 'speed' ? hidden : 1)) / 100,
      sogMps: Math.round(100 * Math.hypot(over.east, over.north) + between(random, -4, 4)) / 100,
      cogDeg: round(bearingOf(over) + between(random, -1, 1)),
    };
  });
};

const scored = (question: HiddenErrorQuestion, { taken, entered }: HiddenErrorAnswer): Score => {
  const { of, hidden } = question;
  const { full, none } = marks[of];
  const off = of === 'heading' ? wrapped(entered - hidden) : entered - hidden;
  const near = Math.max(0, Math.min(1, (none - Math.abs(off)) / (none - full)));
  const fewest = fewestRuns(question);
  const few = Math.max(0, 1 - 0.25 * Math.abs(taken - fewest));
  const turned = of === 'heading' && Math.abs(wrapped(entered + hidden)) < Math.abs(off) && Math.abs(hidden) > full;
  const worked = workedOut(question, taken);
  return {
    points: Math.round(70 * near + 30 * few),
    parts: [
      {
        right: near === 1,
        words: [
          of === 'heading' ? 'The offset was ' : 'The factor was ',
          figureOf(of, hidden),
          ', off by ',
          figureOf(of, Math.abs(off)),
          turned ? ': the sign is the wrong way round.' : '.',
        ],
      },
      {
        right: taken === fewest,
        words: [
          taken < fewest
            ? `${taken} runs are too few to be sure enough; ${fewest} would be.`
            : taken > fewest
              ? `${fewest} runs would have done; you took ${taken}.`
              : `${taken} runs are as many as it takes.`,
        ],
      },
    ],
    working: worked?.working ?? [],
  };
};

/** What the heading sensor is off by, from as few runs there and back as it takes. */
export const hiddenHeading = defineExercise<HiddenErrorQuestion, HiddenErrorAnswer>({
  name: 'which heading offset',
  make: (_plan, random) => {
    const hidden = between(random, 3, 12) * (between(random, 0, 1) < 0.5 ? -1 : 1);
    return { of: 'heading', hidden, runs: askedRuns(random, 'heading', hidden) };
  },
  startsAt: () => ({ taken: 2, entered: 0 }),
  score: (_plan, question, answer) => scored(question, answer),
});

/** What the log has to be multiplied by, in a current that is not told. */
export const hiddenLog = defineExercise<HiddenErrorQuestion, HiddenErrorAnswer>({
  name: 'which log factor',
  make: (_plan, random) => {
    const hidden = 1 + between(random, 0.04, 0.14) * (between(random, 0, 1) < 0.5 ? -1 : 1);
    return { of: 'speed', hidden, runs: askedRuns(random, 'speed', hidden) };
  },
  startsAt: () => ({ taken: 2, entered: 1 }),
  score: (_plan, question, answer) => scored(question, answer),
});

/** What can be practised of calibrating, in the order it is asked. */
export const calibrateExercises = { hiddenHeading, hiddenLog };
