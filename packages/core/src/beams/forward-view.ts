import { forwardModes } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;

/** How the unit has to hang for each mode. */
export const forwardMounting: Readonly<Record<(typeof forwardModes)[number], string>> = {
  ahead: 'on the shaft or a pole, face forward, fan upright',
  down: 'on the shaft or a pole, face straight down, fan fore and aft',
  flat: 'turned a quarter on its bracket, face forward, fan lying flat',
};

/**
 * What a forward-facing fan covers in each of its modes. Angles in degrees, from straight down for the upright fan and
 * below the horizontal for `tiltDeg`; distances in metres, horizontal, from below the face. The upright fan's upper
 * edge lies level when it is not tilted. `blindM` is the radius of the disc on the bottom in which nothing is seen:
 * null where the fan never meets the bottom, 0 where it sees straight below.
 * Source: plane geometry of a fan over a flat bottom.
 */
export const forwardView = defineCalculation({
  name: 'forward-view',
  purpose: 'What a forward-facing fan covers ahead, down or flat: blind disc, reach on the bottom, window',
  version: 2,
  input: z.strictObject({
    mode: z.enum(forwardModes),
    sectorDeg: z.number().min(5).max(170),
    thinDeg: z.number().min(0.5).max(60),
    /** Below the level; the fan that looks down tilts forward by it. */
    tiltDeg: z.number().min(0).max(60).default(0),
    /** Water below the face. */
    belowFaceM: z.number().min(0.1).max(2000),
    /** How far the unit is set to look. */
    rangeM: z.number().min(1).max(500),
    /** Width of the pane over its height: what keeps the picture's proportions true. */
    paneAspect: z.number().min(0.2).max(5).default(1.5),
  }),
  output: z.strictObject({
    fromDownDeg: z.number(),
    toDownDeg: z.number(),
    blindM: z.number().nullable(),
    /** How far ahead the bottom is lit, at most the range. */
    bottomToM: z.number().nullable(),
    /** Width of the water lit at the range, across for the flat fan and up and down for the others. */
    litAcrossM: z.number(),
    /** Thickness of the slice at the range: what the picture cannot tell apart. */
    sliceM: z.number(),
    /** Range that draws a metre ahead as long as a metre down, for a pane that shows a fifth more than the depth. */
    trueWindowM: z.number(),
    /** The window as set, metres ahead for each metre down. */
    windowProportion: z.number(),
  }),
  run: ({ mode, sectorDeg, thinDeg, tiltDeg, belowFaceM, rangeM, paneAspect }) => {
    const upper =
      mode === 'down' ? tiltDeg + sectorDeg / 2 : mode === 'ahead' ? 90 - tiltDeg : 90 - tiltDeg + thinDeg / 2;
    const lower = mode === 'down' ? tiltDeg - sectorDeg / 2 : mode === 'ahead' ? upper - sectorDeg : upper - thinDeg;
    if (mode === 'down' && tiltDeg >= 45)
      throw new OutOfRange(
        'tiltDeg',
        `A fan that looks down tilted by ${tiltDeg}° looks ahead: use that mode.`,
        '0 to 44',
      );
    // A fan whose lower edge looks up astern of the boat still sees straight below.
    const onBottom = (deg: number): number => belowFaceM * Math.tan(Math.max(-89.99, Math.min(deg, 89.99)) * radian);
    const farthest = Math.sqrt(Math.max(0, rangeM ** 2 - belowFaceM ** 2));
    const meets = rangeM > belowFaceM && lower < 90 && onBottom(lower) <= farthest;
    const blindM = meets ? Math.max(0, onBottom(lower)) : null;
    const bottomToM = meets ? Math.min(farthest, upper >= 90 ? farthest : onBottom(upper)) : null;
    const sliceM = 2 * rangeM * Math.tan((thinDeg / 2) * radian);
    const litAcrossM = 2 * rangeM * Math.sin((Math.min(180, sectorDeg) / 2) * radian);
    const trueWindowM = 1.2 * belowFaceM * paneAspect;
    const source = 'plane geometry of a fan over a flat bottom';
    const h = given('h', belowFaceM, 'm', 'water below the face');
    const working = [
      calculated(
        {
          says: 'Thickness of the slice at the range',
          symbol: 'd',
          value: sliceM,
          unit: 'm',
          expression: '2 * R * tan(t / 2)',
          source,
        },
        given('R', rangeM, 'm', 'range'),
        given('t', thinDeg * radian, 'rad', `thin side of the fan, ${thinDeg}°`),
      ),
      calculated(
        {
          says: 'Range that keeps the proportions true',
          symbol: 'w',
          value: trueWindowM,
          unit: 'm',
          expression: '1.2 * h * q',
          source,
        },
        h,
        given('q', paneAspect, '', 'width of the pane over its height'),
      ),
    ];
    if (blindM !== null)
      working.unshift(
        calculated(
          {
            says: 'Radius of the blind disc on the bottom',
            symbol: 'b',
            value: blindM,
            unit: 'm',
            expression: 'max(0, h * tan(l))',
            source,
          },
          h,
          given('l', lower * radian, 'rad', `lower edge of the fan, ${lower.toFixed(1)}° from straight down`),
        ),
      );
    return {
      fromDownDeg: lower,
      toDownDeg: upper,
      blindM,
      bottomToM,
      litAcrossM,
      sliceM,
      trueWindowM,
      windowProportion: rangeM / belowFaceM,
      flags:
        blindM === null
          ? ['The fan does not meet the bottom within its range: nothing on the bottom is seen.']
          : blindM > 0
            ? ['A target on the bottom vanishes when the unit comes over it: it lies in the blind disc.']
            : [],
      working,
    };
  },
});
