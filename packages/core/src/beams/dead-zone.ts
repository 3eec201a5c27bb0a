import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;

/**
 * Height above the bottom in which fish are hidden by the bottom's own echo: below the beam's axis, and at the edge of
 * the beam where the spherical front has not reached the bottom yet. On a slope the first echo comes from uphill, so
 * it hides more of the water over the downhill side. Source: Ona and Mitson 1996, exact plane geometry.
 */
export const deadZone = defineCalculation({
  name: 'dead-zone',
  purpose: 'Height above the bottom in which fish are hidden by its echo',
  version: 1,
  input: z.strictObject({
    beamwidthDeg: z.number().min(0.01).max(170),
    depthM: z.number().min(0.1).max(11_000),
    pulseLengthS: z.number().min(1e-6).max(1),
    soundSpeedMps: z.number().min(1300).max(1800),
    slopeDeg: z.number().min(0).max(80).default(0),
  }),
  output: z.strictObject({
    heightOnAxisM: z.number(),
    /** At whichever edge hides more: on a slope, the downhill one. */
    heightAtEdgeM: z.number(),
    heightAtUphillEdgeM: z.number(),
    firstEchoRangeM: z.number(),
    soundSpeedMps: z.number(),
  }),
  run: ({ beamwidthDeg, depthM, pulseLengthS, soundSpeedMps, slopeDeg }) => {
    const half = (beamwidthDeg / 2) * radian;
    const slope = slopeDeg * radian;
    if (half + slope >= Math.PI / 2 - 1e-9)
      throw new OutOfRange(
        'slopeDeg',
        `A cone of ${beamwidthDeg}° never meets a slope of ${slopeDeg}° on the downhill side.`,
        `0 to below ${(90 - beamwidthDeg / 2).toFixed(1)}`,
      );
    const inside = slope <= half;
    const firstEchoRangeM = (depthM * Math.cos(slope)) / (inside ? 1 : Math.cos(slope - half));
    const pulseM = (soundSpeedMps * pulseLengthS) / 2;
    // A fish is clear when the end of its echo comes before the bottom's begins.
    const lastClearM = Math.max(0, firstEchoRangeM - pulseM);
    const hidden = (angle: number): number =>
      Math.max(0, depthM - (lastClearM * Math.cos(angle + slope)) / Math.cos(slope));
    const heightOnAxisM = hidden(0);
    const heightAtEdgeM = hidden(half);
    const heightAtUphillEdgeM = hidden(-half);
    const d = given('d', depthM, 'm', 'depth below the face');
    const phi = given('phi', 2 * half, 'rad', `full cone, ${beamwidthDeg}°`);
    const s = given('s', slope, 'rad', `slope, ${slopeDeg}°`);
    const clear = given('rc', lastClearM, 'm', 'last range that is clear of the bottom');
    const source = 'Ona and Mitson 1996';
    return {
      heightOnAxisM,
      heightAtEdgeM,
      heightAtUphillEdgeM,
      firstEchoRangeM,
      soundSpeedMps,
      flags: [],
      working: [
        calculated(
          {
            says: inside ? 'First echo: square to the slope' : 'First echo: at the uphill edge of the cone',
            symbol: 'r1',
            value: firstEchoRangeM,
            unit: 'm',
            expression: inside ? 'd * cos(s)' : 'd * cos(s) / cos(s - phi / 2)',
            source: 'plane geometry',
          },
          d,
          s,
          ...(inside ? [] : [phi]),
        ),
        calculated(
          {
            says: 'Last range that is clear of the bottom: half a pulse before it',
            symbol: 'rc',
            value: lastClearM,
            unit: 'm',
            expression: 'max(0, r1 - c * T / 2)',
            source,
          },
          given('r1', firstEchoRangeM, 'm', 'first echo'),
          given('c', soundSpeedMps, 'm/s', 'speed of sound'),
          given('T', pulseLengthS, 's', 'pulse length'),
        ),
        calculated(
          {
            says: 'Hidden height below the axis',
            symbol: 'h0',
            value: heightOnAxisM,
            unit: 'm',
            expression: 'max(0, d - rc)',
            source,
          },
          d,
          clear,
        ),
        calculated(
          {
            says: 'Hidden height at the edge that hides more',
            symbol: 'h',
            value: heightAtEdgeM,
            unit: 'm',
            expression: 'max(0, d - rc * cos(phi / 2 + s) / cos(s))',
            source,
          },
          d,
          clear,
          phi,
          s,
        ),
        calculated(
          {
            says: 'Hidden height at the uphill edge',
            symbol: 'hu',
            value: heightAtUphillEdgeM,
            unit: 'm',
            expression: 'max(0, d - rc * cos(s - phi / 2) / cos(s))',
            source,
          },
          d,
          clear,
          phi,
          s,
        ),
      ],
    };
  },
});
