import fCdf from '@stdlib/stats-base-dists-f-cdf';
import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { roundingSd, stepOf } from './display-step.ts';
import { leastSquares } from './least-squares.ts';

const temperature = z.number().min(-5).max(45);
const steps = [1, 0.5, 0.1, 0.01];
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
 * shown, whether or not a gain is justified. One reading gives no standard error. The rounding of both instruments
 * (step / sqrt 12 each; the steps are told from the readings unless given) is the least the scatter is taken to be.
 * Sources: mean, standard error and interval by Student (1908); F-test of a slope (Draper and Smith 1998, ch. 1).
 */
export const temperatureOffset = defineCalculation({
  name: 'temperature-offset',
  purpose: 'Temperature offset to enter, from a reference thermometer',
  version: 1,
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
    /** Reference degrees for one displayed; null below four readings. */
    gain: z.number().nullable(),
    gainJustified: z.boolean(),
    differencesC: z.array(z.number()),
    displayResolutionC: z.number(),
    referenceResolutionC: z.number(),
  }),
  run: ({ readings, ...resolutions }) => {
    const displayed = readings.map(({ displayedC }) => displayedC);
    const displayResolutionC = resolutions.displayResolutionC ?? stepOf(displayed, steps);
    const referenceResolutionC =
      resolutions.referenceResolutionC ??
      stepOf(
        readings.map(({ referenceC }) => referenceC),
        steps,
      );
    const differences = readings.map(({ referenceC, displayedC }) => referenceC - displayedC);
    const n = readings.length;
    const offsetC = differences.reduce((sum, value) => sum + value, 0) / n;
    const leastSd = Math.hypot(roundingSd(displayResolutionC), roundingSd(referenceResolutionC));
    const squares = differences.reduce((sum, value) => sum + (value - offsetC) ** 2, 0);
    const sd = n > 1 ? Math.max(Math.sqrt(squares / (n - 1)), leastSd) : null;
    const student = n > 1 ? tQuantile(0.975, n - 1) : null;
    const standardErrorC = sd === null ? null : sd / Math.sqrt(n);
    const halfInterval95C = standardErrorC === null || student === null ? null : student * standardErrorC;
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
    if (sd !== null && student !== null && standardErrorC !== null && halfInterval95C !== null)
      working.push(
        calculated(
          {
            says: 'Standard error of the mean',
            symbol: 'SE',
            value: standardErrorC,
            unit: 'K',
            expression: 'max(sqrt(Q / (n - 1)), sqrt((s ^ 2 + r ^ 2) / 12)) / sqrt(n)',
            source: 'standard error of a mean, with the uniform error of rounding',
          },
          given('Q', squares, 'K²', 'sum of squared departures from the mean'),
          given('n', n, '', 'readings'),
          given('s', displayResolutionC, 'K', 'step of the display'),
          given('r', referenceResolutionC, 'K', 'step of the reference'),
        ),
        calculated(
          {
            says: 'Half of the 95 % interval of the mean',
            symbol: 'half',
            value: halfInterval95C,
            unit: 'K',
            expression: 't * SE',
            source: 'Student 1908',
          },
          given('t', student, '', `97.5 % quantile of Student's t, ${n - 1} degrees of freedom`),
          given('SE', standardErrorC, 'K', 'standard error of the mean'),
        ),
      );
    const flags: string[] = [];
    if (n < 3) flags.push('Fewer than three readings: one that was read wrong cannot be told from a true one.');
    if (gain?.justified)
      flags.push('The difference grows with temperature: one offset holds near the temperatures read, not beyond.');
    return {
      offsetC,
      standardErrorC,
      halfInterval95C,
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
