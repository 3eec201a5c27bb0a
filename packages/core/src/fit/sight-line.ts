import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;
/** ISO 11591: the water has to be seen from so many lengths ahead on, and not from farther than this. */
const lengths = 4;
const farthestM = 50;

/**
 * From where on the water ahead is seen over the top of a screen and over the bow, running with the bow up. Heights in
 * metres above the water at rest, distances forward of the eye; `seenFromM` is null where none of it is seen.
 * Source: plane geometry; limit of ISO 11591:2011, 4 lengths or 50 m, whichever is less.
 */
export const sightLine = defineCalculation({
  name: 'sight-line',
  purpose: 'How far ahead the water is first seen over a screen and the bow, running',
  version: 1,
  input: z.strictObject({
    eyeM: z.number().min(0.2).max(30),
    screenTopM: z.number().min(-20).max(60),
    screenAheadM: z.number().min(0.1).max(10),
    bowM: z.number().min(0).max(15),
    bowAheadM: z.number().min(0.1).max(100),
    trimDeg: z.number().min(0).max(15).default(4),
    lengthM: z.number().min(2).max(60),
  }),
  output: z.strictObject({
    seenFromM: z.number().nullable(),
    hiddenBy: z.enum(['screen', 'bow']),
    limitM: z.number(),
    seen: z.boolean(),
  }),
  run: ({ eyeM, screenTopM, screenAheadM, bowM, bowAheadM, trimDeg, lengthM }) => {
    /** Down from the boat's own level to the top of what stands in the way. */
    const overScreen = Math.atan2(eyeM - screenTopM, screenAheadM);
    const overBow = Math.atan2(eyeM - bowM, bowAheadM);
    const hiddenBy = overScreen < overBow ? ('screen' as const) : ('bow' as const);
    const [topM, aheadM] = hiddenBy === 'screen' ? [screenTopM, screenAheadM] : [bowM, bowAheadM];
    const downRad = Math.min(overScreen, overBow) - trimDeg * radian;
    const limitM = Math.min(lengths * lengthM, farthestM);
    const seenFromM = downRad > 1e-6 ? eyeM / Math.tan(downRad) : null;
    const down = calculated(
      {
        says: `Down to the water over the ${hiddenBy}`,
        symbol: 'a',
        value: downRad,
        unit: 'rad',
        expression: 'atan2(h - t, x) - T',
        source: 'plane geometry',
      },
      given('h', eyeM, 'm', 'eye above the water'),
      given('t', topM, 'm', `top of the ${hiddenBy} above the water`),
      given('x', aheadM, 'm', 'ahead of the eye'),
      given('T', trimDeg * radian, 'rad', `bow up when running, ${trimDeg}°`),
    );
    return {
      seenFromM,
      hiddenBy,
      limitM,
      seen: seenFromM !== null && seenFromM <= limitM,
      flags: seenFromM === null ? [`The ${hiddenBy} hides all the water ahead when the bow is up.`] : [],
      working:
        seenFromM === null
          ? [down]
          : [
              down,
              calculated(
                {
                  says: 'The water is seen from there on',
                  symbol: 'd',
                  value: seenFromM,
                  unit: 'm',
                  expression: 'h / tan(a)',
                  source: 'plane geometry',
                },
                given('h', eyeM, 'm', 'eye above the water'),
                given('a', downRad, 'rad', 'down to the water'),
              ),
            ],
    };
  },
});
