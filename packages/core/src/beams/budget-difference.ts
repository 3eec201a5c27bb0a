import * as z from 'zod';
import { answerOf, defineCalculation } from '../calculation/calculation.ts';
import { together } from '../acoustics/noise.ts';
import { oneWattDb } from '../acoustics/source-level.ts';
import { absorption } from '../water/absorption.ts';
import { given, calculated } from '../calculation/working-step.ts';

const sideSchema = z.strictObject({
  frequencyHz: z.number().min(1000).max(3_000_000),
  acousticPowerW: z.number().min(0.001).max(100_000),
  directivityIndexDb: z.number().min(0).max(60),
  bandwidthHz: z.number().min(1).max(2_000_000),
  processingGainDb: z.number().min(0).max(60).default(0),
  noiseSpectrumDb: z.number().min(-60).max(160),
  /** What the boat's electrics put into its whole band; no cone keeps that out. Null for none. */
  electricalNoiseDb: z.number().min(-60).max(200).nullable().default(null),
  targetStrengthDb: z.number().min(-120).max(40),
});

type Side = z.output<typeof sideSchema>;

/**
 * Why one transducer hears a target better than another at the same range: the difference of their signals over noise,
 * split into the terms of the sonar equation. The terms add up to the whole. Source: Urick 1983, ch. 2.
 */
