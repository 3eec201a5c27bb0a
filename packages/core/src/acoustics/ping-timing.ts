import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';

const radian = Math.PI / 180;

/**
 * Greatest ping rate for a range, distance run between pings at it, and how far footprints overlap along the track.
 * No guard time is taken off: a real unit pings more slowly. Source: Lurton 2010, ch. 8.
 */
export const pingTiming = defineCalculation({
  name: 'ping-timing',
  purpose: 'Greatest ping rate, spacing along the track and overlap of footprints',
  version: 1,
  input: z.strictObject({
    rangeM: z.number().min(0.1).max(11_000),
    soundSpeedMps: z.number().min(1300).max(1800),
    speedMps: z.number().min(0).max(60),
    beamwidthDeg: z.number().min(0.01).max(170),
    depthM: z.number().min(0.01).max(11_000),
  }),
  output: z.strictObject({
    maxPingRateHz: z.number(),
    spacingM: z.number(),
    footprintOverlap: z.number(),
    soundSpeedMps: z.number(),
  }),
  run: ({ rangeM, soundSpeedMps, speedMps, beamwidthDeg, depthM }) => {
    const maxPingRateHz = soundSpeedMps / (2 * rangeM);
    const spacingM = speedMps / maxPingRateHz;
    const widthM = 2 * depthM * Math.tan((beamwidthDeg / 2) * radian);
    const footprintOverlap = Math.max(0, 1 - spacingM / widthM);
    return {
      maxPingRateHz,
      spacingM,
      footprintOverlap,
      soundSpeedMps,
      flags: footprintOverlap === 0 ? ['The footprints leave gaps along the track at this speed.'] : [],
      working: [
        {
          says: 'Greatest ping rate',
          symbol: 'n',
          value: maxPingRateHz,
          unit: '1/s',
          expression: 'c / (2 * R)',
          method: null,
          inputs: [
            { symbol: 'c', value: soundSpeedMps, unit: 'm/s', meaning: 'speed of sound' },
            { symbol: 'R', value: rangeM, unit: 'm', meaning: 'range' },
          ],
          source: 'Lurton 2010, ch. 8',
        },
        {
          says: 'Distance run between pings',
          symbol: 's',
          value: spacingM,
          unit: 'm',
          expression: 'v / n',
          method: null,
          inputs: [
            { symbol: 'v', value: speedMps, unit: 'm/s', meaning: 'speed of the boat' },
            { symbol: 'n', value: maxPingRateHz, unit: '1/s', meaning: 'ping rate' },
          ],
          source: 'kinematics',
        },
        {
          says: 'Overlap of footprints along the track',
          symbol: 'o',
          value: footprintOverlap,
          unit: '',
          expression: 'max(0, 1 - s / (2 * d * tan(phi / 2)))',
          method: null,
          inputs: [
            { symbol: 's', value: spacingM, unit: 'm', meaning: 'distance between pings' },
            { symbol: 'd', value: depthM, unit: 'm', meaning: 'depth below the face' },
            { symbol: 'phi', value: beamwidthDeg * radian, unit: 'rad', meaning: `full cone, ${beamwidthDeg}°` },
          ],
          source: 'plane geometry',
        },
      ],
    };
  },
});
