import { lostThings, mountingSchema, type WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { bottomBackscatterDb, bottomTypes } from '../acoustics/backscatter.ts';
import { bottomAreaM2 } from '../acoustics/bottom-area.ts';
import { electricalInBandDb } from '../acoustics/electrical-floor.ts';
import {
  aerationLossDb,
  hullLossDb,
  idleMps,
  ownShipNoiseDb,
  thermalNoiseDb,
  together,
  windNoiseDb,
} from '../acoustics/noise.ts';
import { requiredSnrDb, traceSnrDb } from '../beams/beam-range.ts';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { distanceSteps, stepOf } from './display-step.ts';
import { normal95, partsOfMean, roundingOf, suretyOf } from './surety.ts';

/** A ball that is large against the wave, by its radius: 10 log10(a² / 4). Source: Urick 1983, ch. 9. */
const sphereDb = (diameterM: number): number => 20 * Math.log10(diameterM / 4);
/** A slender body lying across the sound, by its length: of a spheroid broadside on, half its length squared, over 4. Source: Urick 1983, ch. 9. */
const slenderDb = (lengthM: number): number => 20 * Math.log10(lengthM / 4);

/** What is left of a level once another is taken out of it as power; null where nothing is. */
const without = (wholeDb: number, partDb: number): number | null => {
  const power = 10 ** (wholeDb / 10) - 10 ** (partDb / 10);
  return power > 0.02 * 10 ** (wholeDb / 10) ? 10 * Math.log10(power) : null;
};

interface Mean {
  readonly value: number;
  readonly half: number | null;
}
/** How strong a bottom, a sinker or a lure really answers is known to so many decibels, one standard deviation. */
const strengthSdDb = 4;

/** Levels that readings give, with how many decibels a step of their depth makes. */
const meanOf = (
  levels: readonly { readonly db: number; readonly depthM: number; readonly dbPerM: number }[],
): Mean | null => {
  const n = levels.length;
  if (n === 0) return null;
  const value = levels.reduce((sum, { db }) => sum + db, 0) / n;
  const squares = levels.reduce((sum, { db }) => sum + (db - value) ** 2, 0);
  const depths = levels.map(({ depthM }) => depthM);
  const perM = levels.reduce((sum, { dbPerM }) => sum + dbPerM, 0) / n;
  const half = suretyOf(
    partsOfMean({
      squares,
      readings: n,
      roundings: [roundingOf(depths, stepOf(depths, distanceSteps), perM)],
      shared: [normal95 * strengthSdDb],
    }),
  ).halfInterval95;
  return { value, half };
};

/**
 * The boat's own noise, from where something known is just lost from the picture: what its echo has there, less what a
 * trace wants over noise, is the noise.
 *
 * readings: what was lost (the bottom, a round sinker, a lure), how far under the face, at which speed of the boat, and its
 * diameter or length. At rest it gives the electrical floor in 1 kHz; under way, with that floor taken out, by how much the
 * boat is louder than the round figure for its mounting and speed. The rest of the keys say how the beam works: as
 * beam-range has them. The interval holds the readings' scatter, the step of their depths, and what the strength of
 * the echo itself is known to: 4 dB, one standard deviation. Source level is taken as told.
 * Sources: sonar equation, sphere and spheroid, Urick 1983, ch. 2 and 9; noises added as powers.
 */
export const measuredNoise = defineCalculation({
  name: 'measured-noise',
  purpose: "The boat's own noise, from where bottom, sinker or lure is lost",
  version: 2,
  input: z.strictObject({
    readings: z
      .array(
        z.strictObject({
          lost: z.enum(lostThings),
          depthM: z.number().min(0.5).max(500),
          speedMps: z.number().min(0).max(40),
          sizeCm: z.number().min(0).max(60),
        }),
      )
      .min(1)
      .max(200),
    frequencyHz: z.number().min(10_000).max(3_000_000),
    sourceLevelDb: z.number().min(120).max(260),
    processingGainDb: z.number().min(0).max(60).default(0),
    bandwidthHz: z.number().min(10).max(1_000_000),
    directivityIndexDb: z.number().min(0).max(60),
    receiveEfficiency: z.number().min(0.01).max(1).default(0.5),
    acrossDeg: z.number().min(0.5).max(170),
    resolutionM: z.number().min(0.0005).max(50),
    absorptionDbPerM: z.number().min(0).max(5),
    mounting: mountingSchema.default('through-hull'),
    windMps: z.number().min(0).max(40).default(3),
    bottom: z.enum(bottomTypes).default('sand'),
    /** Taken under way where nothing was read at rest. */
    electricalFloorDb: z.number().min(0).max(140).nullable().default(null),
  }),
  output: z.strictObject({
    electricalFloorDb: z.number().nullable(),
    floorHalfInterval95Db: z.number().nullable(),
    /** How much louder than the round figure it is under way. */
    louderByDb: z.number().nullable(),
    louderHalfInterval95Db: z.number().nullable(),
    /** Of each reading: the noise in the band, and what it gives; null where the water itself is as loud. */
    inBandDb: z.array(z.number()),
    givesDb: z.array(z.number().nullable()),
  }),
  run: (it) => {
    const { readings, frequencyHz, bandwidthHz, receiveEfficiency, mounting } = it;
    const inBand = 10 * Math.log10(bandwidthHz) - it.directivityIndexDb;
    const electricalByDb = electricalInBandDb(0, { frequencyHz, bandwidthHz, receiveEfficiency });
    const waterDb = together(thermalNoiseDb(frequencyHz), windNoiseDb(frequencyHz, it.windMps));
    const working: WorkingStep[] = [];
    const inBandDb = readings.map(({ lost, depthM, speedMps, sizeCm }, i) => {
      if (lost !== 'bottom' && sizeCm <= 0)
        throw new OutOfRange(
          `readings[${i}].sizeCm`,
          `Reading ${i + 1} does not say how large the ${lost} is.`,
          'above 0',
        );
      const strengthDb =
        lost === 'bottom'
          ? bottomBackscatterDb(it.bottom, 90) + 10 * Math.log10(bottomAreaM2(depthM, it.acrossDeg, it.resolutionM))
          : lost === 'sinker'
            ? sphereDb(sizeCm / 100)
            : slenderDb(sizeCm / 100);
      const wantedDb = lost === 'bottom' ? traceSnrDb : requiredSnrDb;
      const takenDb = hullLossDb(mounting) + aerationLossDb(mounting, speedMps);
      const value =
        it.sourceLevelDb +
        it.processingGainDb -
        takenDb +
        strengthDb -
        40 * Math.log10(depthM) -
        2 * it.absorptionDbPerM * depthM -
        wantedDb;
      working.push(
        calculated(
          {
            says: `Noise in the band where the ${lost} is lost, reading ${i + 1}`,
            symbol: `N${i + 1}`,
            value,
            unit: 'dB',
            expression: 'SL + G - H + TS - 40 * log10(r) - 2 * a * r - w',
            source: 'sonar equation, Urick 1983, ch. 2',
          },
          given('SL', it.sourceLevelDb, 'dB', 'source level'),
          given('G', it.processingGainDb, 'dB', 'gain of a chirp'),
          given('H', takenDb, 'dB', 'taken by hull and aerated water'),
          given('TS', strengthDb, 'dB', `strength of the ${lost}`),
          given('r', depthM, 'm', 'under the face'),
          given('a', it.absorptionDbPerM, 'dB/m', 'absorption'),
          given('w', wantedDb, 'dB', 'wanted over noise'),
        ),
      );
      return value;
    });
    const resting = ({ speedMps }: (typeof readings)[number]): boolean => speedMps <= idleMps;
    const acousticDb = (speedMps: number): number =>
      together(waterDb, ownShipNoiseDb(mounting, speedMps, frequencyHz)) + inBand;
    const floors = readings.map((one, i) => {
      const electrical = resting(one) ? without(inBandDb[i] ?? 0, acousticDb(one.speedMps)) : null;
      return electrical === null ? null : electrical - electricalByDb;
    });
    /** Twice the spreading and the absorption of one metre more. */
    const saying = (levels: readonly (number | null)[]) =>
      levels.flatMap((db, i) => {
        const depthM = readings[i]?.depthM ?? 1;
        return db === null ? [] : [{ db, depthM, dbPerM: 40 / (Math.LN10 * depthM) + 2 * it.absorptionDbPerM }];
      });
    const floor = meanOf(saying(floors));
    const floorDb = floor?.value ?? it.electricalFloorDb;
    const louder = readings.map((one, i) => {
      if (resting(one) || floorDb === null) return null;
      const acoustic = without(inBandDb[i] ?? 0, floorDb + electricalByDb);
      const own = acoustic === null ? null : without(acoustic - inBand, waterDb);
      return own === null ? null : own - ownShipNoiseDb(mounting, one.speedMps, frequencyHz);
    });
    const byDb = meanOf(saying(louder));
    if (floor === null && byDb === null)
      throw new OutOfRange(
        'readings',
        'Where these were lost the water itself is as loud as all there is: they say nothing of the boat. Look again at depth, size and power.',
        'things lost nearer than quiet water would lose them',
      );
    const mean = (says: string, symbol: string, value: number, of: readonly (number | null)[]): WorkingStep => {
      const named = of.flatMap((one, i) =>
        one === null ? [] : [given(`x${i + 1}`, one, 'dB', `by reading ${i + 1}`)],
      );
      return calculated(
        {
          says,
          symbol,
          value,
          unit: 'dB',
          expression: `(${named.map((one) => one.symbol).join(' + ')}) / n`,
          source: 'mean of what is left once the other noises are taken out as powers',
        },
        ...named,
        given('n', named.length, '', 'readings that say it'),
      );
    };
    if (floor) working.push(mean('Electrical floor in 1 kHz', 'F', floor.value, floors));
    if (byDb) working.push(mean('Louder than the round figure', 'L', byDb.value, louder));
    const silent = readings.filter((_, i) => floors[i] === null && louder[i] === null).length;
    return {
      electricalFloorDb: floor?.value ?? null,
      floorHalfInterval95Db: floor?.half ?? null,
      louderByDb: byDb?.value ?? null,
      louderHalfInterval95Db: byDb?.half ?? null,
      inBandDb,
      givesDb: readings.map((_, i) => floors[i] ?? louder[i] ?? null),
      flags: [
        ...(readings.some(({ lost }) => lost === 'lure')
          ? ['A lure’s echo hangs on how it hangs, by six decibels and more: a round sinker says it better.']
          : []),
        ...(silent > 0 ? [`${silent} of them say nothing: the water itself is as loud where they were lost.`] : []),
      ],
      working,
    };
  },
});
