import type { Criterion, WorkingStep } from '@grey-keel/model';
import { detectionRange } from '../acoustics/detection-range.ts';
import { electricalStep } from '../acoustics/electrical-floor.ts';
import { aerationLossDb, hullLossDb, noiseSpectrum } from '../acoustics/noise.ts';
import { rangeResolution } from '../acoustics/range-resolution.ts';
import { ringDown, ringingOf } from '../acoustics/ring-down.ts';
import { targetStrength } from '../acoustics/target-strength.ts';
import { answerOf } from '../calculation/calculation.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { deadZone } from '../beams/dead-zone.ts';
import { footprint } from '../beams/footprint.ts';
import { requiredSnrDb, traceSnrDb } from '../beams/beam-range.ts';
import { seeingAt, spareDbOf, type BeamMeasures, type Measures } from './measures.ts';
import type { Requirements } from '../beams/requirements.ts';

const best = (beams: readonly BeamMeasures[], of: (beam: BeamMeasures) => number): BeamMeasures | null =>
  beams.reduce<BeamMeasures | null>((found, beam) => (found && of(found) >= of(beam) ? found : beam), null);

const reachSteps = (beam: BeamMeasures, requirements: Requirements): WorkingStep[] => {
  const { deepest: acoustics, terms, mounting, frequencyHz } = beam;
  const { water, windMps, boatSpeedMps, depthM, electricalFloorDb, ownNoiseByDb } = requirements.conditions;
  const { bandwidthHz } = acoustics;
  const { directivityIndexDb } = acoustics.shape;
  const noise = answerOf(noiseSpectrum, { frequencyHz, windSpeedMps: windMps, boatSpeedMps, mounting, ownNoiseByDb });
  const target = answerOf(targetStrength, { lengthCm: requirements.lengthCm, frequencyHz, model: 'love-dorsal' });
  const reach = answerOf(detectionRange, {
    frequencyHz,
    sourceLevelDb: acoustics.sourceLevelDb - hullLossDb(mounting) - aerationLossDb(mounting, boatSpeedMps),
    directivityIndexDb: acoustics.shape.directivityIndexDb,
    bandwidthHz: acoustics.bandwidthHz,
    // What the receiver has in its band, boat's electrics and all, as if the water had made it.
    noiseSpectrumDb: terms.noiseDb - 10 * Math.log10(bandwidthHz) + directivityIndexDb,
    processingGainDb: acoustics.processingGainDb,
    temperatureC: water.temperatureC,
    salinityPpt: water.salinityPpt,
    depthM: Math.min(7000, depthM / 2),
    targetStrengthDb: target.targetStrengthDb,
    requiredSnrDb,
  });
  const electrical = electricalStep(electricalFloorDb, acoustics);
  const both = calculated(
    {
      says: 'Noise in the band, water and electrics together',
      symbol: 'N',
      value: terms.noiseDb,
      unit: 'dB',
      expression: '10 * log10(10 ^ ((N0 + 10 * log10(B) - D) / 10) + 10 ^ (Ne / 10))',
      source: 'sum of powers; directivity keeps out sound only',
    },
    given('N0', noise.noiseSpectrumDb, 'dB', 'noise of the water and the boat in 1 Hz'),
    given('B', bandwidthHz, 'Hz', 'band of the receiver'),
    given('D', directivityIndexDb, 'dB', 'directivity'),
    given('Ne', electrical.value, 'dB', "the boat's electrics"),
  );
  const spare = calculated(
    {
      says: 'Over what is wanted, at the bottom of this water',
      symbol: 'spare',
      value: spareDbOf(beam, requirements),
      unit: 'dB',
      expression: 'K + TS - 40 * log10(W) - 2 * alpha * W / 1000 - R',
      source: 'sonar equation, Urick 1983, ch. 2',
    },
    given('K', terms.constantDb, 'dB', 'source level and gain, less the noise in the band and what hull and air take'),
    given('TS', beam.targetStrengthDb, 'dB', 'target strength'),
    given('W', requirements.waterM, 'm', 'deepest of this water'),
    given('alpha', 1000 * terms.absorptionDbPerM, 'dB/km', 'absorption'),
    given('R', requiredSnrDb, 'dB', 'what a single echo needs'),
  );
  return [
    ...target.working,
    ...noise.working.slice(-1),
    electrical,
    both,
    ...reach.working,
    ...(beam.reachM > requirements.waterM ? [spare] : []),
  ];
};

/** How the figure beside a criterion came about: the steps of the beam that gives it. None where it is a judgement. */
export const measureWorking = (
  criterion: Criterion,
  { beams, holdsBottomToMps }: Measures,
  requirements: Requirements,
): WorkingStep[] => {
  const seeing = seeingAt(beams, requirements);
  const { workingM: depthM, slopeDeg } = requirements;
  const { soundSpeedMps } = requirements.conditions;
  const width = (beam: BeamMeasures | null): WorkingStep[] =>
    beam ? answerOf(footprint, { beamwidthDeg: beam.coneDeg, depthM }).working.slice(0, 1) : [];
  switch (criterion) {
    case 'reach': {
      const beam = best(beams, ({ reachM }) => reachM);
      return beam && beam.reachM > 0 ? reachSteps(beam, requirements) : [];
    }
    case 'footprint':
      return width(best(seeing, ({ footprintM }) => footprintM));
    case 'bottom detail':
      return width(best(seeing, ({ footprintM }) => -footprintM));
    case 'separation': {
      const beam = best(seeing, ({ resolutionM }) => -resolutionM);
      if (!beam) return [];
      const { chirp, bandwidthHz, pulseLengthS } = beam.acoustics;
      return answerOf(rangeResolution, { soundSpeedMps, ...(chirp ? { bandwidthHz } : { pulseLengthS }) }).working;
    }
    case 'dead zone': {
      const beam = best(seeing, ({ deadZoneM }) => -deadZoneM);
      if (!beam) return [];
      return answerOf(deadZone, {
        beamwidthDeg: Math.min(beam.coneDeg, 2 * (80 - slopeDeg)),
        depthM,
        // A chirp is told apart by its band, so its pulse counts as short as that.
        pulseLengthS: (2 * beam.resolutionM) / soundSpeedMps,
        soundSpeedMps,
        slopeDeg,
      }).working.slice(0, 4);
    }
    case 'blanking zone': {
      const beam = best(seeing, ({ blankM }) => -blankM);
      if (!beam) return [];
      const { chirp, bandwidthHz, pulseLengthS } = beam.acoustics;
      return answerOf(ringDown, {
        pulseLengthS,
        frequencyHz: beam.frequencyHz,
        ringingCycles: ringingOf(beam.frequencyHz, chirp ? bandwidthHz : null),
        soundSpeedMps,
      }).working;
    }
    case 'speed':
      return [
        {
          says: 'Fastest at which the bottom is still read',
          symbol: 'v',
          value: holdsBottomToMps,
          unit: 'm/s',
          expression: null,
          method: `the bottom's signal over noise, speed raised in steps to the top speed, until it falls under the ${traceSnrDb} dB a steady trace needs`,
          inputs: [given('d', depthM, 'm', 'depth'), given('top', requirements.topMps, 'm/s', 'top speed')],
          source: 'sonar equation, Urick 1983, ch. 2; own noise and aerated water in round figures of ours',
        },
      ];
    case 'fitting':
    case 'power':
      return [];
  }
};
