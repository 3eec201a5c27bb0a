import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** Level of one acoustic watt radiated evenly, at 1 m, dB re 1 µPa. Source: Urick 1983, ch. 4. */
export const oneWattDb = 170.8;

/** Source level, dB re 1 µPa at 1 m, of an acoustic power and a directivity index. Source: Urick 1983, ch. 4. */
export const sourceLevelDb = (acousticPowerW: number, directivityIndexDb: number): number =>
  oneWattDb + 10 * Math.log10(acousticPowerW) + directivityIndexDb;

/**
 * Source level on the axis, dB re 1 µPa at 1 m, from electrical power, efficiency and directivity.
 * Source: Urick 1983, ch. 4, with the constant 170.8 dB for one acoustic watt.
 */
export const sourceLevel = defineCalculation({
  name: 'source-level',
  purpose: 'Source level from electrical power, efficiency and directivity',
  version: 1,
  input: z.strictObject({
    electricalPowerW: z.number().min(0.001).max(100_000),
    efficiency: z.number().min(0.001).max(1),
    directivityIndexDb: z.number().min(0).max(60),
  }),
  output: z.strictObject({ sourceLevelDb: z.number(), acousticPowerW: z.number() }),
  run: ({ electricalPowerW, efficiency, directivityIndexDb }) => {
    const acousticPowerW = electricalPowerW * efficiency;
    const level = sourceLevelDb(acousticPowerW, directivityIndexDb);
    return {
      sourceLevelDb: level,
      acousticPowerW,
      flags: [],
      working: [
        calculated(
          {
            says: 'Acoustic power',
            symbol: 'Pa',
            value: acousticPowerW,
            unit: 'W',
            expression: 'P * eta',
            source: 'definition of efficiency',
          },
          given('P', electricalPowerW, 'W', 'electrical power'),
          given('eta', efficiency, '', 'efficiency'),
        ),
        calculated(
          {
            says: 'Source level on the axis, at 1 m',
            symbol: 'SL',
            value: level,
            unit: 'dB',
            expression: `${oneWattDb} + 10 * log10(Pa) + DI`,
            source: 'Urick 1983, ch. 4',
          },
          given('Pa', acousticPowerW, 'W', 'acoustic power'),
          given('DI', directivityIndexDb, 'dB', 'directivity index'),
        ),
      ],
    };
  },
});
