import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { answerOf, defineCalculation } from '../calculation/calculation.ts';
import { absorption } from '../water/absorption.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { noiseInBandDb, twoWayLossDb } from './sonar-equation.ts';

/** What the budget of one target is made of, without the range. */
export const budgetTermsSchema = z.strictObject({
  frequencyHz: z.number().min(1000).max(3_000_000),
  sourceLevelDb: z.number().min(100).max(260),
  directivityIndexDb: z.number().min(0).max(60),
  bandwidthHz: z.number().min(1).max(2_000_000),
  noiseSpectrumDb: z.number().min(-60).max(160),
  processingGainDb: z.number().min(0).max(60).default(0),
  temperatureC: z.number().min(0).max(40),
  salinityPpt: z.number().min(0).max(40),
  /** The depth whose pressure the absorption is taken at. */
  depthM: z.number().min(0).max(7000).default(10),
  targetStrengthDb: z.number().min(-120).max(40),
});
export type BudgetTerms = z.output<typeof budgetTermsSchema>;

/** Absorption of the budget's water and frequency, with its working and flags. */
export const absorptionOf = ({ frequencyHz, temperatureC, salinityPpt, depthM }: BudgetTerms) =>
  answerOf(absorption, { frequencyHz, temperatureC, salinityPpt, depthM });

/** The noise the echo stands against, dB re 1 µPa. */
export const noiseLevelOf = ({ noiseSpectrumDb, bandwidthHz, directivityIndexDb }: BudgetTerms): number =>
  noiseInBandDb(noiseSpectrumDb, bandwidthHz, directivityIndexDb);

/** Signal over noise at a range, dB, for an absorption in dB a metre. */
export const snrAtDb = (terms: BudgetTerms, absorptionDbPerM: number, rangeM: number): number =>
  terms.sourceLevelDb -
  twoWayLossDb(rangeM, absorptionDbPerM) +
  terms.targetStrengthDb -
  noiseLevelOf(terms) +
  terms.processingGainDb;

export const noiseStep = (terms: BudgetTerms): WorkingStep =>
  calculated(
    {
      says: 'Noise in the receiver',
      symbol: 'NL',
      value: noiseLevelOf(terms),
      unit: 'dB',
      expression: 'N0 + 10 * log10(B) - DI',
      source: 'Urick 1983, ch. 2',
    },
    given('N0', terms.noiseSpectrumDb, 'dB', 'noise in one hertz'),
    given('B', terms.bandwidthHz, 'Hz', 'bandwidth of the receiver'),
    given('DI', terms.directivityIndexDb, 'dB', 'directivity index'),
  );

/**
 * The sonar equation for one point target on the axis: loss, echo, noise and what is left of the one over the other.
 * Source: Urick 1983, ch. 2; absorption by Francois and Garrison 1982.
 */
export const sonarBudget = defineCalculation({
  name: 'sonar-budget',
  purpose: 'Echo of a target at a range, the noise, and the signal over it',
  version: 1,
  input: budgetTermsSchema.extend({ rangeM: z.number().min(0.1).max(100_000) }),
  output: z.strictObject({
    transmissionLossTwoWayDb: z.number(),
    spreadingDb: z.number(),
    absorptionDb: z.number(),
    echoLevelDb: z.number(),
    noiseLevelDb: z.number(),
    snrDb: z.number(),
    absorptionDbPerKm: z.number(),
  }),
  run: ({ rangeM, ...terms }) => {
    const water = absorptionOf(terms);
    const spreadingDb = 40 * Math.log10(rangeM);
    const absorptionDb = (2 * water.absorptionDbPerKm * rangeM) / 1000;
    const transmissionLossTwoWayDb = twoWayLossDb(rangeM, water.absorptionDbPerKm / 1000);
    const echoLevelDb = terms.sourceLevelDb - transmissionLossTwoWayDb + terms.targetStrengthDb;
    const noiseLevelDb = noiseLevelOf(terms);
    const snrDb = snrAtDb(terms, water.absorptionDbPerKm / 1000, rangeM);
    return {
      transmissionLossTwoWayDb,
      spreadingDb,
      absorptionDb,
      echoLevelDb,
      noiseLevelDb,
      snrDb,
      absorptionDbPerKm: water.absorptionDbPerKm,
      flags: water.flags,
      working: [
        ...water.working.slice(0, 1),
        calculated(
          {
            says: 'Lost on the way there and back',
            symbol: 'TL2',
            value: transmissionLossTwoWayDb,
            unit: 'dB',
            expression: '40 * log10(r) + 2 * alpha * r / 1000',
            source: 'Urick 1983, ch. 5',
          },
          given('r', rangeM, 'm', 'range'),
          given('alpha', water.absorptionDbPerKm, 'dB/km', 'absorption one way'),
        ),
        calculated(
          {
            says: 'Echo at the receiver',
            symbol: 'EL',
            value: echoLevelDb,
            unit: 'dB',
            expression: 'SL - TL2 + TS',
            source: 'Urick 1983, ch. 2',
          },
          given('SL', terms.sourceLevelDb, 'dB', 'source level'),
          given('TL2', transmissionLossTwoWayDb, 'dB', 'loss both ways'),
          given('TS', terms.targetStrengthDb, 'dB', 'target strength'),
        ),
        noiseStep(terms),
        calculated(
          {
            says: 'Signal over noise',
            symbol: 'SNR',
            value: snrDb,
            unit: 'dB',
            expression: 'EL - NL + PG',
            source: 'Urick 1983, ch. 2',
          },
          given('EL', echoLevelDb, 'dB', 'echo'),
          given('NL', noiseLevelDb, 'dB', 'noise'),
          given('PG', terms.processingGainDb, 'dB', 'processing gain'),
        ),
      ],
    };
  },
});
