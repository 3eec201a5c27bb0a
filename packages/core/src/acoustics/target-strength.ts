import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

export const targetModels = ['foote-physoclist', 'foote-clupeid', 'love-dorsal'] as const;
export type TargetModel = (typeof targetModels)[number];

/** What Foote's fits were measured at; away from it they are carried over. */
const footeHz = 38_000;
/** Sound speed that turns Love's range of lengths in wavelengths into hertz and centimetres. */
const nominalMps = 1490;

/**
 * Spread of one fish about the mean of the fit, dB: mostly tilt and behaviour. One standard deviation as the
 * measurements scatter, rounded up; twice as wide a range is no surprise on the water.
 */
const spreadDb: Record<TargetModel, number> = { 'foote-physoclist': 4, 'foote-clupeid': 4, 'love-dorsal': 5 };
const carriedOverDb = 2;

/** Target strength alone, dB re 1 m², of a fish seen from above. Sources as in the calculation below. */
export const targetStrengthDb = (model: TargetModel, lengthCm: number, frequencyHz: number): number => {
  const length = Math.log10(lengthCm);
  if (model === 'foote-physoclist') return 20 * length - 67.5;
  if (model === 'foote-clupeid') return 20 * length - 71.9;
  return 19.1 * length - 0.9 * Math.log10(frequencyHz / 1000) - 62;
};

/**
 * Mean target strength of a fish seen from above, dB re 1 m², and how far one fish may lie from it.
 * Sources: Foote 1987 (physoclists and clupeids, 38 kHz), Love 1971 (dorsal aspect, length 0.7 to 90 wavelengths).
 */
export const targetStrength = defineCalculation({
  name: 'target-strength',
  purpose: 'Target strength of a fish from its length, with its uncertainty',
  version: 1,
  input: z.strictObject({
    lengthCm: z.number().min(1).max(1500),
    frequencyHz: z.number().min(1000).max(3_000_000),
    model: z.enum(targetModels).default('foote-physoclist'),
  }),
  output: z.strictObject({ targetStrengthDb: z.number(), uncertaintyDb: z.number() }),
  run: ({ lengthCm, frequencyHz, model }) => {
    const level = targetStrengthDb(model, lengthCm, frequencyHz);
    const flags: string[] = [];
    const wavelengths = (lengthCm / 100 / nominalMps) * frequencyHz;
    let uncertaintyDb = spreadDb[model];
    if (model === 'love-dorsal') {
      if (wavelengths < 0.7 || wavelengths > 90) {
        uncertaintyDb += carriedOverDb;
        flags.push(
          `A fish of ${wavelengths.toPrecision(2)} wavelengths lies outside the 0.7 to 90 that the fit was made for.`,
        );
      }
    } else if (frequencyHz < footeHz / 2 || frequencyHz > footeHz * 2) {
      uncertaintyDb += carriedOverDb;
      flags.push('The fit was measured at 38 kHz and is carried over to this frequency.');
    }
    const length = given('L', lengthCm, 'cm', 'length of the fish');
    const constant = model === 'foote-clupeid' ? 71.9 : 67.5;
    return {
      targetStrengthDb: level,
      uncertaintyDb,
      flags,
      working: [
        model === 'love-dorsal'
          ? calculated(
              {
                says: 'Target strength from above',
                symbol: 'TS',
                value: level,
                unit: 'dB',
                expression: '19.1 * log10(L) - 0.9 * log10(f / 1000) - 62',
                source: 'Love 1971',
              },
              length,
              given('f', frequencyHz, 'Hz', 'frequency'),
            )
          : calculated(
              {
                says: `Target strength from above, ${model === 'foote-clupeid' ? 'open swim bladder' : 'closed swim bladder'}`,
                symbol: 'TS',
                value: level,
                unit: 'dB',
                expression: `20 * log10(L) - ${constant}`,
                source: 'Foote 1987',
              },
              length,
            ),
      ],
    };
  },
});
