import { mountings, mountingSchema, type Mounting } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** Thermal noise of water, dB re 1 µPa²/Hz. Source: Mellen 1952. */
export const thermalNoiseDb = (frequencyHz: number): number => -15 + 20 * Math.log10(frequencyHz / 1000);

/** Noise of wind-driven waves, dB re 1 µPa²/Hz, wind in m/s. Source: Coates 1990, a parametric form of Knudsen's curves. */
export const windNoiseDb = (frequencyHz: number, windMps: number): number => {
  const kHz = frequencyHz / 1000;
  return 50 + 7.5 * Math.sqrt(windMps) + 20 * Math.log10(kHz) - 40 * Math.log10(kHz + 0.4);
};

/** Speed and frequency that the own-ship levels below are given at. */
const atSpeedMps = 5;
const atHz = 50_000;

/** Own noise at 5 m/s and 50 kHz, by where the face sits: round figures of ours, to be corrected by the sea trial. */
const ownAtDb: Record<Mounting, number> = {
  'through-hull': 45,
  'shoot-through-hull': 47,
  transom: 55,
  'bow motor': 50,
  pole: 55,
};
/** A doubling of speed adds 18 dB, as self-noise of small craft does about, Urick 1983, ch. 11. */
const perSpeedDecadeDb = 60;
/** Below this flow adds nothing to what engine and pumps make. */
export const idleMps = 1.5;

/** Own-ship noise at the face, dB re 1 µPa²/Hz. */
export const ownShipNoiseDb = (mounting: Mounting, boatSpeedMps: number, frequencyHz: number): number =>
  ownAtDb[mounting] +
  perSpeedDecadeDb * Math.log10(Math.max(idleMps, boatSpeedMps) / atSpeedMps) -
  20 * Math.log10(frequencyHz / atHz);

const aeration: Record<Mounting, { readonly fromMps: number; readonly perMpsDb: number }> = {
  'through-hull': { fromMps: 13, perMpsDb: 4 },
  'shoot-through-hull': { fromMps: 13, perMpsDb: 3 },
  transom: { fromMps: 9, perMpsDb: 9 },
  'bow motor': { fromMps: 2.5, perMpsDb: 12 },
  pole: { fromMps: 2.5, perMpsDb: 12 },
};

/** What aerated water under the face takes from an echo both ways, dB: round figures of ours, to be corrected by the trial. */
export const aerationLossDb = (mounting: Mounting, boatSpeedMps: number): number =>
  Math.max(0, boatSpeedMps - aeration[mounting].fromMps) * aeration[mounting].perMpsDb;

/** What the hull takes from an echo both ways where the face looks through it, dB: solid laminate about a thumb thick. */
export const hullLossDb = (mounting: Mounting): number => (mounting === 'shoot-through-hull' ? 8 : 0);

/** Levels of noises that have nothing to do with each other, added as powers, dB. */
export const together = (...levelsDb: readonly number[]): number =>
  10 * Math.log10(levelsDb.reduce((sum, level) => sum + 10 ** (level / 10), 0));

/**
 * Noise in one hertz at the face: of the water itself, of wind-driven waves and of one's own boat.
 * Sources: Mellen 1952; Coates 1990; own-ship noise in round figures by mounting and speed.
 */
export const noiseSpectrum = defineCalculation({
  name: 'noise-spectrum',
  purpose: 'Noise in one hertz: thermal, wind and own boat by mounting and speed',
  version: 1,
  input: z.strictObject({
    frequencyHz: z.number().min(1000).max(3_000_000),
    windSpeedMps: z.number().min(0).max(40).default(4),
    boatSpeedMps: z.number().min(0).max(60).default(0),
    mounting: mountingSchema.default(mountings[0]),
    /** As the trial measured it: how much louder than the round figure. */
    ownNoiseByDb: z.number().min(-40).max(40).default(0),
  }),
  output: z.strictObject({
    noiseSpectrumDb: z.number(),
    thermalDb: z.number(),
    windDb: z.number(),
    ownShipDb: z.number(),
    loudest: z.enum(['thermal', 'wind', 'own boat']),
  }),
  run: ({ frequencyHz, windSpeedMps, boatSpeedMps, mounting, ownNoiseByDb }) => {
    const thermalDb = thermalNoiseDb(frequencyHz);
    const windDb = windNoiseDb(frequencyHz, windSpeedMps);
    const ownShipDb = ownShipNoiseDb(mounting, boatSpeedMps, frequencyHz) + ownNoiseByDb;
    const noiseSpectrumDb = together(thermalDb, windDb, ownShipDb);
    const loudest =
      ownShipDb >= Math.max(thermalDb, windDb)
        ? ('own boat' as const)
        : windDb > thermalDb
          ? ('wind' as const)
          : ('thermal' as const);
    const f = given('f', frequencyHz, 'Hz', 'frequency');
    return {
      noiseSpectrumDb,
      thermalDb,
      windDb,
      ownShipDb,
      loudest,
      flags:
        ownNoiseByDb === 0
          ? ["The own boat's noise is a round figure for boats of this kind; the trial corrects it."]
          : [],
      working: [
        calculated(
          {
            says: 'Noise of the water itself',
            symbol: 'Nt',
            value: thermalDb,
            unit: 'dB',
            expression: '-15 + 20 * log10(f / 1000)',
            source: 'Mellen 1952',
          },
          f,
        ),
        calculated(
          {
            says: 'Noise of wind and waves',
            symbol: 'Nw',
            value: windDb,
            unit: 'dB',
            expression: '50 + 7.5 * sqrt(w) + 20 * log10(f / 1000) - 40 * log10(f / 1000 + 0.4)',
            source: 'Coates 1990',
          },
          given('w', windSpeedMps, 'm/s', 'wind'),
          f,
        ),
        calculated(
          {
            says: `Noise of one's own boat, ${mounting}`,
            symbol: 'No',
            value: ownShipDb,
            unit: 'dB',
            expression: `${ownAtDb[mounting]} + ${perSpeedDecadeDb} * log10(max(${idleMps}, v) / ${atSpeedMps}) - 20 * log10(f / ${atHz})${ownNoiseByDb === 0 ? '' : ' + b'}`,
            source: 'round figures; rise with speed after Urick 1983, ch. 11',
          },
          given('v', boatSpeedMps, 'm/s', 'speed of the boat'),
          f,
          ...(ownNoiseByDb === 0 ? [] : [given('b', ownNoiseByDb, 'dB', 'louder than the round figure, as measured')]),
        ),
        calculated(
          {
            says: 'Together, as powers',
            symbol: 'N0',
            value: noiseSpectrumDb,
            unit: 'dB',
            expression: '10 * log10(10 ^ (Nt / 10) + 10 ^ (Nw / 10) + 10 ^ (No / 10))',
            source: 'Urick 1983, ch. 2',
          },
          given('Nt', thermalDb, 'dB', 'thermal'),
          given('Nw', windDb, 'dB', 'wind'),
          given('No', ownShipDb, 'dB', 'own boat'),
        ),
      ],
    };
  },
});
