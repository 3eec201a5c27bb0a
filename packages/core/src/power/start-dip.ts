import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/**
 * Voltage at a device while an engine is cranked from the same battery. `lossV` is what the device's own wires lose.
 * `marginV` against the lowest it stands; null where that is not known. Source: Ohm's law over the battery's inner resistance.
 */
export const startDip = defineCalculation({
  name: 'start-dip',
  purpose: 'Voltage at a device while the engine is started from its battery',
  version: 1,
  input: z.strictObject({
    restV: z.number().min(0).max(140),
    internalOhm: z.number().min(0).max(0.5),
    crankingA: z.number().min(0).max(2000),
    lossV: z.number().min(0).max(60).default(0),
    lowestV: z.number().min(3).max(60).nullable().default(null),
  }),
  output: z.strictObject({ dipV: z.number(), marginV: z.number().nullable() }),
  run: ({ restV, internalOhm, crankingA, lossV, lowestV }) => {
    const dipV = Math.max(0, restV - crankingA * internalOhm - lossV);
    return {
      dipV,
      marginV: lowestV === null ? null : dipV - lowestV,
      flags: ['A fuse opens on too much current. It keeps off neither a dip nor a spike of voltage.'],
      working: [
        calculated(
          {
            says: 'At the device while cranking',
            symbol: 'U',
            value: dipV,
            unit: 'V',
            expression: 'max(0, E - I * R - D)',
            source: 'Ohm’s law',
          },
          given('E', restV, 'V', 'of the battery at rest'),
          given('I', crankingA, 'A', 'the starter takes'),
          given('R', internalOhm, 'ohm', 'inner resistance'),
          given('D', lossV, 'V', 'lost in the device’s own wires'),
        ),
      ],
    };
  },
});
