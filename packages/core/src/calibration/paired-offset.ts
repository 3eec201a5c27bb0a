import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { circularMean, wrapped } from './bearings.ts';
import { roundingSd } from './display-step.ts';

/**
 * What has to be added to what is shown, from pairs of what is known and what is shown, in one unit.
 *
 * pairs: metres or degrees, by `unit`; differences of degrees go the short way round. `offset` is the mean difference, known
 * less shown; one pair gives no interval. The rounding of the finer figures (step / sqrt 12, of both) is the least the
 * scatter is taken to be.
 * Sources: mean, standard error and interval by Student (1908); directions by Mardia and Jupp (2000, ch. 2).
 */
export const pairedOffset = defineCalculation({
  name: 'paired-offset',
  purpose: 'Offset from pairs of known and shown figures: bearings, depths of two units, a tilt against the level',
  version: 1,
  input: z.strictObject({
    unit: z.enum(['m', 'deg']),
    pairs: z
      .array(z.strictObject({ known: z.number().min(-1000).max(1000), shown: z.number().min(-1000).max(1000) }))
      .min(1)
      .max(500),
    step: z.number().min(0.0001).max(10).default(0.1),
  }),
  output: z.strictObject({
    offset: z.number(),
    standardError: z.number().nullable(),
    halfInterval95: z.number().nullable(),
    differences: z.array(z.number()),
  }),
  run: ({ unit, pairs, step }) => {
    const turns = unit === 'deg';
    const raw = pairs.map(({ known, shown }) => known - shown);
    const middle = turns ? wrapped(circularMean(raw.map(wrapped))) : 0;
    // About their own direction, so that a pair across the half turn is no outlier.
    const differences = turns ? raw.map((value) => middle + wrapped(value - middle)) : raw;
    const n = differences.length;
    const mean = differences.reduce((sum, value) => sum + value, 0) / n;
    const offset = turns ? wrapped(mean) : mean;
    const squares = differences.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    const leastSd = Math.SQRT2 * roundingSd(step);
    const standardError = n > 1 ? Math.max(Math.sqrt(squares / (n - 1)), leastSd) / Math.sqrt(n) : null;
    const student = n > 1 ? tQuantile(0.975, n - 1) : null;
    const halfInterval95 = standardError === null || student === null ? null : student * standardError;
    const shownUnit = turns ? '°' : 'm';
    const named = differences.map((value, i) => given(`d${i + 1}`, value, shownUnit, `known less shown, ${i + 1}`));
    const working: WorkingStep[] = [
      calculated(
        {
          says: 'Offset: mean of known less shown',
          symbol: 'offset',
          value: mean,
          unit: shownUnit,
          expression: `(${named.map(({ symbol }) => symbol).join(' + ')}) / n`,
          source: 'arithmetic mean',
        },
        ...named,
        given('n', n, '', 'pairs'),
      ),
    ];
    if (standardError !== null && student !== null && halfInterval95 !== null)
      working.push(
        calculated(
          {
            says: 'Standard error of the mean',
            symbol: 'SE',
            value: standardError,
            unit: shownUnit,
            expression: 'max(sqrt(Q / (n - 1)), s / sqrt(6)) / sqrt(n)',
            source: 'standard error of a mean, with the uniform error of two roundings',
          },
          given('Q', squares, `${shownUnit}²`, 'sum of squared departures from the mean'),
          given('n', n, '', 'pairs'),
          given('s', step, shownUnit, 'finest step of the figures'),
        ),
        calculated(
          {
            says: 'Half of the 95 % interval of the mean',
            symbol: 'half',
            value: halfInterval95,
            unit: shownUnit,
            expression: 't * SE',
            source: 'Student 1908',
          },
          given('t', student, '', `97.5 % quantile of Student's t, ${n - 1} degrees of freedom`),
          given('SE', standardError, shownUnit, 'standard error of the mean'),
        ),
      );
    return {
      offset,
      standardError,
      halfInterval95,
      differences: differences.map((value) => (turns ? wrapped(value) : value)),
      flags: n < 3 ? ['Fewer than three readings: one that was read wrong cannot be told from a true one.'] : [],
      working,
    };
  },
});
