import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';

/**
 * Smallest distance between two echoes told apart: c T / 2 for a single-frequency pulse, c / (2 B) for a chirp.
 * Source: Lurton 2010, ch. 3.
 */
export const rangeResolution = defineCalculation({
  name: 'range-resolution',
  purpose: 'Range resolution of a pulse length or of a chirp bandwidth',
  version: 1,
  input: z.strictObject({
    soundSpeedMps: z.number().min(1300).max(1800),
    pulseLengthS: z.number().min(1e-6).max(1).optional(),
    bandwidthHz: z.number().min(1).max(2_000_000).optional(),
  }),
  output: z.strictObject({ resolutionM: z.number(), soundSpeedMps: z.number() }),
  run: ({ soundSpeedMps, pulseLengthS, bandwidthHz }) => {
    if ((pulseLengthS === undefined) === (bandwidthHz === undefined))
      throw new OutOfRange(
        pulseLengthS === undefined ? 'pulseLengthS' : 'bandwidthHz',
        'Give either "pulseLengthS" for a single frequency or "bandwidthHz" for a chirp, not both and not neither.',
        'one of the two',
      );
    const chirp = bandwidthHz !== undefined;
    const resolutionM = chirp ? soundSpeedMps / (2 * bandwidthHz) : (soundSpeedMps * (pulseLengthS ?? 0)) / 2;
    return {
      resolutionM,
      soundSpeedMps,
      flags: [],
      working: [
        {
          says: chirp ? 'Range resolution of the chirp' : 'Range resolution of the pulse',
          symbol: 'r',
          value: resolutionM,
          unit: 'm',
          expression: chirp ? 'c / (2 * B)' : 'c * T / 2',
          method: null,
          inputs: [
            { symbol: 'c', value: soundSpeedMps, unit: 'm/s', meaning: 'speed of sound' },
            chirp
              ? { symbol: 'B', value: bandwidthHz, unit: 'Hz', meaning: 'bandwidth' }
              : { symbol: 'T', value: pulseLengthS ?? 0, unit: 's', meaning: 'pulse length' },
          ],
          source: 'Lurton 2010, ch. 3',
        },
      ],
    };
  },
});
