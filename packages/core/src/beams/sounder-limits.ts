import type { Plan, WorkingStep } from '@grey-keel/model';
import { bottomEchoes } from '../acoustics/bottom-echoes.ts';
import { ringDown, ringingOf } from '../acoustics/ring-down.ts';
import { answerOf } from '../calculation/calculation.ts';
import { faceDepthM, inOrder } from '../plan/working-water.ts';
import { requirementsOf } from './requirements.ts';
import { elementAcoustics } from './element-acoustics.ts';
import { bottomSnrDb, beamRangeTerms } from './beam-range.ts';
import { workingBeamOf } from './working-beam.ts';

/** Where a sounder's picture starts, and which bottoms it draws that are none. */
export interface SounderLimits {
  readonly id: string;
  readonly name: string;
  /** Below the surface: nothing is seen above it. */
  readonly seesFromM: number;
  readonly blankWorking: readonly WorkingStep[];
  /** From the second bottom on. */
  readonly echoes: readonly { readonly order: number; readonly drawnM: number; readonly snrDb: number }[];
  readonly echoWorking: readonly WorkingStep[];
}

/** Ring-down and repeated bottoms of every sounder of a boat over a flat bottom; none while the water is not described. */
export const sounderLimits = (plan: Plan, depthM: number): SounderLimits[] => {
  const requirements = requirementsOf(plan);
  if (!requirements) return [];
  return inOrder(plan.transducers).flatMap(([id, transducer]) => {
    if (transducer.kind !== 'sounder') return [];
    const acoustics = elementAcoustics(transducer, workingBeamOf(transducer), depthM);
    const faceM = Math.max(0, faceDepthM(plan, transducer.aboveKeelM) ?? 0);
    const terms = beamRangeTerms(acoustics, transducer.mounting, requirements.conditions);
    const blank = answerOf(ringDown, {
      pulseLengthS: acoustics.pulseLengthS,
      frequencyHz: acoustics.frequencyHz,
      ringingCycles: ringingOf(acoustics.frequencyHz, acoustics.chirp ? acoustics.bandwidthHz : null),
      soundSpeedMps: requirements.conditions.soundSpeedMps,
    });
    const again = answerOf(bottomEchoes, {
      depthM,
      faceDepthM: Math.min(20, faceM, depthM - 0.1),
      firstSnrDb: Math.max(
        -200,
        Math.min(200, bottomSnrDb(terms, requirements.hardest, Math.max(0.1, depthM - faceM))),
      ),
      bottom: requirements.hardest,
      absorptionDbPerKm: terms.absorptionDbPerM * 1000,
    });
    return [
      {
        id,
        name: transducer.name,
        seesFromM: faceM + blank.blankM,
        blankWorking: blank.working,
        echoes: again.echoes,
        echoWorking: again.working,
      },
    ];
  });
};
