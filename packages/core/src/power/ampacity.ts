import { gaugeSchema, insulationRatingsC } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { sectionMm2, wireAmpacityA } from './wire.ts';

/** The rating taken where nothing is printed on a cable. */
export const carefulInsulationC = 70;

/**
 * The most a wire carries continuously, single in free air: bundles carry less, which is left to the local code.
 * Source: ISO 10133:2012, table A.1.
 */
export const ampacity = defineCalculation({
  name: 'ampacity',
  purpose: 'Greatest continuous current of a wire, which its fuse must not exceed',
  version: 1,
  input: z.strictObject({
    gauge: gaugeSchema,
    /** Rated temperature of the insulation; 70 °C is the careful one where nothing is printed on it. */
    insulationC: z.literal(insulationRatingsC).default(carefulInsulationC),
    engineSpace: z.boolean().default(false),
  }),
  output: z.strictObject({ ampacityA: z.number() }),
  run: ({ gauge, insulationC, engineSpace }) => {
    const carries = wireAmpacityA(gauge, insulationC, engineSpace);
    return {
      ampacityA: carries,
      flags: carries === 0 ? ['Insulation of that rating is not for an engine space.'] : [],
      working: [
        {
          says: 'Greatest continuous current',
          symbol: 'I',
          value: carries,
          unit: 'A',
          expression: null,
          method: 'the row of the table for the section, or the next smaller; less in an engine space',
          inputs: [
            given('A', sectionMm2(gauge), 'mm2', `section of ${gauge}`),
            given('T', insulationC, '°C', 'rating of the insulation'),
          ],
          source: 'ISO 10133:2012, table A.1',
        },
      ],
    };
  },
});
