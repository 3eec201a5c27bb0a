import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { argumentAtLevel, directivityIndexDb, firstSidelobeDb, halfPowerDb } from './directivity.ts';

const degree = Math.PI / 180;

const input = z.strictObject({
  shape: z.enum(['piston', 'line']),
  apertureM: z.number().min(0.002).max(10),
  frequencyHz: z.number().min(1000).max(3_000_000),
  soundSpeedMps: z.number().min(1300).max(1800),
  levelDb: z.number().min(-30).max(-0.1).default(halfPowerDb),
});

/**
 * Full one-way beamwidth of a disc or a line at a level, with its directivity, first side lobe and near field.
 * Source: Urick 1983, ch. 3; the half-power width of a disc is exact, ka sin(θ/2) = 1.6163.
 */
export const beamwidth = defineCalculation({
  name: 'beamwidth',
  purpose: 'Full beamwidth of a disc or line transducer from aperture and frequency',
  version: 1,
  input,
  output: z.strictObject({
    beamwidthDeg: z.number(),
    directivityIndexDb: z.number(),
    firstSidelobeDb: z.number().nullable(),
    nearFieldM: z.number(),
    soundSpeedMps: z.number(),
  }),
  run: ({ shape, apertureM, frequencyHz, soundSpeedMps, levelDb }) => {
    const wavelengthM = soundSpeedMps / frequencyHz;
    const argument = (Math.PI * apertureM) / wavelengthM;
    const x = argumentAtLevel(shape, levelDb);
    if (x > argument)
      throw new OutOfRange(
        'apertureM',
        `An aperture of ${apertureM} m at ${frequencyHz / 1000} kHz never falls to ${levelDb.toFixed(1)} dB: it has no beamwidth at that level.`,
        `${((x * wavelengthM) / Math.PI).toPrecision(3)} or more`,
      );
    const widthRad = 2 * Math.asin(x / argument);
    const beamwidthDeg = widthRad / degree;
    const directivity = directivityIndexDb(shape, argument);
    const nearFieldM = apertureM ** 2 / wavelengthM;
    const pattern = shape === 'piston' ? '2 J1(x) / x' : 'sin(x) / x';
    return {
      beamwidthDeg,
      directivityIndexDb: directivity,
      firstSidelobeDb: firstSidelobeDb(shape, argument),
      nearFieldM,
      soundSpeedMps,
      flags: [],
      working: [
        {
          says: 'Where the pattern falls to the level',
          symbol: 'x',
          value: x,
          unit: '',
          expression: null,
          method: `the root of ${pattern} = 10^(level / 20), by bisection`,
          inputs: [{ symbol: 'L', value: levelDb, unit: 'dB', meaning: 'level of the edge' }],
          source: 'Urick 1983, ch. 3',
        },
        {
          says: 'Full beamwidth',
          symbol: 'theta',
          value: beamwidthDeg,
          unit: '°',
          expression: '2 * asin(x * c / (pi * f * D)) * 180 / pi',
          method: null,
          inputs: [
            { symbol: 'x', value: x, unit: '', meaning: 'from the step before' },
            { symbol: 'c', value: soundSpeedMps, unit: 'm/s', meaning: 'speed of sound' },
            { symbol: 'f', value: frequencyHz, unit: 'Hz', meaning: 'frequency' },
            { symbol: 'D', value: apertureM, unit: 'm', meaning: 'aperture' },
          ],
          source: 'Urick 1983, ch. 3',
        },
        {
          says: 'Directivity index',
          symbol: 'DI',
          value: directivity,
          unit: 'dB',
          expression: null,
          method: `the intensity pattern (${pattern})² integrated over all directions`,
          inputs: [{ symbol: 'x0', value: argument, unit: '', meaning: 'pi x aperture / wavelength' }],
          source: 'Urick 1983, ch. 3',
        },
        {
          says: 'End of the near field',
          symbol: 'R',
          value: nearFieldM,
          unit: 'm',
          expression: 'D ^ 2 * f / c',
          method: null,
          inputs: [
            { symbol: 'D', value: apertureM, unit: 'm', meaning: 'aperture' },
            { symbol: 'f', value: frequencyHz, unit: 'Hz', meaning: 'frequency' },
            { symbol: 'c', value: soundSpeedMps, unit: 'm/s', meaning: 'speed of sound' },
          ],
          source: 'Rayleigh distance, Urick 1983, ch. 4',
        },
      ],
    };
  },
});
