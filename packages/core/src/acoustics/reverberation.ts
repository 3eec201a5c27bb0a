import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/**
 * Echo of what fills the water (plankton, bubbles) at a range, dB, and how far a target stands over it. Neither power
 * nor absorption helps: both act on the target alike. Source: Urick 1983, ch. 8.
 */
export const volumeReverberation = defineCalculation({
  name: 'volume-reverberation',
  purpose: 'How far a target stands over the clutter of the water at its range',
  version: 1,
  input: z.strictObject({
    rangeM: z.number().min(0.1).max(11_000),
    /** Two-way equivalent beam, 10 log steradians. */
    equivalentBeamDb: z.number().min(-60).max(11),
    rangeResolutionM: z.number().min(0.0001).max(1000),
    /** Volume backscattering strength, dB a cubic metre. */
    volumeBackscatterDb: z.number().min(-120).max(-20),
    targetStrengthDb: z.number().min(-120).max(40),
  }),
  output: z.strictObject({ clutterStrengthDb: z.number(), volumeM3: z.number(), targetOverClutterDb: z.number() }),
  run: ({ rangeM, equivalentBeamDb, rangeResolutionM, volumeBackscatterDb, targetStrengthDb }) => {
    const volumeM3 = 10 ** (equivalentBeamDb / 10) * rangeM ** 2 * rangeResolutionM;
    const clutterStrengthDb = volumeBackscatterDb + 10 * Math.log10(volumeM3);
    const targetOverClutterDb = targetStrengthDb - clutterStrengthDb;
    return {
      clutterStrengthDb,
      volumeM3,
      targetOverClutterDb,
      flags: [],
      working: [
        calculated(
          {
            says: 'Water that answers at once',
            symbol: 'V',
            value: volumeM3,
            unit: 'm³',
            expression: '10 ^ (psi / 10) * r ^ 2 * dr',
            source: 'Urick 1983, ch. 8',
          },
          given('psi', equivalentBeamDb, 'dB', 'equivalent two-way beam'),
          given('r', rangeM, 'm', 'range'),
          given('dr', rangeResolutionM, 'm', 'range resolution'),
        ),
        calculated(
          {
            says: 'Target over the clutter',
            symbol: 'SRR',
            value: targetOverClutterDb,
            unit: 'dB',
            expression: 'TS - (Sv + 10 * log10(V))',
            source: 'Urick 1983, ch. 8',
          },
          given('TS', targetStrengthDb, 'dB', 'target strength'),
          given('Sv', volumeBackscatterDb, 'dB', 'backscatter of a cubic metre'),
          given('V', volumeM3, 'm³', 'water that answers at once'),
        ),
      ],
    };
  },
});
