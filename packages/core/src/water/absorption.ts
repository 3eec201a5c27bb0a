import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { ainslieMcColm } from './ainslie-mccolm.ts';
import { francoisGarrison, type AbsorptionParts } from './francois-garrison.ts';

const input = z.strictObject({
  frequencyHz: z.number().min(200).max(3_000_000),
  temperatureC: z.number().min(0).max(40),
  salinityPpt: z.number().min(0).max(40),
  depthM: z.number().min(0).max(7000).default(10),
  pH: z.number().min(7).max(9).default(8),
  model: z.enum(['francois-garrison', 'ainslie-mccolm']).default('francois-garrison'),
});

const sources = {
  'francois-garrison': 'Francois and Garrison 1982',
  'ainslie-mccolm': 'Ainslie and McColm 1998',
} as const;

const total = (parts: AbsorptionParts): number => parts.boricAcid + parts.magnesiumSulphate + parts.water;

/**
 * Absorption of sound in water, dB/km, with the share of each cause.
 * Sources: Francois and Garrison 1982 (main), Ainslie and McColm 1998 (cross-check).
 */
export const absorption = defineCalculation({
  name: 'absorption',
  purpose: 'Absorption of sound in water, dB per kilometre one way',
  version: 1,
  input,
  output: z.strictObject({
    absorptionDbPerKm: z.number(),
    boricAcidDbPerKm: z.number(),
    magnesiumSulphateDbPerKm: z.number(),
    waterDbPerKm: z.number(),
    /** How far the other model lies from this one, as a fraction. */
    otherModelDiffers: z.number(),
  }),
  run: ({ frequencyHz, temperatureC, salinityPpt, depthM, pH, model }) => {
    const kHz = frequencyHz / 1000;
    const francois = francoisGarrison(kHz, temperatureC, salinityPpt, depthM, pH);
    const ainslie = ainslieMcColm(kHz, temperatureC, salinityPpt, depthM, pH);
    const [chosen, other] = model === 'francois-garrison' ? [francois, ainslie] : [ainslie, francois];
    const absorptionDbPerKm = total(chosen);
    const otherModelDiffers = total(other) / absorptionDbPerKm - 1;

    const flags: string[] = [];
    if (salinityPpt > 0.5 && salinityPpt < 30)
      flags.push(
        `Water of ${salinityPpt} ppt lies between the fresh water and the sea that both models were measured in; they differ by ${Math.abs(otherModelDiffers * 100).toFixed(0)} % here.`,
      );
    if (frequencyHz > 1_000_000) flags.push('Above 1 MHz the formula is carried on beyond its measurements.');
    if (temperatureC > 30) flags.push('Above 30 °C the formula is carried on beyond its measurements.');

    return {
      absorptionDbPerKm,
      boricAcidDbPerKm: chosen.boricAcid,
      magnesiumSulphateDbPerKm: chosen.magnesiumSulphate,
      waterDbPerKm: chosen.water,
      otherModelDiffers,
      flags,
      working: [
        {
          says: 'Absorption: boric acid, magnesium sulphate and the water itself',
          symbol: 'alpha',
          value: absorptionDbPerKm,
          unit: 'dB/km',
          expression: 'boric + magnesium + water',
          method: null,
          inputs: [
            { symbol: 'boric', value: chosen.boricAcid, unit: 'dB/km', meaning: 'by boric acid' },
            { symbol: 'magnesium', value: chosen.magnesiumSulphate, unit: 'dB/km', meaning: 'by magnesium sulphate' },
            {
              symbol: 'water',
              value: chosen.water,
              unit: 'dB/km',
              meaning: `by water itself, at ${kHz} kHz, ${temperatureC} °C, ${salinityPpt} ppt, ${depthM} m, pH ${pH}`,
            },
          ],
          source: sources[model],
        },
        calculated(
          {
            says: 'How far the other model departs from this one',
            symbol: 'differs',
            value: otherModelDiffers,
            unit: '',
            expression: 'other / alpha - 1',
            source: sources[model === 'francois-garrison' ? 'ainslie-mccolm' : 'francois-garrison'],
          },
          given('other', total(other), 'dB/km', 'absorption by the other model'),
          given('alpha', absorptionDbPerKm, 'dB/km', 'absorption by this one'),
        ),
      ],
    };
  },
});
