import fCdf from '@stdlib/stats-base-dists-f-cdf';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { roundingSd, stepOf, temperatureSteps } from './display-step.ts';
import { leastSquares } from './least-squares.ts';
import { partsOfMean, roundingOf, suretyOf, suretySteps } from './surety.ts';

const temperature = z.number().min(-5).max(45);
/** A gain is not looked for in fewer readings. */
const gainFrom = 4;

/**
 * Whether reference = gain x displayed + offset says more than an offset alone: an F-test at 5 %, with what is left over
 * never taken to be less than the rounding of the two instruments.
 */
const gainOf = (
  displayed: readonly number[],
  differences: readonly number[],
  meanC: number,
  leastSd: number,
): { readonly gain: number; readonly justified: boolean } | null => {
  if (displayed.length < gainFrom) return null;
  const line = leastSquares(
    displayed.map((value) => [1, value]),
    differences,
  );
  if (!line) return null;
  const left = line.rms ** 2 * displayed.length;
  const alone = differences.reduce((sum, value) => sum + (value - meanC) ** 2, 0);
  const perFreedom = Math.max(left / line.degreesOfFreedom, leastSd ** 2);
  const f = perFreedom > 0 ? (alone - left) / perFreedom : 0;
  return { gain: 1 + (line.values[1] ?? 0), justified: 1 - fCdf(f, 1, line.degreesOfFreedom) < 0.05 };
};

/**
 * The temperature offset to enter, from pairs of a reference thermometer and the display, both settled.
 *
 * readings: degrees Celsius, -5 to 45. `offsetC` is the plain mean of reference less displayed, to be added to what is
 * shown, whether or not a gain is justified. One reading gives no standard error. The steps of both instruments are told
 * from the readings unless given; readings in one water share their rounding, in several it floors the scatter.
 * Sources: mean and interval as in `surety`; F-test of a slope (Draper and Smith 1998, ch. 1).
 */
export const temperatureOffset = defineCalculation({
  name: 'temperature-offset',
  purpose: 'Temperature offset to enter, from a reference thermometer',
  version: 2,
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ referenceC: temperature, displayedC: temperature }))
      .min(1)
      .max(500),
    displayResolutionC: z.number().min(0.001).max(2).optional(),
    referenceResolutionC: z.number().min(0.001).max(2).optional(),
  }),
  output: z.strictObject({
    offsetC: z.number(),
    standardErrorC: z.number().nullable(),
    halfInterval95C: z.number().nullable(),
    /** What of the interval all readings share: more of them do not make it less. */
    sharedHalf95: z.number(),
    /** Reference degrees for one displayed; null below four readings. */
    gain: z.number().nullable(),
    gainJustified: z.boolean(),
    differencesC: z.array(z.number()),
    displayResolutionC: z.number(),
    referenceResolutionC: z.number(),
  }),
  run: ({ readings, ...resolutions }) => {
    const displayed = readings.map(({ displayedC }) => displayedC);
    const referred = readings.map(({ referenceC }) => referenceC);
    const displayResolutionC = resolutions.displayResolutionC ?? stepOf(displayed, temperatureSteps);
    const referenceResolutionC = resolutions.referenceResolutionC ?? stepOf(referred, temperatureSteps);
    const differences = readings.map(({ referenceC, displayedC }) => referenceC - displayedC);
    const n = readings.length;
    const offsetC = differences.reduce((sum, value) => sum + value, 0) / n;
    const leastSd = Math.hypot(roundingSd(displayResolutionC), roundingSd(referenceResolutionC));
    const squares = differences.reduce((sum, value) => sum + (value - offsetC) ** 2, 0);
    const parts = partsOfMean({
      squares,
      readings: n,
      roundings: [roundingOf(displayed, displayResolutionC), roundingOf(referred, referenceResolutionC)],
    });
    const surety = suretyOf(parts);
    const standardErrorC = n > 1 ? surety.standardError : null;
    const halfInterval95C = surety.halfInterval95;
    const gain = gainOf(displayed, differences, offsetC, leastSd);

    const named = differences.map((value, i) => given(`d${i + 1}`, value, 'K', `reference less displayed, ${i + 1}`));
    const working: WorkingStep[] = [
      calculated(
        {
          says: 'Offset to enter: mean of reference less displayed',
          symbol: 'offset',
          value: offsetC,
          unit: 'K',
          expression: `(${named.map(({ symbol }) => symbol).join(' + ')}) / n`,
          source: 'arithmetic mean',
        },
        ...named,
        given('n', n, '', 'readings'),
      ),
    ];
    working.push(...suretySteps(parts, 'the mean', 'K'));
    const flags: string[] = [];
    if (n === 2 && halfInterval95C === null)
      flags.push('Two readings in one water share the steps they are read in: they carry no interval. Read a third.');
    if (n < 3) flags.push('Fewer than three readings: one that was read wrong cannot be told from a true one.');
    if (gain?.justified)
      flags.push('The difference grows with temperature: one offset holds near the temperatures read, not beyond.');
    return {
      offsetC,
      standardErrorC,
      halfInterval95C,
      sharedHalf95: surety.sharedHalf95,
      gain: gain?.gain ?? null,
      gainJustified: gain?.justified ?? false,
      differencesC: differences,
      displayResolutionC,
      referenceResolutionC,
      flags,
      working,
    };
  },
});
