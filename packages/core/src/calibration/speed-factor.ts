import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { eastNorth } from './bearings.ts';
import { leastSquares } from './least-squares.ts';
import { scatterAlong } from './scatter-along.ts';

/** Headings that spread less than so tell factor and current too poorly apart: about 40° between two runs. */
const leastSpread = 0.12;

/**
 * What the displayed speed through water has to be multiplied by, and the current, from straight runs on several headings.
 *
 * runs: displayed speed 0.3 to 40 m/s, true heading, speed and course over ground averaged over each run, at least two on
 * headings that differ. Over ground = factor x displayed along the heading + current, east and north, by least squares.
 * A log errs along the track, a compass and a course across it: from three runs on the interval is drawn from what is left
 * over along the track alone. Two runs leave one degree of freedom in all, so theirs is wide.
 * The plain ratio (mean over ground / mean displayed) is given beside it: it ignores the current.
 * Source: least squares (Draper and Smith 1998, ch. 5) on the triangle of velocities.
 */
export const speedFactor = defineCalculation({
  name: 'speed-factor',
  purpose: 'Factor of the speed through water, and the current, from runs on several headings',
  version: 2,
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
    factorStandardError: z.number(),
    factorHalfInterval95: z.number(),
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
    const rows = through.flatMap(({ east, north }) => [
      [east, 1, 0],
      [north, 0, 1],
    ]);
    const fit = leastSquares(
      rows,
      over.flatMap(({ east, north }) => [east, north]),
    );
    if (!fit) throw new OutOfRange('runs', 'The runs do not tell factor and current apart. Add a run.', '3 or more');
    const [factor = 1, currentEastMps = 0, currentNorthMps = 0] = fit.values;
    const scatter =
      n < 3
        ? { squares: fit.residuals.reduce((sum, r) => sum + r * r, 0), divisor: 1, degreesOfFreedom: 1 }
        : scatterAlong(
            rows,
            runs.map(({ headingDeg }) => eastNorth(headingDeg, 1)),
            fit.residuals,
          );
    const factorStandardError = Math.sqrt(scatter.squares / scatter.divisor / sxx);
    const student = tQuantile(0.975, scatter.degreesOfFreedom);
    const factorHalfInterval95 = student * factorStandardError;
    const naiveFactor =
      runs.reduce((sum, { sogMps }) => sum + sogMps, 0) / runs.reduce((sum, { logMps }) => sum + logMps, 0);
    const residualsMps = runs.map((_, i) => Math.hypot(fit.residuals[2 * i] ?? 0, fit.residuals[2 * i + 1] ?? 0));

    const sxy = through.reduce(
      (sum, { east, north }, i) =>
        sum +
        (east - meanThrough.east) * ((over[i]?.east ?? 0) - meanOver.east) +
        (north - meanThrough.north) * ((over[i]?.north ?? 0) - meanOver.north),
      0,
    );
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
        given('Sxy', sxy, 'm²/s²', 'displayed velocity with velocity over ground, about their means'),
        given('Sxx', sxx, 'm²/s²', 'displayed velocity with itself, about its mean'),
      ),
      current('east', currentEastMps),
      current('north', currentNorthMps),
    ];
    working.push(
      calculated(
        {
          says: 'Standard error of the factor',
          symbol: 'SE',
          value: factorStandardError,
          unit: '',
          expression: 'sqrt(Q / d / Sxx)',
          source: 'Draper and Smith 1998, ch. 1 and 2',
        },
        given(
          'Q',
          scatter.squares,
          'm²/s²',
          n < 3 ? 'what is left over, squared and added' : 'what is left over along the track, squared and added',
        ),
        given('d', scatter.divisor, '', 'what these squares have lost to the three values worked out'),
        given('Sxx', sxx, 'm²/s²', 'displayed velocity with itself, about its mean'),
      ),
      calculated(
        {
          says: 'Half of the 95 % interval of the factor',
          symbol: 'half',
          value: factorHalfInterval95,
          unit: '',
          expression: 't * SE',
          source: 'Student 1908, Satterthwaite 1946',
        },
        given(
          't',
          student,
          '',
          `97.5 % quantile of Student's t, ${scatter.degreesOfFreedom.toFixed(1)} degrees of freedom`,
        ),
        given('SE', factorStandardError, '', 'standard error of the factor'),
      ),
    );
    return {
      factor,
      factorStandardError,
      factorHalfInterval95,
      currentEastMps,
      currentNorthMps,
      naiveFactor,
      residualsMps,
      runsUsed: n,
      flags: n < 4 ? ['Fewer than four runs: the interval is wide, and a poor run cannot be told.'] : [],
      working,
    };
  },
});
