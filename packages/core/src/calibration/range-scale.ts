import { shownRanges, type WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { distanceSteps, stepOf } from './display-step.ts';
import { roundingOf, suretyOf, suretySteps } from './surety.ts';

type Way = (typeof shownRanges)[number];

/**
 * What a distance that is read off a picture has to be multiplied by, from targets at known distances over the ground.
 *
 * targets: known distance, shown range, height of the face and of the target over the bottom, metres. Three ways to read a
 * distance stand beside each other: by triangle (sqrt(shown² - (height - target)²)), by taking off the water column
 * (shown - height), and as it is shown. Which is right hangs on where the target stands: a wall at the face's height
 * answers at its shown range, a stone on the bottom by the triangle. Known = factor x read, by least squares through
 * nothing; one target gives no interval. The steps that distances are paced and read in floor the scatter; at one distance
 * all targets share them.
 * Sources: Blondel 2009, ch. 2; regression through the origin (Draper and Smith 1998, ch. 1); Student 1908.
 */
export const rangeScale = defineCalculation({
  name: 'range-scale',
  purpose: 'Scale of a shown range against known distances, by triangle, less the water column and as shown',
  version: 2,
  input: z.strictObject({
    targets: z
      .array(
        z.strictObject({
          knownM: z.number().min(0.5).max(500),
          shownM: z.number().min(0.5).max(600),
          heightM: z.number().min(0).max(300),
          targetHeightM: z.number().min(0).max(300),
        }),
      )
      .min(1)
      .max(100),
    way: z.enum(shownRanges).default('by triangle'),
  }),
  output: z.strictObject({
    factor: z.number(),
    standardError: z.number().nullable(),
    halfInterval95: z.number().nullable(),
    /** What of the interval all readings share: more of them do not make it less. */
    sharedHalf95: z.number(),
    /** Of each target: known distance less factor x read. */
    residualsM: z.array(z.number()),
    /** Root mean square of known less read, by each way and without any factor. */
    missesM: z.record(z.enum(shownRanges), z.number()),
    nearest: z.enum(shownRanges),
  }),
  run: ({ targets, way }) => {
    const reads = (one: Way): number[] =>
      targets.map(({ shownM, heightM, targetHeightM }, i) => {
        const below = heightM - targetHeightM;
        if (one === 'as shown') return shownM;
        if (one === 'less the water column') return Math.max(0, shownM - heightM);
        if (shownM < Math.abs(below))
          throw new OutOfRange(
            `targets[${i}].shownM`,
            `Target ${i + 1} is shown at ${shownM} m, nearer than the ${Math.abs(below)} m straight down to it. Look at the heights again.`,
            `${Math.abs(below)} or more`,
          );
        return Math.sqrt(shownM ** 2 - below ** 2);
      });
    const read = reads(way);
    const known = targets.map(({ knownM }) => knownM);
    const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
    const squared = sum(read.map((value) => value ** 2));
    if (squared < 1e-6)
      throw new OutOfRange('targets', 'Nothing is left of the shown ranges by this way of reading.', 'longer ranges');
    const product = sum(read.map((value, i) => value * (known[i] ?? 0)));
    const factor = product / squared;
    const residualsM = known.map((value, i) => value - factor * (read[i] ?? 0));
    const n = targets.length;
    const left = sum(residualsM.map((value) => value ** 2));
    const shown = targets.map(({ shownM }) => shownM);
    const meanM = Math.max(1e-6, sum(read) / n);
    const roundings = [
      roundingOf(known, stepOf(known, distanceSteps)),
      roundingOf(shown, stepOf(shown, distanceSteps), factor),
    ];
    const parts = {
      scatter: n > 1 ? Math.sqrt(left / (n - 1) / squared) : 0,
      degreesOfFreedom: n - 1,
      floor: Math.sqrt(roundings.reduce((all, { apartVariance }) => all + apartVariance, 0) / squared),
      roundings: roundings.map(({ shared }) => shared && { halfStep: shared.halfStep / meanM }),
    };
    const surety = n > 1 ? suretyOf(parts) : null;
    const standardError = surety?.standardError ?? null;
    const halfInterval95 = surety?.halfInterval95 ?? null;
    const missOf = (one: Way): number => {
      const values = reads(one);
      return Math.sqrt(sum(values.map((value, i) => (value - (known[i] ?? 0)) ** 2)) / n);
    };
    const missesM = {
      'by triangle': missOf('by triangle'),
      'less the water column': missOf('less the water column'),
      'as shown': missOf('as shown'),
    };
    const nearest = shownRanges.reduce((best, one) => (missesM[one] < missesM[best] ? one : best));
    const working: WorkingStep[] = [
      ...targets.map(({ shownM, heightM, targetHeightM }, i) =>
        calculated(
          {
            says: `Distance read, target ${i + 1}`,
            symbol: `x${i + 1}`,
            value: read[i] ?? 0,
            unit: 'm',
            expression:
              way === 'by triangle' ? 'sqrt(s ^ 2 - (h - t) ^ 2)' : way === 'as shown' ? 's' : 'max(0, s - h)',
            source: way === 'by triangle' ? 'Blondel 2009, ch. 2' : 'as users read it',
          },
          given('s', shownM, 'm', 'shown range'),
          given('h', heightM, 'm', 'face over the bottom'),
          given('t', targetHeightM, 'm', 'target over the bottom'),
        ),
      ),
      calculated(
        {
          says: 'Known distance for one that is read',
          symbol: 'k',
          value: factor,
          unit: '',
          expression: 'P / X',
          source: 'regression through the origin, Draper and Smith 1998, ch. 1',
        },
        given('P', product, 'm²', 'read times known, added'),
        given('X', squared, 'm²', 'read, squared and added'),
      ),
    ];
    if (n > 1) working.push(...suretySteps(parts, 'the factor', ''));
    return {
      factor,
      standardError,
      halfInterval95,
      sharedHalf95: surety?.sharedHalf95 ?? 0,
      residualsM,
      missesM,
      nearest,
      flags: n < 3 ? ['Fewer than three targets: one that was paced out wrong cannot be told from a true one.'] : [],
      working,
    };
  },
});
