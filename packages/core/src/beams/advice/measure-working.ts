import type { Criterion, WorkingStep } from '@grey-keel/model';
import { detectionRange } from '../../acoustics/detection-range.ts';
import { aerationLossDb, hullLossDb, noiseSpectrum } from '../../acoustics/noise.ts';
import { rangeResolution } from '../../acoustics/range-resolution.ts';
import { targetStrength } from '../../acoustics/target-strength.ts';
import { answerOf } from '../../calculation.ts';
import { given } from '../../working-step.ts';
import { deadZone } from '../dead-zone.ts';
import { footprint } from '../footprint.ts';
import { requiredSnrDb } from '../reach.ts';
import { seeingAt, type BeamMeasures, type Measures } from './measures.ts';
import type { Wants } from './wants.ts';

const best = (beams: readonly BeamMeasures[], of: (beam: BeamMeasures) => number): BeamMeasures | null =>
  beams.reduce<BeamMeasures | null>((found, beam) => (found && of(found) >= of(beam) ? found : beam), null);

const reachSteps = ({ acoustics, mounting, frequencyHz }: BeamMeasures, wants: Wants): WorkingStep[] => {
  const { water, windMps, boatSpeedMps, depthM } = wants.conditions;
  const noise = answerOf(noiseSpectrum, { frequencyHz, windSpeedMps: windMps, boatSpeedMps, mounting });
  const target = answerOf(targetStrength, { lengthCm: wants.lengthCm, frequencyHz, model: 'love-dorsal' });
  const reach = answerOf(detectionRange, {
    frequencyHz,
    sourceLevelDb: acoustics.sourceLevelDb - hullLossDb(mounting) - aerationLossDb(mounting, boatSpeedMps),
    directivityIndexDb: acoustics.shape.directivityIndexDb,
    bandwidthHz: acoustics.bandwidthHz,
    noiseSpectrumDb: noise.noiseSpectrumDb,
    processingGainDb: acoustics.processingGainDb,
    temperatureC: water.temperatureC,
    salinityPpt: water.salinityPpt,
    depthM: Math.min(7000, depthM / 2),
    targetStrengthDb: target.targetStrengthDb,
    requiredSnrDb,
  });
  return [...target.working, ...noise.working.slice(-1), ...reach.working];
};

/** How the figure beside a criterion came about: the steps of the beam that gives it. None where it is a judgement. */
export const measureWorking = (
  criterion: Criterion,
  { beams, holdsBottomToMps }: Measures,
  wants: Wants,
): WorkingStep[] => {
  const seeing = seeingAt(beams, wants);
  const { workingM: depthM, slopeDeg } = wants;
  const { soundSpeedMps } = wants.conditions;
  const width = (beam: BeamMeasures | null): WorkingStep[] =>
    beam ? answerOf(footprint, { beamwidthDeg: beam.coneDeg, depthM }).working.slice(0, 1) : [];
  switch (criterion) {
    case 'reach': {
      const beam = best(beams, ({ reachM }) => reachM);
      return beam && beam.reachM > 0 ? reachSteps(beam, wants) : [];
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
    case 'speed':
      return [
        {
          says: 'Fastest at which the bottom is still read',
          symbol: 'v',
          value: holdsBottomToMps,
          unit: 'm/s',
          expression: null,
          method: `the bottom's signal over noise, speed raised in steps to the top speed, until it falls under ${requiredSnrDb} dB`,
          inputs: [given('d', depthM, 'm', 'depth'), given('top', wants.topMps, 'm/s', 'top speed')],
          source: 'sonar equation, Urick 1983, ch. 2; own noise and aerated water in round figures of ours',
        },
      ];
    case 'fitting':
    case 'power':
      return [];
  }
};
