import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';

const radian = Math.PI / 180;

/**
 * Where a full cone meets the bottom: width, reach up and down a slope, and the first echo.
 * Angles full and in degrees, distances in metres below the face; slope 0 is a flat bottom.
 * Source: plane geometry; the first echo is the nearest point of the bottom inside the cone.
 */
export const footprint = defineCalculation({
  name: 'footprint',
  purpose: 'Footprint of a cone on a flat or sloping bottom, and its first echo',
  version: 1,
  input: z.strictObject({
    beamwidthDeg: z.number().min(0.01).max(170),
    depthM: z.number().min(0.01).max(11_000),
    slopeDeg: z.number().min(0).max(80).default(0),
  }),
  output: z.strictObject({
    widthAcrossM: z.number(),
    uphillReachM: z.number(),
    downhillReachM: z.number(),
    firstEchoRangeM: z.number(),
    depthErrorM: z.number(),
    ruleWidthM: z.number(),
    /** How much less than the width the usual rule says, as a fraction. */
    ruleShortfall: z.number(),
  }),
  run: ({ beamwidthDeg, depthM, slopeDeg }) => {
    const half = (beamwidthDeg / 2) * radian;
    const slope = slopeDeg * radian;
    if (half + slope >= Math.PI / 2 - 1e-9)
      throw new OutOfRange(
        'slopeDeg',
        `A cone of ${beamwidthDeg}° never meets a slope of ${slopeDeg}° on the downhill side.`,
        `0 to below ${(90 - beamwidthDeg / 2).toFixed(1)}`,
      );
    const widthAcrossM = 2 * depthM * Math.tan(half);
    const uphillReachM = (depthM * Math.tan(half)) / (1 + Math.tan(half) * Math.tan(slope));
    const downhillReachM = (depthM * Math.tan(half)) / (1 - Math.tan(half) * Math.tan(slope));
    const insideCone = slope <= half;
    const firstEchoRangeM = insideCone ? depthM * Math.cos(slope) : (depthM * Math.cos(slope)) / Math.cos(slope - half);
    const ruleWidthM = depthM * 2 * half;
    const ruleShortfall = 1 - ruleWidthM / widthAcrossM;
    const shared = [
      { symbol: 'd', value: depthM, unit: 'm', meaning: 'depth below the face' },
      { symbol: 'phi', value: 2 * half, unit: 'rad', meaning: `full cone, ${beamwidthDeg}°` },
    ];
    const sloped = [...shared, { symbol: 's', value: slope, unit: 'rad', meaning: `slope, ${slopeDeg}°` }];
    const step = (
      says: string,
      symbol: string,
      value: number,
      expression: string,
      inputs: WorkingStep['inputs'],
      unit = 'm',
    ): WorkingStep => ({
      says,
      symbol,
      value,
      unit,
      expression,
      method: null,
      inputs,
      source: 'plane geometry',
    });
    return {
      widthAcrossM,
      uphillReachM,
      downhillReachM,
      firstEchoRangeM,
      depthErrorM: firstEchoRangeM - depthM,
      ruleWidthM,
      ruleShortfall,
      flags: [],
      working: [
        step('Width of the footprint across the slope', 'w', widthAcrossM, '2 * d * tan(phi / 2)', shared),
        step('Usual rule: depth times the angle in radians', 'w_rule', ruleWidthM, 'd * phi', shared),
        step(
          'How much less the usual rule says',
          'short',
          ruleShortfall,
          '1 - w_rule / w',
          [
            { symbol: 'w_rule', value: ruleWidthM, unit: 'm', meaning: 'width by the usual rule' },
            { symbol: 'w', value: widthAcrossM, unit: 'm', meaning: 'width of the footprint' },
          ],
          '',
        ),
        step('Reach uphill', 'u', uphillReachM, 'd * tan(phi / 2) / (1 + tan(phi / 2) * tan(s))', sloped),
        step('Reach downhill', 'v', downhillReachM, 'd * tan(phi / 2) / (1 - tan(phi / 2) * tan(s))', sloped),
        step(
          insideCone ? 'First echo: square to the slope' : 'First echo: at the edge of the cone',
          'r',
          firstEchoRangeM,
          insideCone ? 'd * cos(s)' : 'd * cos(s) / cos(s - phi / 2)',
          sloped,
        ),
      ],
    };
  },
});
