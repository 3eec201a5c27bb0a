import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { bottomTypes, type BottomType } from './backscatter.ts';

/**
 * What a bottom mirrors straight up, dB: 20 log of the ratio of impedances' difference to their sum.
 * Source: rounded from Hamilton 1980 (sediments) and Urick 1983, ch. 5 (rock).
 */
const mirrorLossDb: Readonly<Record<BottomType, number>> = { mud: 16, sand: 9, gravel: 8, rock: 5 };

const mostEchoes = 6;

/**
 * The bottom drawn again in shallow water: sound that went up, off the surface, and down once more. The n-th is drawn at
 * n times the depth of the water, and is weaker by the longer way, the water's absorption and a mirror more.
 * Drawn are those over noise and not too far under the first: the second as a rule, over hard bottom the third.
 * Depths in metres below the surface, levels in dB, `firstSnrDb` the signal over noise of the first.
 * Source: images in two parallel planes, Urick 1983, ch. 5.
 */
export const bottomEchoes = defineCalculation({
  name: 'bottom-echoes',
  purpose: 'Second and further bottoms drawn in shallow water, and how strong each is',
  version: 2,
  input: z.strictObject({
    depthM: z.number().min(0.1).max(2000),
    faceDepthM: z.number().min(0).max(20).default(0),
    firstSnrDb: z.number().min(-200).max(200),
    bottom: z.enum(bottomTypes).default('sand'),
    absorptionDbPerKm: z.number().min(0).max(5000),
    /** A rough surface mirrors less. */
    surfaceLossDb: z.number().min(0).max(40).default(1),
    requiredSnrDb: z.number().min(-30).max(80).default(15),
    /** How far under the first a display still draws one: its gain is set so that the first fills its scale. */
    shownBelowFirstDb: z.number().min(0).max(80).default(22),
  }),
  output: z.strictObject({
    /** From the second on, as far as they are seen. */
    echoes: z.array(z.strictObject({ order: z.number().int(), drawnM: z.number(), snrDb: z.number() })),
  }),
  run: ({
    depthM,
    faceDepthM,
    firstSnrDb,
    bottom,
    absorptionDbPerKm,
    surfaceLossDb,
    requiredSnrDb,
    shownBelowFirstDb,
  }) => {
    const below = depthM - faceDepthM;
    if (below < 0.05)
      throw new OutOfRange(
        'faceDepthM',
        `"faceDepthM" is ${faceDepthM}: the face does not lie over a bottom at ${depthM} m.`,
        `0 to ${(depthM - 0.05).toFixed(2)}`,
      );
    const range = (order: number): number => below + (order - 1) * depthM;
    const mirrorDb = mirrorLossDb[bottom] + surfaceLossDb;
    const snrDb = (order: number): number =>
      firstSnrDb -
      20 * Math.log10(range(order) / below) -
      (2 * absorptionDbPerKm * (range(order) - below)) / 1000 -
      (order - 1) * mirrorDb;
    const orders = Array.from({ length: mostEchoes - 1 }, (_, i) => i + 2);
    const least = Math.max(requiredSnrDb, firstSnrDb - shownBelowFirstDb);
    const seen = orders.filter((order) => snrDb(order) >= least);
    return {
      echoes: seen.map((order) => ({ order, drawnM: order * depthM, snrDb: snrDb(order) })),
      flags: [],
      working: orders.slice(0, 1).map((order) =>
        calculated(
          {
            says: 'Signal over noise of the second bottom',
            symbol: 'S2',
            value: snrDb(order),
            unit: 'dB',
            expression: 'S1 - 20 * log10((h + D) / h) - 2 * a * D / 1000 - m - s',
            source: 'images in two parallel planes, Urick 1983, ch. 5',
          },
          given('S1', firstSnrDb, 'dB', 'signal over noise of the first'),
          given('h', below, 'm', 'water below the face'),
          given('D', depthM, 'm', 'depth of the water'),
          given('a', absorptionDbPerKm, 'dB/km', 'absorption'),
          given('m', mirrorLossDb[bottom], 'dB', `lost in the ${bottom}, Hamilton 1980`),
          given('s', surfaceLossDb, 'dB', 'lost at the surface'),
        ),
      ),
    };
  },
});
