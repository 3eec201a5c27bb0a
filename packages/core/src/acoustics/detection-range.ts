import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { absorptionOf, budgetTermsSchema, noiseStep, snrAtDb } from './sonar-budget.ts';

/** The source level is defined at 1 m, so nothing is said about anything nearer. */
export const nearestM = 1;
const farthestM = 1_000_000;

/**
 * The greatest range at which a signal that only falls with range still has a level, m; null where it has not even
 * that at 1 m, or still has it at 1 000 km. Bisection to a tenth of a millimetre.
 */
export const greatestRangeM = (levelDb: (rangeM: number) => number, wantedDb: number): number | null => {
  if (levelDb(nearestM) < wantedDb || levelDb(farthestM) >= wantedDb) return null;
  let near = nearestM;
  let far = nearestM;
  while (levelDb(far) >= wantedDb) {
    near = far;
    far *= 2;
  }
  while (far - near > 1e-4) {
    const middle = (near + far) / 2;
    if (levelDb(middle) >= wantedDb) near = middle;
    else far = middle;
  }
  return (near + far) / 2;
};

/**
 * The greatest range at which one point target on the axis has a signal over noise, by the sonar equation.
 * Source: Urick 1983, ch. 2; the root is bracketed and halved, it exists at most once since the signal only falls.
 */
export const detectionRange = defineCalculation({
  name: 'detection-range',
  purpose: 'Greatest range at which a target has a signal over noise',
  version: 1,
  input: budgetTermsSchema.extend({ requiredSnrDb: z.number().min(-30).max(80) }),
  output: z.strictObject({
    rangeM: z.number().nullable(),
    /** The larger of the two losses at that range. */
    limitedBy: z.enum(['spreading', 'absorption']).nullable(),
    absorptionDbPerKm: z.number(),
  }),
  run: ({ requiredSnrDb, ...terms }) => {
    const water = absorptionOf(terms);
    const perMetre = water.absorptionDbPerKm / 1000;
    const snrDb = (rangeM: number): number => snrAtDb(terms, perMetre, rangeM);
    const rangeM = greatestRangeM(snrDb, requiredSnrDb);
    const absorbed = rangeM === null ? 0 : 2 * perMetre * rangeM;
    const spread = rangeM === null ? 0 : 40 * Math.log10(rangeM);
    const none =
      snrDb(nearestM) < requiredSnrDb
        ? `Not even at 1 m does the target stand ${requiredSnrDb} dB over the noise.`
        : 'The target would be seen at any range the program works with; check the figures.';
    return {
      rangeM,
      limitedBy: rangeM === null ? null : absorbed > spread ? ('absorption' as const) : ('spreading' as const),
      absorptionDbPerKm: water.absorptionDbPerKm,
      flags: rangeM === null ? [...water.flags, none] : water.flags,
      working: [
        ...water.working.slice(0, 1),
        noiseStep(terms),
        ...(rangeM === null
          ? []
          : [
              {
                says: 'Range at which the signal has fallen to what is required',
                symbol: 'r',
                value: rangeM,
                unit: 'm',
                expression: null,
                method: 'the root of SL - 40 log10(r) - 2 alpha r + TS - NL + PG = required, by bisection',
                inputs: [
                  given('SL', terms.sourceLevelDb, 'dB', 'source level'),
                  given('TS', terms.targetStrengthDb, 'dB', 'target strength'),
                  given('PG', terms.processingGainDb, 'dB', 'processing gain'),
                  given('required', requiredSnrDb, 'dB', 'signal over noise that is required'),
                ],
                source: 'Urick 1983, ch. 2',
              },
            ]),
      ],
    };
  },
});
