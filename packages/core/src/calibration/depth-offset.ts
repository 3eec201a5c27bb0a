import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { depthReferenceSchema, type WorkingInput, type WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { fitDepthLine } from './depth-line.ts';
import { atOneDepth, normal95, roundedShare, suretyOf } from './depth-surety.ts';
import { stepOf } from './display-step.ts';
import { findOutliers } from './outliers.ts';

/** From this many readings on a flagged one is left out of the mean by itself; below it is only named. */
export const removesFrom = 8;

const soundSpeed = z.number().min(1300).max(1800);

const input = z.strictObject({
  readings: z
    .array(
      z.strictObject({
        leadLineM: z.number().min(0.1).max(500),
        displayedM: z.number().min(0).max(500),
        /** How much the water rose from the lead line's cast to the display's reading. */
        riseM: z.number().min(-15).max(15).optional(),
        /** How much deeper the face hung than it does as the boat is calibrated. */
        deeperM: z.number().min(-10).max(10).optional(),
      }),
    )
    .min(1)
    .max(500),
  offsetSetM: z.number().min(-20).max(20).default(0),
  soundSpeedAssumedMps: soundSpeed,
  soundSpeedActualMps: soundSpeed,
  keelBelowWaterlineM: z.number().min(0).max(10),
  reference: depthReferenceSchema,
  displayResolutionM: z.number().min(0.001).max(2).optional(),
  swellM: z.number().min(0).max(10).default(0),
});

const steps = [0.1, 0.01];

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * The depth offset to enter, from pairs of lead line and display.
 *
 * readings: surface to bottom by lead line, and as displayed with `offsetSetM` in it, metres. The answer replaces
 * `offsetSetM` and holds once the display uses the actual speed of sound. Where the water rose between the two halves of a
 * reading, or the face hung deeper than as calibrated (loading, a pole let down), each reading says so and is corrected.
 * Swell is its height, crest to trough, where it was not waited out. Added to what is displayed it gives
 * the depth from the surface (waterline) or below the keel (keel). One reading gives no standard error.
 * Flagged readings are named; they are left out of the mean by itself only from eight readings on.
 * Sources: mean and standard error, with the rounding of the display (a uniform error of a step, variance step² / 12);
 * outliers by the median absolute deviation (Hampel 1974).
 */
export const depthOffset = defineCalculation({
  name: 'depth-offset',
  purpose: 'Depth offset to enter, from lead-line readings',
  version: 2,
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
    /** Standard error about the line of scale and offset; null where no line can be laid. */
    lineErrorM: z.number().nullable(),
    /** Of each reading: lead line less the range from the face, to the waterline. */
    differencesM: z.array(z.number()),
    spreadM: z.number(),
    readingsUsed: z.number(),
    displayResolutionM: z.number(),
    soundSpeedAssumedMps: z.number(),
    soundSpeedActualMps: z.number(),
    /** How far a display that works with the assumed speed is off in depth, as a fraction of the depth. */
    displayDepthError: z.number(),
  }),
  run: (given) => {
    const { readings, offsetSetM, soundSpeedAssumedMps, soundSpeedActualMps, keelBelowWaterlineM, reference, swellM } =
      given;
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
    // From the surface to the bottom at the moment of the display, as if the face hung where it does as calibrated.
    const leadM = readings.map(({ leadLineM, riseM = 0, deeperM = 0 }) => leadLineM + riseM - deeperM);
    const differencesM = leadM.map((lead, i) => lead - (rangesM[i] ?? 0));
    const displayResolutionM =
      given.displayResolutionM ??
      stepOf(
        readings.map((r) => r.displayedM),
        steps,
      );
    const { spread, flagged } = findOutliers(differencesM, displayResolutionM);

    const excluded = readings.length >= removesFrom ? [...flagged] : [];
    const used = differencesM.map((_, i) => i).filter((i) => !excluded.includes(i));
    const usedDifferences = used.map((i) => differencesM[i] ?? 0);
    const n = used.length;
    const toWaterlineM = mean(usedDifferences);
    const keelM = reference === 'keel' ? keelBelowWaterlineM : 0;
    const offsetM = toWaterlineM - keelM;
    const squares = usedDifferences.reduce((sum, d) => sum + (d - toWaterlineM) ** 2, 0);
    const oneDepth = [leadM, readings.map((r) => r.displayedM)].some((depths) =>
      atOneDepth(
        used.map((i) => depths[i] ?? 0),
        displayResolutionM,
      ),
    );
    const student = n > 1 ? tQuantile(0.975, n - 1) : null;
    const surety =
      student === null ? null : suretyOf(squares, n, student, { stepM: displayResolutionM, swellM, oneDepth });
    const standardErrorM = surety?.standardErrorM ?? null;
    const halfInterval95M = surety?.halfInterval95M ?? null;
    const displayDepthError = soundSpeedAssumedMps / soundSpeedActualMps - 1;

    const clean = differencesM.map((_, i) => i).filter((i) => !flagged.includes(i));
    const line = fitDepthLine(
      clean.map((i) => rangesM[i] ?? 0),
      clean.map((i) => leadM[i] ?? 0),
    );

    const meanInputs: WorkingInput[] = used.map((i) => ({
      symbol: `d${i + 1}`,
      value: differencesM[i] ?? 0,
      unit: 'm',
      meaning: `difference of reading ${i + 1}`,
    }));
    const working: WorkingStep[] = readings.map(({ leadLineM, displayedM, riseM = 0, deeperM = 0 }, i) => ({
      says: `What the sounder misses, reading ${i + 1}${excluded.includes(i) ? ' (left out of the mean)' : ''}`,
      symbol: `d${i + 1}`,
      value: differencesM[i] ?? 0,
      unit: 'm',
      expression: `L${riseM ? ' + r' : ''} - (D - o) * c / c0${deeperM ? ' - g' : ''}`,
      method: null,
      inputs: [
        { symbol: 'L', value: leadLineM, unit: 'm', meaning: 'lead line, surface to bottom' },
        { symbol: 'D', value: displayedM, unit: 'm', meaning: 'displayed' },
        { symbol: 'o', value: offsetSetM, unit: 'm', meaning: 'offset set in the display' },
        { symbol: 'c', value: soundSpeedActualMps, unit: 'm/s', meaning: 'speed of sound in this water' },
        { symbol: 'c0', value: soundSpeedAssumedMps, unit: 'm/s', meaning: 'speed of sound the display uses' },
        ...(riseM ? [{ symbol: 'r', value: riseM, unit: 'm', meaning: 'the water rose since the lead line' }] : []),
        ...(deeperM ? [{ symbol: 'g', value: deeperM, unit: 'm', meaning: 'the face hung deeper than as used' }] : []),
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
    const scatterWords = swellM > 0 ? 'max(Q / (n - 1), h ^ 2 / 8) / n' : 'Q / (n - 1) / n';
    const swell = swellM > 0 ? [{ symbol: 'h', value: swellM, unit: 'm', meaning: 'swell, crest to trough' }] : [];
    if (standardErrorM !== null && student !== null && halfInterval95M !== null)
      working.push(
        {
          says: 'Standard error of the mean',
          symbol: 'SE',
          value: standardErrorM,
          unit: 'm',
          expression: oneDepth ? `sqrt(${scatterWords} + s ^ 2 / 12)` : `max(sqrt(${scatterWords}), s / sqrt(12 * n))`,
          method: null,
          inputs: [
            {
              symbol: 'Q',
              value: squares,
              unit: 'm²',
              meaning: 'sum of squared departures from the mean',
            },
            { symbol: 'n', value: n, unit: '', meaning: 'readings used' },
            {
              symbol: 's',
              value: displayResolutionM,
              unit: 'm',
              meaning: oneDepth ? 'step of the display; at one depth all share its rounding' : 'step of the display',
            },
            ...swell,
          ],
          source: 'standard error of a mean, with the uniform error of rounding',
        },
        {
          says: 'Half of the 95 % interval of the mean',
          symbol: 'half',
          value: halfInterval95M,
          unit: 'm',
          expression: oneDepth
            ? `sqrt(t ^ 2 * ${scatterWords} + (${roundedShare} * s) ^ 2)`
            : `max(t * sqrt(${scatterWords}), ${normal95} * s / sqrt(12 * n))`,
          method: null,
          inputs: [
            {
              symbol: 't',
              value: student,
              unit: '',
              meaning: `97.5 % quantile of Student's t, ${n - 1} degrees of freedom`,
            },
            { symbol: 'Q', value: squares, unit: 'm²', meaning: 'sum of squared departures from the mean' },
            { symbol: 'n', value: n, unit: '', meaning: 'readings used' },
            { symbol: 's', value: displayResolutionM, unit: 'm', meaning: 'step of the display' },
            ...swell,
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
        { symbol: 'c0', value: soundSpeedAssumedMps, unit: 'm/s', meaning: 'speed of sound the display uses' },
        { symbol: 'c', value: soundSpeedActualMps, unit: 'm/s', meaning: 'speed of sound in this water' },
      ],
      source: 'time of travel x speed of sound',
    });

    const flags: string[] = [];
    if (swellM > 0)
      flags.push('Wait the swell out: read both halves over several waves and take their middle, not a crest.');
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
      lineErrorM: line?.errorM ?? null,
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
