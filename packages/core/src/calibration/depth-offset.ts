import { depthReferenceSchema, type WorkingInput, type WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { fitDepthLine } from './depth-line.ts';
import { leadSteps, stepOf } from './display-step.ts';
import { findOutliers } from './outliers.ts';
import { effectiveNumber, partsOfMean, roundingOf, suretyOf, suretySteps, usualWaveS } from './surety.ts';

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
  /** What the lead line's marks and the eye at them are off by, 95 times of 100: all readings share it. */
  leadLineByM: z.number().min(0).max(2).default(0),
  /** From the first reading to the last; null where they were minutes apart. */
  spanS: z.number().min(0).max(1e6).nullable().default(null),
  wavePeriodS: z.number().min(1).max(30).default(usualWaveS),
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
 * Readings within waves count two to a wave. Readings at one depth share the rounding of both instruments; all share what
 * the lead line itself is off by. Flagged readings are named and stay in: who took them leaves them out.
 * Sources: mean and interval as in `surety`; outliers by the median absolute deviation (Hampel 1974).
 */
export const depthOffset = defineCalculation({
  name: 'depth-offset',
  purpose: 'Depth offset to enter, from lead-line readings',
  version: 3,
  input,
  output: z.strictObject({
    offsetM: z.number(),
    standardErrorM: z.number().nullable(),
    /** Half of the 95 % interval of the mean (Student). */
    halfInterval95M: z.number().nullable(),
    flagged: z.array(z.number()),
    /** Always empty: nothing is left out but by the user. */
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
  run: (asked) => {
    const { readings, offsetSetM, soundSpeedAssumedMps, soundSpeedActualMps, keelBelowWaterlineM, reference } = asked;
    const { swellM, leadLineByM, spanS, wavePeriodS } = asked;
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
      asked.displayResolutionM ??
      stepOf(
        readings.map((r) => r.displayedM),
        steps,
      );
    const { spread, flagged } = findOutliers(differencesM, displayResolutionM);

    const n = readings.length;
    const toWaterlineM = mean(differencesM);
    const keelM = reference === 'keel' ? keelBelowWaterlineM : 0;
    const offsetM = toWaterlineM - keelM;
    const squares = differencesM.reduce((sum, d) => sum + (d - toWaterlineM) ** 2, 0);
    const leads = readings.map((r) => r.leadLineM);
    const counting = effectiveNumber(n, spanS, wavePeriodS);
    const parts = partsOfMean({
      squares,
      readings: n,
      counting,
      leastVariance: swellM ** 2 / 8,
      roundings: [
        roundingOf(
          readings.map((r) => r.displayedM),
          displayResolutionM,
          ratio,
        ),
        roundingOf(leads, stepOf(leads, leadSteps)),
      ],
      shared: [leadLineByM],
    });
    const surety = suretyOf(parts);
    const standardErrorM = n > 1 ? surety.standardError : null;
    const halfInterval95M = surety.halfInterval95;
    const displayDepthError = soundSpeedAssumedMps / soundSpeedActualMps - 1;

    const clean = differencesM.map((_, i) => i).filter((i) => !flagged.includes(i));
    const line = fitDepthLine(
      clean.map((i) => rangesM[i] ?? 0),
      clean.map((i) => leadM[i] ?? 0),
    );

    const meanInputs: WorkingInput[] = differencesM.map((value, i) => ({
      symbol: `d${i + 1}`,
      value,
      unit: 'm',
      meaning: `difference of reading ${i + 1}`,
    }));
    const working: WorkingStep[] = readings.map(({ leadLineM, displayedM, riseM = 0, deeperM = 0 }, i) => ({
      says: `What the sounder misses, reading ${i + 1}`,
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
    working.push(...suretySteps(parts, 'the mean', 'm'));
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
    if (n > 1 && halfInterval95M === null)
      flags.push(
        counting <= 1 + 1e-9
          ? 'All were read within half a wave: they count as one. Read again some waves later.'
          : 'Two readings at one depth share the steps they are read in: they carry no interval. Read a third, at another depth.',
      );
    if (swellM > 0 && spanS === null)
      flags.push('Say over how long these were read: within one wave they count as two at the most.');
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
      excluded: [],
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
