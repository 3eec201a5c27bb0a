import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;

/**
 * A single beam turned step by step through a sector: how long one sweep takes, how far a boat that turns meanwhile
 * smears it, and how far the beam reaches before it lies on the bottom or the surface. Angles full, degrees; distances
 * metres; `tiltDeg` below the level. Source: two-way travel for each step, plane geometry.
 */
export const steeredSector = defineCalculation({
  name: 'steered-sector',
  purpose: 'Sweep time, smear by turning and reach by depth of a steered or rotating sector',
  version: 1,
  input: z.strictObject({
    beamwidthDeg: z.number().min(0.5).max(60),
    sectorDeg: z.number().min(5).max(360),
    rangeM: z.number().min(1).max(1000),
    turnRateDegPerS: z.number().min(0).max(90).default(0),
    tiltDeg: z.number().min(0).max(90).default(0),
    faceDepthM: z.number().min(0).max(20).default(0.3),
    belowFaceM: z.number().min(0.1).max(2000),
    soundSpeedMps: z.number().min(1300).max(1700).default(1500),
  }),
  output: z.strictObject({
    sweepS: z.number(),
    smearDeg: z.number(),
    smearM: z.number(),
    /** Where the lower edge of the beam meets the bottom: beyond it the bottom is in the picture. */
    bottomFromM: z.number(),
    /** Where the upper edge meets the surface: beyond it waves are in the picture. Null where never. */
    surfaceFromM: z.number().nullable(),
  }),
  run: ({ beamwidthDeg, sectorDeg, rangeM, turnRateDegPerS, tiltDeg, faceDepthM, belowFaceM, soundSpeedMps }) => {
    const steps = Math.ceil(sectorDeg / beamwidthDeg);
    const sweepS = (steps * 2 * rangeM) / soundSpeedMps;
    const smearDeg = turnRateDegPerS * sweepS;
    const smearM = rangeM * smearDeg * radian;
    const lower = tiltDeg + beamwidthDeg / 2;
    const upper = tiltDeg - beamwidthDeg / 2;
    const bottomFromM = lower >= 90 ? 0 : belowFaceM / Math.tan(lower * radian);
    const surfaceFromM = upper < 0 ? faceDepthM / Math.tan(-upper * radian) : null;
    const inputs = {
      n: given('n', steps, '', 'steps of a beamwidth'),
      R: given('R', rangeM, 'm', 'range'),
    };
    return {
      sweepS,
      smearDeg,
      smearM,
      bottomFromM,
      surfaceFromM,
      flags:
        smearDeg > beamwidthDeg
          ? ['The boat turns by more than a beamwidth in one sweep: marks are smeared. Hold it nearly at rest.']
          : [],
      working: [
        calculated(
          {
            says: 'Time of one sweep',
            symbol: 't',
            value: sweepS,
            unit: 's',
            expression: 'n * 2 * R / c',
            source: 'two-way travel for each step',
          },
          inputs.n,
          inputs.R,
          given('c', soundSpeedMps, 'm/s', 'speed of sound'),
        ),
        calculated(
          {
            says: 'Smear at the range',
            symbol: 'm',
            value: smearM,
            unit: 'm',
            expression: 'R * w * t',
            source: 'plane geometry',
          },
          inputs.R,
          given('w', turnRateDegPerS * radian, 'rad/s', `turning by ${turnRateDegPerS}° a second`),
          given('t', sweepS, 's', 'time of one sweep'),
        ),
      ],
    };
  },
});
