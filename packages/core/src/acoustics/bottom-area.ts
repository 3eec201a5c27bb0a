import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;

/** Range beyond which the pulse, not the beam, limits the area that answers at once, m. */
export const pulseLimitedFromM = (beamwidthDeg: number, rangeResolutionM: number): number =>
  rangeResolutionM / (1 / Math.cos((beamwidthDeg / 2) * radian) - 1);

/** Area of a flat bottom straight below that answers at once, m². */
export const bottomAreaM2 = (rangeM: number, beamwidthDeg: number, rangeResolutionM: number): number =>
  Math.PI *
  Math.min((rangeM * Math.tan((beamwidthDeg / 2) * radian)) ** 2, (2 * rangeM + rangeResolutionM) * rangeResolutionM);

/**
 * Area of flat bottom straight below that answers at once: the beam's footprint, or the disc the pulse covers when
 * its front is one resolution further out, whichever is smaller. Source: Lurton 2010, ch. 3.
 */
export const bottomArea = defineCalculation({
  name: 'bottom-area',
  purpose: 'Area of bottom that answers at once, limited by the beam or by the pulse',
  version: 1,
  input: z.strictObject({
    rangeM: z.number().min(0.01).max(11_000),
    beamwidthDeg: z.number().min(0.01).max(170),
    rangeResolutionM: z.number().min(0.0001).max(1000),
  }),
  output: z.strictObject({
    areaM2: z.number(),
    limitedBy: z.enum(['beam', 'pulse']),
    pulseLimitsFromM: z.number(),
  }),
  run: ({ rangeM, beamwidthDeg, rangeResolutionM }) => {
    const areaM2 = bottomAreaM2(rangeM, beamwidthDeg, rangeResolutionM);
    const pulseLimitsFromM = pulseLimitedFromM(beamwidthDeg, rangeResolutionM);
    const limitedBy: 'beam' | 'pulse' = rangeM > pulseLimitsFromM ? 'pulse' : 'beam';
    const range = given('R', rangeM, 'm', 'range straight down');
    const cone = given('phi', beamwidthDeg * radian, 'rad', `full cone, ${beamwidthDeg}°`);
    const resolution = given('r', rangeResolutionM, 'm', 'range resolution');
    return {
      areaM2,
      limitedBy,
      pulseLimitsFromM,
      flags: [],
      working: [
        calculated(
          {
            says: 'Beyond this range the pulse limits the area',
            symbol: 'R0',
            value: pulseLimitsFromM,
            unit: 'm',
            expression: 'r / (1 / cos(phi / 2) - 1)',
            source: 'Lurton 2010, ch. 3',
          },
          resolution,
          cone,
        ),
        limitedBy === 'beam'
          ? calculated(
              {
                says: "Area: the beam's footprint",
                symbol: 'A',
                value: areaM2,
                unit: 'm²',
                expression: 'pi * (R * tan(phi / 2)) ^ 2',
                source: 'plane geometry',
              },
              range,
              cone,
            )
          : calculated(
              {
                says: 'Area: the disc the pulse covers',
                symbol: 'A',
                value: areaM2,
                unit: 'm²',
                expression: 'pi * ((R + r) ^ 2 - R ^ 2)',
                source: 'Lurton 2010, ch. 3',
              },
              range,
              resolution,
            ),
      ],
    };
  },
});
