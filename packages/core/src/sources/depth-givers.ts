import type { Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

/** A transducer whose depth is shown somewhere, and the stations that show it. */
export interface DepthGiver {
  readonly id: string;
  readonly name: string;
  readonly plan: Plan;
  /** The stations it feeds, as source or as fallback. */
  readonly stationIds: readonly string[];
}

/**
 * The transducers whose depth has to be right: those that draw the bottom straight below, and whatever else feeds depth to a
 * display, as its source or its fallback.
 */
export const depthGivers = (plan: Plan): DepthGiver[] =>
  inOrder(plan.transducers).flatMap(([id, { kind, name }]) => {
    const stationIds = inOrder(plan.feeds).flatMap(([stationId, { depth }]) =>
      plan.displays[stationId] && (depth?.sourceId === id || depth?.fallbackId === id) ? [stationId] : [],
    );
    return kind === 'sounder' || kind === 'down fan' || stationIds.length > 0 ? [{ id, name, plan, stationIds }] : [];
  });
