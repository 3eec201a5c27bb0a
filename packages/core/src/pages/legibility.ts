import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { pixelPitchM } from './panes.ts';

export const lights = ['day', 'night'] as const;
export type Light = (typeof lights)[number];

/**
 * The least angle a digit must fill. By day 16 minutes of arc, the least character height of ISO 9241-303:2011. By
 * night that of critical figures at low luminance in MIL-STD-1472G (2012): 0.20 in seen from 28 in, 24.6 minutes.
 */
export const leastAngleArcmin: Readonly<Record<Light, number>> = {
  day: 16,
  night: ((2 * Math.atan(0.2 / 28 / 2) * 180) / Math.PI) * 60,
};
const angleSource: Readonly<Record<Light, string>> = {
  day: 'ISO 9241-303:2011, least character height',
  night: 'MIL-STD-1472G 2012, critical figures at low luminance: 0.20 in at 28 in',
};

/**
 * Whether a number on a screen can be read: the angle its digits fill at the eye, and how many pixels high they would
 * have to be. Heights of the digits themselves, not of the type size. Source: plane geometry; thresholds as named.
 */
export const legibility = defineCalculation({
  name: 'legibility',
  purpose: 'Angle a number fills at the eye, and the height it needs by day or by night',
  version: 1,
  input: z.strictObject({
    heightPx: z.number().min(1).max(4000),
    screenDiagonalM: z.number().min(0.05).max(1),
    pixelsWide: z.number().int().min(160).max(8000),
    pixelsHigh: z.number().int().min(120).max(8000),
    viewingDistanceM: z.number().min(0.2).max(5),
    light: z.enum(lights).default('day'),
  }),
  output: z.strictObject({
    heightM: z.number(),
    angleArcmin: z.number(),
    wantedArcmin: z.number(),
    wantedHeightM: z.number(),
    /** The least whole number of pixels that would do. */
    wantedPx: z.number(),
    readable: z.boolean(),
  }),
  run: ({ heightPx, viewingDistanceM, light, ...screen }) => {
    const pitchM = pixelPitchM(screen);
    const heightM = heightPx * pitchM;
    const arcmin = (180 / Math.PI) * 60;
    const angleArcmin = 2 * Math.atan(heightM / (2 * viewingDistanceM)) * arcmin;
    const wantedArcmin = leastAngleArcmin[light];
    const wantedHeightM = 2 * viewingDistanceM * Math.tan(wantedArcmin / arcmin / 2);
    const pixel = {
      says: 'One pixel',
      symbol: 'p',
      value: pitchM,
      unit: 'm',
      expression: 'D / sqrt(w ^ 2 + h ^ 2)',
      source: 'square pixels',
    };
    return {
      heightM,
      angleArcmin,
      wantedArcmin,
      wantedHeightM,
      wantedPx: Math.ceil(wantedHeightM / pitchM - 1e-9),
      readable: angleArcmin >= wantedArcmin,
      flags: [],
      working: [
        calculated(
          pixel,
          given('D', screen.screenDiagonalM, 'm', 'diagonal of the screen'),
          given('w', screen.pixelsWide, 'px', 'pixels across'),
          given('h', screen.pixelsHigh, 'px', 'pixels down'),
        ),
        calculated(
          {
            says: 'Height a digit needs',
            symbol: 'need',
            value: wantedHeightM,
            unit: 'm',
            expression: '2 * L * tan(least / 60 * pi / 180 / 2)',
            source: angleSource[light],
          },
          given('L', viewingDistanceM, 'm', 'eye to screen'),
          given('least', wantedArcmin, '\u2032', `least angle by ${light}`),
        ),
        calculated(
          {
            says: 'Angle it fills',
            symbol: 'a',
            value: angleArcmin,
            unit: '\u2032',
            expression: '2 * atan(n * p / (2 * L)) * 180 / pi * 60',
            source: 'plane geometry',
          },
          given('n', heightPx, 'px', 'height of a digit'),
          given('p', pitchM, 'm', 'one pixel'),
          given('L', viewingDistanceM, 'm', 'eye to screen'),
        ),
      ],
    };
  },
});
