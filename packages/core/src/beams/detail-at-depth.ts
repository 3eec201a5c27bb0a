import type { Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { requirementsOf } from './requirements.ts';
import { elementAcoustics, resolutionOf } from './element-acoustics.ts';

/** What one beam tells apart at a depth below its face: side by side, and one over the other. Metres. */
export interface BeamDetail {
  readonly key: string;
  readonly name: string;
  readonly series: number;
  readonly frequencyHz: number;
  readonly widthM: number;
  readonly separationM: number;
}

/**
 * Footprint and range resolution of every beam that looks down, over a flat bottom, the pulse as long as automatic
 * settings make it for that depth. None while the water is not described.
 */
export const detailAtDepth = (plan: Plan, depthM: number): BeamDetail[] => {
  const requirements = requirementsOf(plan);
  if (!requirements) return [];
  return inOrder(plan.transducers).flatMap(([id, transducer], series) =>
    transducer.kind !== 'sounder' && transducer.kind !== 'down fan'
      ? []
      : transducer.beams.map((beam, i) => {
          const acoustics = elementAcoustics(transducer, beam, depthM);
          return {
            key: `${id}-${i}`,
            name: transducer.name,
            series,
            frequencyHz: beam.frequencyHz,
            widthM: 2 * depthM * Math.tan((acoustics.shape.acrossDeg * Math.PI) / 360),
            separationM: resolutionOf(acoustics, requirements.conditions.soundSpeedMps),
          };
        }),
  );
};
