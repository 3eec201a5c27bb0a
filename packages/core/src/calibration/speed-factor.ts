import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { eastNorth, wrapped } from './bearings.ts';
import { leastSquares } from './least-squares.ts';
import { angleSteps, roundingSd, speedSteps, stepOf } from './display-step.ts';
import { pairCurrents, turnOf } from './pair-currents.ts';
import { scatterAlong } from './scatter-along.ts';
import { roundingOf, suretyOf, type SuretyParts, suretySteps } from './surety.ts';

/** Headings that spread less than so tell factor and current too poorly apart: about 40° between two runs. */
const leastSpread = 0.12;

interface Run {
  readonly logMps: number;
  readonly headingDeg: number;
  readonly sogMps: number;
  readonly cogDeg: number;
}

/** How sure the factor is: by the scatter along the track, by the steps the runs are read in, and by what they share. */
const suretyParts = (
  runs: readonly Run[],
  factor: number,
  gain: number,
  scatter: ReturnType<typeof scatterAlong>,
): SuretyParts => {
  const [logs, sogs, cogs] = [
    runs.map((run) => run.logMps),
    runs.map((run) => run.sogMps),
    runs.map((run) => run.cogDeg),
  ];
  const meanLogMps = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  const log = roundingOf(logs, stepOf(logs, speedSteps), factor);
  const over = roundingOf(sogs, stepOf(sogs, speedSteps));
  // What a course is off by counts along the track as far as the current sets the boat across it.
  const courseSd = (roundingSd(stepOf(cogs, angleSteps)) * Math.PI) / 180;
  const across =
    runs.reduce(
      (sum, { sogMps, cogDeg, headingDeg }) =>
        sum + (sogMps * Math.sin((wrapped(cogDeg - headingDeg) * Math.PI) / 180)) ** 2,
      0,
    ) / runs.length;
  const ofFactor = ({ shared }: ReturnType<typeof roundingOf>) => shared && { halfStep: shared.halfStep / meanLogMps };
  return {
    scatter: gain * Math.sqrt(scatter.squares / scatter.divisor),
    degreesOfFreedom: scatter.degreesOfFreedom,
    floor: gain * Math.sqrt(log.apartVariance + over.apartVariance + across * courseSd ** 2),
    roundings: [ofFactor(log), ofFactor(over)],
  };
};

/**
 * What the displayed speed through water has to be multiplied by, and the current, from straight runs on several headings.
 *
 * runs: displayed speed 0.3 to 40 m/s, true heading, speed and course over ground averaged over each run, at least two on
 * headings that differ. Over ground = factor x displayed along the heading + current, east and north, by least squares.
 * A log errs along the track, a compass and a course across it: from three runs on the interval is drawn from what is left
 * over along the track alone, floored by the steps that log and speed over ground are read in; logs that are all read in one
 * step share its rounding. Two runs say nothing of their own uncertainty: no interval.
 * A current that turns cancels in pairs there and back, not in runs all round: it is judged by comparing the currents of
 * successive pairs, and where it turned each pair has its own. The plain ratio (mean over ground / mean displayed) is given beside it: it ignores the current.
 * Source: least squares (Draper and Smith 1998, ch. 5) on the triangle of velocities.
 */
