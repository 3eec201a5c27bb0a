import fCdf from '@stdlib/stats-base-dists-f-cdf';
import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { depthReferenceSchema, type WorkingInput, type WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation.ts';
import { findOutliers } from './outliers.ts';

/** From this many readings on a flagged one is left out of the mean by itself; below it is only named. */
export const removesFrom = 8;

const soundSpeed = z.number().min(1300).max(1800);

const input = z.strictObject({
  readings: z
    .array(z.strictObject({ leadLineM: z.number().min(0.1).max(500), displayedM: z.number().min(0).max(500) }))
    .min(1)
    .max(500),
  offsetSetM: z.number().min(-20).max(20).default(0),
  soundSpeedAssumedMps: soundSpeed,
  soundSpeedActualMps: soundSpeed,
  keelBelowWaterlineM: z.number().min(0).max(10),
  reference: depthReferenceSchema,
  displayResolutionM: z.number().min(0.001).max(2).optional(),
});

/** The coarsest of the usual steps that all displayed depths are whole numbers of. */
const resolutionOf = (displayed: readonly number[]): number =>
  [0.1, 0.01].find((step) => displayed.every((depth) => Math.abs(depth / step - Math.round(depth / step)) < 1e-6)) ??
  0.01;

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

interface Line {
  readonly scale: number;
  readonly offsetM: number;
  readonly justified: boolean;
}

/**
 * Least squares of lead line = scale x range + offset. A scale other than 1 is justified only by five readings or more
 * whose greatest depth is at least twice the least, and by an F-test at 5 % against the offset alone.
 */
const fitLine = (rangesM: readonly number[], leadM: readonly number[]): Line | null => {
  const n = rangesM.length;
  if (n < 3) return null;
  const meanRange = mean(rangesM);
  const meanLead = mean(leadM);
  const sxx = rangesM.reduce((sum, r) => sum + (r - meanRange) ** 2, 0);
  if (sxx < 1e-9) return null;
  const sxy = rangesM.reduce((sum, r, i) => sum + (r - meanRange) * ((leadM[i] ?? 0) - meanLead), 0);
  const scale = sxy / sxx;
  const offsetM = meanLead - scale * meanRange;
  const squares = (k: number, b: number): number =>
    rangesM.reduce((sum, r, i) => sum + ((leadM[i] ?? 0) - k * r - b) ** 2, 0);
  const withScale = squares(scale, offsetM);
  const offsetOnly = squares(1, meanLead - meanRange);
  const wideEnough = n >= 5 && Math.max(...leadM) >= 2 * Math.min(...leadM);
  const f = withScale > 1e-12 ? (offsetOnly - withScale) / (withScale / (n - 2)) : Number.POSITIVE_INFINITY;
  const gain = offsetOnly - withScale > 1e-9;
  return {
    scale,
    offsetM,
    justified: wideEnough && gain && (f === Number.POSITIVE_INFINITY || 1 - fCdf(f, 1, n - 2) < 0.05),
  };
};

/**
 * The depth offset to enter, from pairs of lead line and display.
 *
 * readings: surface to bottom by lead line, and as displayed with `offsetSetM` in it, metres. The answer replaces
 * `offsetSetM` and holds once the display reckons with the actual speed of sound. Added to what is displayed it gives
 * the depth from the surface (waterline) or below the keel (keel). One reading gives no standard error.
 * Flagged readings are named; they are left out of the mean by itself only from eight readings on.
 * Sources: mean and standard error; outliers by the median absolute deviation (Hampel 1974).
 */
export const depthOffset = defineCalculation({
  name: 'depth-offset',
  purpose: 'Depth offset to enter, from lead-line readings',
  version: 1,
  input,
  output: z.strictObject({
    offsetM: z.number(),
    standardErrorM: z.number().nullable(),
    /** Half of the 95 % interval of the mean (Student). */
    halfInterval95M: z.number().nullable(),
    flagged: z.array(z.number()),
    /** The flagged ones that were left out of the mean. */
    excluded: z.array(z.number()),
    scaleJustified: z.boolean(),
    scale: z.number().nullable(),
    scaledOffsetM: z.number().nullable(),
    /** Of each reading: lead line less the range from the face, to the waterline. */
    differencesM: z.array(z.number()),
    spreadM: z.number(),
    readingsUsed: z.number(),
    displayResolutionM: z.number(),
    soundSpeedAssumedMps: z.number(),
    soundSpeedActualMps: z.number(),
    /** How far a display that reckons with the assumed speed is off in depth, as a fraction of the depth. */
    displayDepthError: z.number(),
  }),
  run: (given) => {
    const { readings, offsetSetM, soundSpeedAssumedMps, soundSpeedActualMps, keelBelowWaterlineM, reference } = given;
    readings.forEach(({ displayedM }, i) => {
      if (displayedM - offsetSetM <= 0)
        throw new OutOfRange(
          `readings[${i}].displayedM`,
          `Reading ${i + 1} shows ${displayedM} m with an offset of ${offsetSetM} m set: that leaves no water under the face.`,
          `above ${offsetSetM}`,
        );
    });
    const ratio = soundSpeedActualMps / soundSpeedAssumedMps;
    const rangesM = readings.map(({ displayedM }) => (displayedM - offsetSetM) * ratio);
    const leadM = readings.map(({ leadLineM }) => leadLineM);
    const differencesM = leadM.map((lead, i) => lead - (rangesM[i] ?? 0));
    const displayResolutionM = given.displayResolutionM ?? resolutionOf(readings.map((r) => r.displayedM));
    const { spread, flagged } = findOutliers(differencesM, displayResolutionM);

    const excluded = readings.length >= removesFrom ? [...flagged] : [];
    const used = differencesM.map((_, i) => i).filter((i) => !excluded.includes(i));
    const usedDifferences = used.map((i) => differencesM[i] ?? 0);
    const n = used.length;
    const toWaterlineM = mean(usedDifferences);
    const keelM = reference === 'keel' ? keelBelowWaterlineM : 0;
    const offsetM = toWaterlineM - keelM;
    const deviation = Math.sqrt(usedDifferences.reduce((sum, d) => sum + (d - toWaterlineM) ** 2, 0) / (n - 1));
    const standardErrorM = n > 1 ? deviation / Math.sqrt(n) : null;
    const student = n > 1 ? tQuantile(0.975, n - 1) : null;
    const halfInterval95M = standardErrorM === null || student === null ? null : student * standardErrorM;
    const displayDepthError = soundSpeedAssumedMps / soundSpeedActualMps - 1;

    const clean = differencesM.map((_, i) => i).filter((i) => !flagged.includes(i));
    const line = fitLine(
      clean.map((i) => rangesM[i] ?? 0),
      clean.map((i) => leadM[i] ?? 0),
    );

    const meanInputs: WorkingInput[] = used.map((i) => ({
      symbol: `d${i + 1}`,
      value: differencesM[i] ?? 0,
      unit: 'm',
      meaning: `difference of reading ${i + 1}`,
    }));
    const working: WorkingStep[] = readings.map(({ leadLineM, displayedM }, i) => ({
      says: `What the sounder misses, reading ${i + 1}${excluded.includes(i) ? ' (left out of the mean)' : ''}`,
      symbol: `d${i + 1}`,
      value: differencesM[i] ?? 0,
      unit: 'm',
      expression: 'L - (D - o) * c / c0',
      method: null,
      inputs: [
        { symbol: 'L', value: leadLineM, unit: 'm', meaning: 'lead line, surface to bottom' },
        { symbol: 'D', value: displayedM, unit: 'm', meaning: 'displayed' },
        { symbol: 'o', value: offsetSetM, unit: 'm', meaning: 'offset set in the display' },
        { symbol: 'c', value: soundSpeedActualMps, unit: 'm/s', meaning: 'speed of sound in this water' },
        { symbol: 'c0', value: soundSpeedAssumedMps, unit: 'm/s', meaning: 'speed the display reckons with' },
      ],
      source: 'time of travel x speed of sound',
    }));
    working.push({
      says:
        reference === 'keel'
          ? 'Offset to enter: mean difference, less the keel below the waterline'
          : 'Offset to enter: mean difference',
      symbol: 'offset',
      value: offsetM,
      unit: 'm',
      expression: `(${meanInputs.map(({ symbol }) => symbol).join(' + ')}) / n - k`,
      method: null,
      inputs: [
        ...meanInputs,
        { symbol: 'n', value: n, unit: '', meaning: 'readings used' },
        {
          symbol: 'k',
          value: keelM,
          unit: 'm',
          meaning: reference === 'keel' ? 'keel below the waterline' : 'to the waterline nothing is taken off',
        },
      ],
      source: 'arithmetic mean',
    });
    if (standardErrorM !== null && student !== null && halfInterval95M !== null)
      working.push(
        {
          says: 'Standard error of the mean',
          symbol: 'SE',
          value: standardErrorM,
          unit: 'm',
          expression: 'sqrt(Q / (n - 1)) / sqrt(n)',
          method: null,
          inputs: [
            {
              symbol: 'Q',
              value: deviation ** 2 * (n - 1),
              unit: 'm²',
              meaning: 'sum of squared departures from the mean',
            },
            { symbol: 'n', value: n, unit: '', meaning: 'readings used' },
          ],
          source: 'standard error of a mean',
        },
        {
          says: 'Half of the 95 % interval of the mean',
          symbol: 'half',
          value: halfInterval95M,
          unit: 'm',
          expression: 't * SE',
          method: null,
          inputs: [
            {
              symbol: 't',
              value: student,
              unit: '',
              meaning: `97.5 % quantile of Student's t, ${n - 1} degrees of freedom`,
            },
            { symbol: 'SE', value: standardErrorM, unit: 'm', meaning: 'standard error of the mean' },
          ],
          source: 'Student 1908',
        },
      );
    working.push({
      says: 'How far the display is off in depth by its sound speed',
      symbol: 'e',
      value: displayDepthError,
      unit: '',
      expression: 'c0 / c - 1',
      method: null,
      inputs: [
        { symbol: 'c0', value: soundSpeedAssumedMps, unit: 'm/s', meaning: 'speed the display reckons with' },
        { symbol: 'c', value: soundSpeedActualMps, unit: 'm/s', meaning: 'speed of sound in this water' },
      ],
      source: 'time of travel x speed of sound',
    });

    const flags: string[] = [];
    if (n < 3) flags.push('Fewer than three readings: a slip of the tongue cannot be told from a true one.');
    if (line?.justified)
      flags.push(
        'The difference grows with depth: check the speed of sound set in the display before trusting one offset.',
      );
    return {
      offsetM,
      standardErrorM,
      halfInterval95M,
      flagged: [...flagged],
      excluded,
      scaleJustified: line?.justified ?? false,
      scale: line?.scale ?? null,
      scaledOffsetM: line === null ? null : line.offsetM - keelM,
      differencesM,
      spreadM: spread,
      readingsUsed: n,
      displayResolutionM,
      soundSpeedAssumedMps,
      soundSpeedActualMps,
      displayDepthError,
      flags,
      working,
    };
  },
});
