import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { circularMean, wrapped } from './bearings.ts';
import { effectiveNumber, partsOfMean, roundingOf, suretyOf, suretySteps, usualWaveS } from './surety.ts';

/**
 * What has to be added to what is shown, from pairs of what is known and what is shown, in one unit.
 *
 * pairs: metres or degrees, by `unit`; differences of degrees go the short way round. `offset` is the mean difference, known
 * less shown; one pair gives no interval. Pairs in one place share the rounding of both figures; quick ones in waves count two
 * to a wave.
 * Sources: mean and interval as in `surety`; directions by Mardia and Jupp (2000, ch. 2).
 */
export const pairedOffset = defineCalculation({
  name: 'paired-offset',
  purpose: 'Offset from pairs of known and shown figures: bearings, depths of two units, a tilt against the level',
  version: 2,
  input: z.strictObject({
    unit: z.enum(['m', 'deg']),
    pairs: z
      .array(z.strictObject({ known: z.number().min(-1000).max(1000), shown: z.number().min(-1000).max(1000) }))
      .min(1)
      .max(500),
    /** Of both figures, unless each has its own; 0 for one that is exact. */
    step: z.number().min(0.0001).max(10).default(0.1),
    knownStep: z.number().min(0).max(10).optional(),
    shownStep: z.number().min(0).max(10).optional(),
    /** From the first reading to the last; null where they were minutes apart, or waves move both alike. */
    spanS: z.number().min(0).max(1e6).nullable().default(null),
    wavePeriodS: z.number().min(1).max(30).default(usualWaveS),
  }),
  output: z.strictObject({
    offset: z.number(),
    standardError: z.number().nullable(),
    halfInterval95: z.number().nullable(),
    /** What of the interval all readings share: more of them do not make it less. */
    sharedHalf95: z.number(),
    differences: z.array(z.number()),
  }),
  run: ({ unit, pairs, step, knownStep = step, shownStep = step, spanS, wavePeriodS }) => {
    const turns = unit === 'deg';
    const raw = pairs.map(({ known, shown }) => known - shown);
    const middle = turns ? wrapped(circularMean(raw.map(wrapped))) : 0;
    // About their own direction, so that a pair across the half turn is no outlier.
    const differences = turns ? raw.map((value) => middle + wrapped(value - middle)) : raw;
    const n = differences.length;
    const mean = differences.reduce((sum, value) => sum + value, 0) / n;
    const offset = turns ? wrapped(mean) : mean;
    const squares = differences.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    const counting = effectiveNumber(n, spanS, wavePeriodS);
    const parts = partsOfMean({
      squares,
      readings: n,
      counting,
      roundings: [
        roundingOf(
          pairs.map(({ known }) => known),
          knownStep,
        ),
        roundingOf(
          pairs.map(({ shown }) => shown),
          shownStep,
        ),
      ],
    });
    const surety = suretyOf(parts);
    const standardError = n > 1 ? surety.standardError : null;
    const { halfInterval95 } = surety;
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
    working.push(...suretySteps(parts, 'the mean', shownUnit));
    return {
      offset,
      standardError,
      halfInterval95,
      sharedHalf95: surety.sharedHalf95,
      differences: differences.map((value) => (turns ? wrapped(value) : value)),
      flags: [
        ...(n > 1 && halfInterval95 === null
          ? [
              counting <= 1 + 1e-9
                ? 'All were read within half a wave: they count as one. Read again some waves later.'
                : 'Two readings in one place share the steps they are read in: they carry no interval. Read a third.',
            ]
          : []),
        ...(n < 3 ? ['Fewer than three readings: one that was read wrong cannot be told from a true one.'] : []),
      ],
      working,
    };
  },
});