export const speedFactor = defineCalculation({
  name: 'speed-factor',
  purpose: 'Factor of the speed through water, and the current, from runs on several headings',
  version: 3,
  input: z.strictObject({
    runs: z
      .array(
        z.strictObject({
          logMps: z.number().min(0.3).max(40),
          headingDeg: z.number().min(0).max(360),
          sogMps: z.number().min(0).max(45),
          cogDeg: z.number().min(0).max(360),
        }),
      )
      .min(2)
      .max(200),
  }),
  output: z.strictObject({
    factor: z.number(),
    /** Null below three runs, as the interval. */
    factorStandardError: z.number().nullable(),
    factorHalfInterval95: z.number().nullable(),
    /** What of the interval all readings share: more of them do not make it less. */
    sharedHalf95: z.number(),
    currentEastMps: z.number(),
    currentNorthMps: z.number(),
    naiveFactor: z.number(),
    /** Of each run: what is left over of its velocity over ground. */
    residualsMps: z.array(z.number()),
    runsUsed: z.number(),
  }),
  run: ({ runs }) => {
    const through = runs.map(({ headingDeg, logMps }) => eastNorth(headingDeg, logMps));
    const over = runs.map(({ cogDeg, sogMps }) => eastNorth(cogDeg, sogMps));
    const n = runs.length;
    const middle = (parts: readonly { east: number; north: number }[]): { east: number; north: number } => ({
      east: parts.reduce((sum, { east }) => sum + east, 0) / n,
      north: parts.reduce((sum, { north }) => sum + north, 0) / n,
    });
    const [meanThrough, meanOver] = [middle(through), middle(over)];
    const squared = through.reduce((sum, { east, north }) => sum + east ** 2 + north ** 2, 0);
    const sxx = squared - n * (meanThrough.east ** 2 + meanThrough.north ** 2);
    if (sxx < leastSpread * squared)
      throw new OutOfRange(
        'runs',
        'The runs are on nearly one heading: the current cannot be told from the factor. Add a run the other way.',
        'headings at least 45° apart',
      );
    /** Over ground = factor x through the water + a current, which may be each group's own. */
    const fitted = (groups: readonly (readonly number[])[]) => {
      const groupOf = runs.map((_, i) => groups.findIndex((group) => group.includes(i)));
      const rows = through.flatMap(({ east, north }, i) => {
        const flows = groups.flatMap((_, g) => (g === groupOf[i] ? [1, 0] : [0, 0]));
        return [
          [east, ...flows],
          [north, ...flows.map((_, k) => flows[k - 1] ?? 0)],
        ];
      });
      const fit = leastSquares(
        rows,
        over.flatMap(({ east, north }) => [east, north]),
      );
      return fit && { groups, rows, fit };
    };
    const all = fitted([runs.map((_, i) => i)]);
    if (!all) throw new OutOfRange('runs', 'The runs do not tell factor and current apart. Add a run.', '3 or more');
    const pairs = pairCurrents(runs, all.fit.values[0] ?? 1);
    const turn = turnOf(pairs ?? []);
    // A current that turned is each pair's own: then it neither stays in the factor nor in what is left over.
    const { groups, rows, fit } = (turn !== null && pairs && fitted(pairs.map((_, i) => [2 * i, 2 * i + 1]))) || all;
    const [factor = 1] = fit.values;
    const currentEastMps = meanOver.east - factor * meanThrough.east;
    const currentNorthMps = meanOver.north - factor * meanThrough.north;
    const gain = fit.gains[0] ?? 0;
    const scatter =
      n < 3
        ? null
        : scatterAlong(
            rows,
            runs.map(({ headingDeg }) => eastNorth(headingDeg, 1)),
            fit.residuals,
          );
    const parts = scatter && suretyParts(runs, factor, gain, scatter);
    const surety = parts && suretyOf(parts);
    const factorStandardError = surety?.standardError ?? null;
    const factorHalfInterval95 = surety?.halfInterval95 ?? null;
    const naiveFactor =
      runs.reduce((sum, { sogMps }) => sum + sogMps, 0) / runs.reduce((sum, { logMps }) => sum + logMps, 0);
    const residualsMps = runs.map((_, i) => Math.hypot(fit.residuals[2 * i] ?? 0, fit.residuals[2 * i + 1] ?? 0));

    /** Of two velocities about the means of their groups. */
    const about = (one: typeof through, other: typeof through): number =>
      groups.reduce((sum, group) => {
        const [ones, others] = [one, other].map((parts) => group.flatMap((i) => parts[i] ?? []));
        const [a, b] = [ones ?? [], others ?? []];
        const mean = (parts: typeof through, part: 'east' | 'north'): number =>
          parts.reduce((total, each) => total + each[part], 0) / parts.length;
        return (
          sum +
          a.reduce(
            (total, each, k) =>
              total +
              (each.east - mean(a, 'east')) * ((b[k]?.east ?? 0) - mean(b, 'east')) +
              (each.north - mean(a, 'north')) * ((b[k]?.north ?? 0) - mean(b, 'north')),
            0,
          )
        );
      }, 0);
    const meansOf = groups.length > 1 ? 'about the mean of each pair' : 'about their means';
    const along = given('f', factor, '', 'factor');
    const current = (of: 'east' | 'north', value: number): WorkingStep =>
      calculated(
        {
          says: `Current, ${of}`,
          symbol: of === 'east' ? 'ce' : 'cn',
          value,
          unit: 'm/s',
          expression: 'g - f * w',
          source: 'mean over ground less mean through the water',
        },
        given('g', meanOver[of], 'm/s', `mean velocity over ground, ${of}`),
        along,
        given('w', meanThrough[of], 'm/s', `mean displayed velocity, ${of}`),
      );
    const working: WorkingStep[] = [
      calculated(
        {
          says: 'Factor: true speed through water for one displayed',
          symbol: 'f',
          value: factor,
          unit: '',
          expression: 'Sxy / Sxx',
          source: 'least squares on the triangle of velocities',
        },
        given('Sxy', about(through, over), 'm²/s²', `displayed velocity with velocity over ground, ${meansOf}`),
        given('Sxx', about(through, through), 'm²/s²', `displayed velocity with itself, ${meansOf}`),
      ),
      current('east', currentEastMps),
      current('north', currentNorthMps),
    ];
    if (parts) working.push(...suretySteps(parts, 'the factor', ''));
    const flags = [
      ...(n < 3
        ? ['Two runs say nothing of how sure the factor is. Run a second pair across the first: 0, 180, 90, 270.']
        : n < 4
          ? ['Fewer than four runs: the interval is wide, and a poor run cannot be told.']
          : []),
      ...(turn === null
        ? []
        : [
            `The current turned or changed by ${turn.toFixed(2)} m/s between two pairs. Each pair was worked out with its own; make them quickly.`,
          ]),
      ...(n >= 4 && pairs === null
        ? [
            'These are no pairs there and back: a current that turned meanwhile stays in the factor. Sail 0, 180, 90, 270.',
          ]
        : []),
    ];
    return {
      factor,
      factorStandardError,
      factorHalfInterval95,
      sharedHalf95: surety?.sharedHalf95 ?? 0,
      currentEastMps,
      currentNorthMps,
      naiveFactor,
      residualsMps,
      runsUsed: n,
      flags,
      working,
    };
  },
});
