import { mountings, mountingSchema } from '@grey-keel/model';
import * as z from 'zod';
import { bottomTypes } from '../acoustics/backscatter.ts';
import { electricalStep, usualFloorDb, usualReceiveEfficiency } from '../acoustics/electrical-floor.ts';
import { sourceLevelDb } from '../acoustics/source-level.ts';
import { targetStrength } from '../acoustics/target-strength.ts';
import { answerOf, defineCalculation } from '../calculation/calculation.ts';
import { soundSpeed } from '../water/sound-speed.ts';
import { given } from '../calculation/working-step.ts';
import { beamShape, usualLongestPulseS, type ElementAcoustics } from './element-acoustics.ts';
import {
  bottomReachM,
  beamRangeTerms,
  requiredSnrDb,
  targetRangeSpan,
  traceSnrDb,
  type BeamRangeTerms,
} from './beam-range.ts';

const fields = z.strictObject({
  frequencyHz: z.number().min(10_000).max(3_000_000),
  /** Full width of the cone at -3 dB. */
  beamwidthDeg: z.number().min(0.1).max(170),
  electricalPowerW: z.number().min(1).max(10_000),
  temperatureC: z.number().min(0).max(40),
  salinityPpt: z.number().min(0).max(40),
  lengthCm: z.number().min(1).max(1500),
  bottom: z.enum(bottomTypes).default('sand'),
  /** Sound out for power in. */
  efficiency: z.number().min(0.01).max(1).default(0.5),
  /** 1 ms from 100 kHz up, 6 ms below, where left out. */
  pulseLengthS: z.number().min(1e-6).max(0.1).optional(),
  mounting: mountingSchema.default(mountings[0]),
  /** Idle speed where left out. */
  speedMps: z.number().min(0).max(60).default(1.5),
  windMps: z.number().min(0).max(40).default(3),
  /** Depth the absorption is taken at. */
  depthM: z.number().min(0).max(7000).default(10),
  /** What the boat's electrics put into the receiver, dB re 1 µPa in 1 kHz. */
  electricalFloorDb: z.number().min(0).max(140).default(usualFloorDb),
  receiveEfficiency: z.number().min(0.01).max(1).default(usualReceiveEfficiency),
  /** Signal over noise that a single echo wants, and that a steady trace wants. */
  echoSnrDb: z.literal(requiredSnrDb).default(requiredSnrDb),
  traceSnrDb: z.literal(traceSnrDb).default(traceSnrDb),
});

const input = fields.transform((given_) => ({
  ...given_,
  pulseLengthS: given_.pulseLengthS ?? usualLongestPulseS(given_.frequencyHz),
}));

const rangeStep = (says: string, symbol: string, value: number, { constantDb, absorptionDbPerM }: BeamRangeTerms) => ({
  says,
  symbol,
  value,
  unit: 'm',
  expression: null,
  method: 'the range at which the signal has fallen to what is required, bracketed and halved',
  inputs: [
    given('K', constantDb, 'dB', 'source level and gain, less the noise in the band'),
    given('alpha', 1000 * absorptionDbPerM, 'dB/km', 'absorption'),
  ],
  source: 'sonar equation, Urick 1983, ch. 2',
});

/**
 * How far down a fish and the bottom are seen by a cone, m below the face, at idle speed where none is given. A fish is
 * a single echo on the axis, between what is not known of its strength and of the boat's noise; the bottom a steady
 * trace. Null where the thing is not even seen at a metre. `limitedBy` is the larger of the two losses at the fish.
 * Source: sonar equation, Urick 1983, ch. 2; target strength Love 1971; the electrical floor is a round figure of ours.
 */
export const beamRange = defineCalculation({
  name: 'reach',
  purpose: 'How far down a fish and the bottom are seen, with what was assumed',
  version: 2,
  input,
  output: z.strictObject({
    fishM: z.number().nullable(),
    fishLowM: z.number().nullable(),
    fishHighM: z.number().nullable(),
    bottomM: z.number().nullable(),
    limitedBy: z.enum(['spreading', 'absorption']).nullable(),
    noiseLevelDb: z.number(),
    sourceLevelDb: z.number(),
    absorptionDbPerKm: z.number(),
  }),
  run: (it) => {
    const shape = beamShape(it.beamwidthDeg, it.beamwidthDeg);
    const bandwidthHz = 1 / it.pulseLengthS;
    const acoustics: ElementAcoustics = {
      frequencyHz: it.frequencyHz,
      shape,
      sourceLevelDb: sourceLevelDb(it.electricalPowerW * it.efficiency, shape.directivityIndexDb),
      chirp: false,
      pulseLengthS: it.pulseLengthS,
      bandwidthHz,
      processingGainDb: 0,
      receiveEfficiency: it.receiveEfficiency,
      derived: [],
    };
    const { soundSpeedMps } = answerOf(soundSpeed, {
      temperatureC: it.temperatureC,
      salinityPpt: it.salinityPpt,
      depthM: it.depthM,
    });
    const terms = beamRangeTerms(acoustics, it.mounting, {
      water: it,
      soundSpeedMps,
      depthM: 2 * it.depthM,
      windMps: it.windMps,
      boatSpeedMps: it.speedMps,
      electricalFloorDb: it.electricalFloorDb,
      ownNoiseByDb: 0,
    });
    const target = answerOf(targetStrength, {
      lengthCm: it.lengthCm,
      frequencyHz: it.frequencyHz,
      model: 'love-dorsal',
    });
    const fish = targetRangeSpan(terms, target.targetStrengthDb, target.uncertaintyDb);
    const bottomM = bottomReachM(terms, it.bottom);
    const orNone = (value: number): number | null => (value > 0 ? value : null);
    const absorbed = 2 * terms.absorptionDbPerM * fish.m;
    return {
      fishM: orNone(fish.m),
      fishLowM: orNone(fish.lowM),
      fishHighM: orNone(fish.highM),
      bottomM: orNone(bottomM),
      limitedBy:
        fish.m > 0 ? (absorbed > 40 * Math.log10(fish.m) ? ('absorption' as const) : ('spreading' as const)) : null,
      noiseLevelDb: terms.noiseDb,
      sourceLevelDb: acoustics.sourceLevelDb,
      absorptionDbPerKm: 1000 * terms.absorptionDbPerM,
      flags: ['The boat’s electrical noise is a round figure until a trial measures it.'],
      working: [
        ...target.working,
        electricalStep(it.electricalFloorDb, acoustics),
        ...(fish.m > 0 ? [rangeStep('The fish is seen to', 'rf', fish.m, terms)] : []),
        ...(bottomM > 0 ? [rangeStep('The bottom is read to', 'rb', bottomM, terms)] : []),
      ],
    };
  },
});