export const budgetDifference = defineCalculation({
  name: 'budget-difference',
  purpose: 'The difference between two transducers at a range, term by term',
  version: 2,
  input: z.strictObject({
    first: sideSchema,
    second: sideSchema,
    temperatureC: z.number().min(0).max(40),
    salinityPpt: z.number().min(0).max(40),
    depthM: z.number().min(0).max(7000).default(10),
    rangeM: z.number().min(0.1).max(100_000),
  }),
  output: z.strictObject({
    /** First less second, each in dB. */
    spreadingDb: z.number(),
    absorptionDb: z.number(),
    directivityDb: z.number(),
    powerDb: z.number(),
    bandwidthDb: z.number(),
    processingDb: z.number(),
    noiseDb: z.number(),
    targetDb: z.number(),
    totalDb: z.number(),
    firstSnrDb: z.number(),
    secondSnrDb: z.number(),
    largest: z.enum(['absorption', 'directivity', 'power', 'bandwidth', 'processing', 'noise', 'target']),
    /** By how much "cone width plays no part" departs from the sonar equation here. */
    coneRuleDepartsDb: z.number(),
  }),
  run: ({ first, second, temperatureC, salinityPpt, depthM, rangeM }) => {
    const lost = ({ frequencyHz }: Side) => {
      const answer = answerOf(absorption, { frequencyHz, temperatureC, salinityPpt, depthM });
      return { lostDb: (2 * answer.absorptionDbPerKm * rangeM) / 1000, answer };
    };
    const [lostFirst, lostSecond] = [lost(first), lost(second)];
    const power = ({ acousticPowerW }: Side): number => 10 * Math.log10(acousticPowerW);
    const band = ({ bandwidthHz }: Side): number => 10 * Math.log10(bandwidthHz);
    /** Noise in its band as it would be without, and as it is with, the cone keeping some out. */
    const heard = (side: Side, directivityDb: number): number => {
      const sound = side.noiseSpectrumDb + band(side) - directivityDb;
      return side.electricalNoiseDb === null ? sound : together(sound, side.electricalNoiseDb);
    };
    const open = (side: Side): number => heard(side, 0);
    const kept = (side: Side): number => open(side) - heard(side, side.directivityIndexDb);
    const terms = {
      absorption: lostSecond.lostDb - lostFirst.lostDb,
      // The cone counts twice: what is sent goes where it looks, and sound from elsewhere is kept out.
      directivity: first.directivityIndexDb - second.directivityIndexDb + kept(first) - kept(second),
      power: power(first) - power(second),
      bandwidth: band(second) - band(first),
      processing: first.processingGainDb - second.processingGainDb,
      noise: open(second) - band(second) - (open(first) - band(first)),
      target: first.targetStrengthDb - second.targetStrengthDb,
    };
    const totalDb = Object.values(terms).reduce((sum, term) => sum + term, 0);
    const snr = (side: Side, lostDb: number): number =>
      oneWattDb +
      power(side) +
      side.directivityIndexDb -
      40 * Math.log10(rangeM) -
      lostDb +
      side.targetStrengthDb -
      heard(side, side.directivityIndexDb) +
      side.processingGainDb;
    const names = Object.keys(terms) as (keyof typeof terms)[];
    const largest = names.reduce((found, name) => (Math.abs(terms[name]) > Math.abs(terms[found]) ? name : found));
    const range = given('r', rangeM, 'm', 'range');
    const pairOf = (a: number, b: number, unit: string, meaning: string) => [
      given('x1', a, unit, `${meaning}, first`),
      given('x2', b, unit, `${meaning}, second`),
    ];
    const source = 'sonar equation, Urick 1983, ch. 2';
    return {
      spreadingDb: 0,
      absorptionDb: terms.absorption,
      directivityDb: terms.directivity,
      powerDb: terms.power,
      bandwidthDb: terms.bandwidth,
      processingDb: terms.processing,
      noiseDb: terms.noise,
      targetDb: terms.target,
      totalDb,
      firstSnrDb: snr(first, lostFirst.lostDb),
      secondSnrDb: snr(second, lostSecond.lostDb),
      largest,
      coneRuleDepartsDb: terms.directivity,
      flags: [...new Set([...lostFirst.answer.flags, ...lostSecond.answer.flags])],
      working: [
        calculated(
          {
            says: 'Absorption: what the second loses more',
            symbol: 'A',
            value: terms.absorption,
            unit: 'dB',
            expression: '2 * (x2 - x1) * r / 1000',
            source: 'Francois and Garrison 1982',
          },
          ...pairOf(lostFirst.answer.absorptionDbPerKm, lostSecond.answer.absorptionDbPerKm, 'dB/km', 'absorption'),
          range,
        ),
        calculated(
          {
            says: 'Directivity, sending, and what it keeps out when hearing',
            symbol: 'D',
            value: terms.directivity,
            unit: 'dB',
            expression: 'x1 - x2 + y1 - y2',
            source,
          },
          ...pairOf(first.directivityIndexDb, second.directivityIndexDb, 'dB', 'directivity index'),
          given('y1', kept(first), 'dB', 'noise kept out, first'),
          given('y2', kept(second), 'dB', 'noise kept out, second'),
        ),
        calculated(
          { says: 'Power', symbol: 'P', value: terms.power, unit: 'dB', expression: '10 * log10(x1 / x2)', source },
          ...pairOf(first.acousticPowerW, second.acousticPowerW, 'W', 'acoustic power'),
        ),
        calculated(
          {
            says: 'Bandwidth: the wider hears more noise',
            symbol: 'B',
            value: terms.bandwidth,
            unit: 'dB',
            expression: '10 * log10(x2 / x1)',
            source,
          },
          ...pairOf(first.bandwidthHz, second.bandwidthHz, 'Hz', 'bandwidth'),
        ),
        calculated(
          {
            says: 'Processing gain',
            symbol: 'G',
            value: terms.processing,
            unit: 'dB',
            expression: 'x1 - x2',
            source,
          },
          ...pairOf(first.processingGainDb, second.processingGainDb, 'dB', 'processing gain'),
        ),
        calculated(
          { says: 'Noise in one hertz', symbol: 'N', value: terms.noise, unit: 'dB', expression: 'x2 - x1', source },
          ...pairOf(open(first) - band(first), open(second) - band(second), 'dB', 'noise, from all sides'),
        ),
        calculated(
          { says: 'Target', symbol: 'T', value: terms.target, unit: 'dB', expression: 'x1 - x2', source },
          ...pairOf(first.targetStrengthDb, second.targetStrengthDb, 'dB', 'target strength'),
        ),
        calculated(
          {
            says: 'Together',
            symbol: 'total',
            value: totalDb,
            unit: 'dB',
            expression: 'A + D + P + B + G + N + T',
            source,
          },
          given('A', terms.absorption, 'dB', 'absorption'),
          given('D', terms.directivity, 'dB', 'directivity'),
          given('P', terms.power, 'dB', 'power'),
          given('B', terms.bandwidth, 'dB', 'bandwidth'),
          given('G', terms.processing, 'dB', 'processing gain'),
          given('N', terms.noise, 'dB', 'noise'),
          given('T', terms.target, 'dB', 'target'),
        ),
      ],
    };
  },
});
