import type { Beam, Element } from '@grey-keel/model';
import { electricalInBandDb } from '../acoustics/electrical-floor.ts';
import { noiseSpectrum } from '../acoustics/noise.ts';
import { targetStrengthDb } from '../acoustics/target-strength.ts';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import type { Requirements } from './requirements.ts';
import { budgetDifference } from './budget-difference.ts';
import { assumedEfficiency, elementAcoustics } from './element-acoustics.ts';
import { beamRangeTerms, targetReachM } from './beam-range.ts';

/** One of two that are compared: a plain disc of a power, at a frequency, with a cone. */
export interface PlainBeam {
  readonly frequencyHz: number;
  readonly coneDeg: number;
}

export interface TwoBeams {
  readonly difference: Answer<{
    absorptionDb: number;
    directivityDb: number;
    powerDb: number;
    bandwidthDb: number;
    processingDb: number;
    noiseDb: number;
    targetDb: number;
    totalDb: number;
    firstSnrDb: number;
    secondSnrDb: number;
    largest: string;
    coneRuleDepartsDb: number;
  }>;
  readonly firstReachM: number;
  readonly secondReachM: number;
}

/**
 * Two beams that differ in nothing but what they are given: the same power, pulse and mounting, the same fish at the
 * same range in the same water. What is left between them is the cone, or the frequency.
 */
export const compareBeams = (
  first: PlainBeam,
  second: PlainBeam,
  { electricalPowerW, rangeM }: { electricalPowerW: number; rangeM: number },
  requirements: Requirements,
): TwoBeams => {
  const { conditions, lengthCm } = requirements;
  const side = ({ frequencyHz, coneDeg }: PlainBeam) => {
    const beam: Beam = { frequencyHz, bandwidthHz: null, beamwidthDeg: coneDeg, levelDb: -3, alongDeg: null };
    const element: Element = {
      name: 'plain disc',
      kind: 'sounder',
      beams: [beam],
      apertureM: null,
      constantBeamwidth: true,
      electricalPowerW,
      // One pulse for both, or the comparison would be of pulses.
      shortestPulseS: 0.0003,
      longestPulseS: 0.0003,
    };
    const acoustics = elementAcoustics(element, beam, rangeM);
    const strength = targetStrengthDb('love-dorsal', lengthCm, frequencyHz);
    const noise = answerOf(noiseSpectrum, {
      frequencyHz,
      windSpeedMps: conditions.windMps,
      boatSpeedMps: conditions.boatSpeedMps,
      ownNoiseByDb: conditions.ownNoiseByDb,
    });
    return {
      budget: {
        frequencyHz,
        acousticPowerW: electricalPowerW * assumedEfficiency,
        directivityIndexDb: acoustics.shape.directivityIndexDb,
        bandwidthHz: acoustics.bandwidthHz,
        processingGainDb: acoustics.processingGainDb,
        noiseSpectrumDb: noise.noiseSpectrumDb,
        electricalNoiseDb: electricalInBandDb(conditions.electricalFloorDb, acoustics),
        targetStrengthDb: strength,
      },
      reachM: targetReachM(beamRangeTerms(acoustics, 'through-hull', conditions), strength),
    };
  };
  const [one, other] = [side(first), side(second)];
  return {
    difference: answerOf(budgetDifference, {
      first: one.budget,
      second: other.budget,
      temperatureC: conditions.water.temperatureC,
      salinityPpt: conditions.water.salinityPpt,
      depthM: Math.min(7000, conditions.depthM / 2),
      rangeM,
    }),
    firstReachM: one.reachM,
    secondReachM: other.reachM,
  };
};
