import type { Plan, WorkingStep } from '@grey-keel/model';
import { aerationLossDb, noiseSpectrum } from '../acoustics/noise.ts';
import { pingTiming } from '../acoustics/ping-timing.ts';
import { answerOf } from '../calculation/calculation.ts';
import { inOrder } from '../plan/working-water.ts';
import { requirementsOf } from './requirements.ts';
import { elementAcoustics } from './element-acoustics.ts';
import { bottomSnrDb, beamRangeTerms, traceSnrDb } from './beam-range.ts';
import { workingBeamOf } from './working-beam.ts';

/** One sounder at one speed. */
export interface AtSpeed {
  readonly pace: 'idle' | 'cruise' | 'top';
  readonly speedMps: number;
  readonly spacingM: number;
  /** Share of each footprint that the next covers again. */
  readonly overlap: number;
  readonly timingWorking: readonly WorkingStep[];
  readonly ownNoiseDb: number;
  readonly noiseWorking: readonly WorkingStep[];
  /** What aerated water takes both ways. */
  readonly aerationDb: number;
  readonly bottomSnrDb: number;
  readonly readsBottom: boolean;
}

export interface SpeedRow {
  readonly id: string;
  readonly name: string;
  readonly mounting: string;
  readonly paces: readonly AtSpeed[];
}

/** A walking pace: engine in gear, no more. */
const idleMps = 1.5;

/** How the sounders aboard read the bottom at idle, cruise and top speed. Null while the water is not described. */
export const speedTable = (plan: Plan): readonly SpeedRow[] | null => {
  const requirements = requirementsOf(plan);
  if (!requirements) return null;
  const { workingM, conditions, softest } = requirements;
  const speeds = [
    { pace: 'idle' as const, speedMps: idleMps },
    ...(requirements.cruiseMps > 0 ? [{ pace: 'cruise' as const, speedMps: requirements.cruiseMps }] : []),
    ...(requirements.topMps > 0 ? [{ pace: 'top' as const, speedMps: requirements.topMps }] : []),
  ];
  return inOrder(plan.transducers)
    .filter(([, { kind }]) => kind === 'sounder')
    .map(([id, transducer]) => {
      const { mounting, name } = transducer;
      const beam = workingBeamOf(transducer);
      const acoustics = elementAcoustics(transducer, beam, workingM);
      return {
        id,
        name,
        mounting,
        paces: speeds.map(({ pace, speedMps }): AtSpeed => {
          const timing = answerOf(pingTiming, {
            rangeM: workingM,
            soundSpeedMps: conditions.soundSpeedMps,
            speedMps,
            beamwidthDeg: acoustics.shape.acrossDeg,
            depthM: workingM,
          });
          const noise = answerOf(noiseSpectrum, {
            frequencyHz: beam.frequencyHz,
            windSpeedMps: conditions.windMps,
            boatSpeedMps: speedMps,
            mounting,
            ownNoiseByDb: conditions.ownNoiseByDb,
          });
          const snr = bottomSnrDb(
            beamRangeTerms(acoustics, mounting, { ...conditions, boatSpeedMps: speedMps }),
            softest,
            workingM,
          );
          return {
            pace,
            speedMps,
            spacingM: timing.spacingM,
            overlap: timing.footprintOverlap,
            timingWorking: timing.working,
            ownNoiseDb: noise.ownShipDb,
            noiseWorking: noise.working.slice(2, 3),
            aerationDb: aerationLossDb(mounting, speedMps),
            bottomSnrDb: snr,
            readsBottom: snr >= traceSnrDb,
          };
        }),
      };
    });
};
