import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/**
 * Length on a flat bottom of the shadow a target throws in a side-scan picture, m; infinite for one as high as the unit.
 * `groundRangeM` to the target, `heightM` of the unit and `targetHeightM` above the bottom. Source: similar triangles, Blondel 2009, ch. 2.
 */
export const shadowLengthM = (heightM: number, groundRangeM: number, targetHeightM: number): number =>
  targetHeightM >= heightM
    ? Number.POSITIVE_INFINITY
    : (Math.max(0, targetHeightM) * groundRangeM) / (heightM - Math.max(0, targetHeightM));

/** Height of a target above a flat bottom from the shadow behind it. Metres. Source: similar triangles, Blondel 2009, ch. 2. */
export const sideScanShadow = defineCalculation({
  name: 'side-scan-shadow',
  purpose: 'Height of a target from the length of its shadow in a side-scan picture',
  version: 1,
  input: z.strictObject({
    heightM: z.number().min(0.05).max(5000),
    groundRangeM: z.number().min(0.01).max(5000),
    shadowM: z.number().min(0).max(5000),
  }),
  output: z.strictObject({ targetHeightM: z.number() }),
  run: ({ heightM, groundRangeM, shadowM }) => {
    if (shadowM > 50 * groundRangeM)
      throw new OutOfRange(
        'shadowM',
        `"shadowM" is ${shadowM}: more than fifty times the ${groundRangeM} m to the target, so it has no end to measure.`,
        `0 to ${50 * groundRangeM}`,
      );
    const targetHeightM = (shadowM * heightM) / (groundRangeM + shadowM);
    return {
      targetHeightM,
      flags: [],
      working: [
        calculated(
          {
            says: 'Height of the target',
            symbol: 't',
            value: targetHeightM,
            unit: 'm',
            expression: 's * h / (g + s)',
            source: 'similar triangles, Blondel 2009, ch. 2',
          },
          given('s', shadowM, 'm', 'length of the shadow'),
          given('h', heightM, 'm', 'height of the unit above the bottom'),
          given('g', groundRangeM, 'm', 'distance over the ground to the target'),
        ),
      ],
    };
  },
});
