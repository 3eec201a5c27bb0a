import { gaugeSchema, insulationRatingsC } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { sectionMm2, warmthFactor, wireAmpacityA } from './wire.ts';

/** The rating taken where nothing is printed on a cable. */
export const carefulInsulationC = 70;

/**
 * The most a wire carries continuously, single in free air: bundles carry less, which is left to the local code.
 * Source: ISO 10133:2012, table A.1.
 */
export const ampacity = defineCalculation({
  name: 'ampacity',
  purpose: 'Greatest continuous current of a wire, which its fuse must not exceed',
  version: 2,
  input: z.strictObject({
    gauge: gaugeSchema,
    /** Rated temperature of the insulation; 70 °C is the careful one where nothing is printed on it. */
    insulationC: z.literal(insulationRatingsC).default(carefulInsulationC),
    /** Short for 60 °C around the wire. */
    engineSpace: z.boolean().default(false),
    /** Around the wire; 30 °C unless said, 60 °C in an engine space. */
    aroundC: z.number().min(-40).max(120).optional(),
  }),
  output: z.strictObject({ ampacityA: z.number() }),
  run: ({ gauge, insulationC, engineSpace, ...around }) => {
    const aroundC = around.aroundC ?? (engineSpace ? 60 : 30);
    const carries = wireAmpacityA(gauge, insulationC, aroundC);
    return {
      ampacityA: carries,
      flags:
        carries === 0 ? [`Insulation for ${insulationC} °C bears no current where it is ${aroundC} °C around it.`] : [],
      working: [
        {
          says: 'Greatest continuous current',
          symbol: 'I',
          value: carries,
          unit: 'A',
          expression: null,
          method: 'the row of the table for the section, or the next smaller, times what the warmth around it leaves',
          inputs: [
            given('A', sectionMm2(gauge), 'mm2', `section of ${gauge}`),
            given('T', insulationC, '°C', 'rating of the insulation'),
            given('Ta', aroundC, '°C', 'around the wire'),
            given('k', warmthFactor(insulationC, aroundC), '', 'left of it there'),
          ],
          source: 'ISO 10133:2012, table A.1',
        },
      ],
    };
  },
});
