import type { FittedDisplay, Plan, Station } from '@grey-keel/model';
import { inOrder } from './working-water.ts';

export interface FittedStation {
  readonly id: string;
  readonly station: Station;
  readonly display: FittedDisplay;
  readonly plan: Plan;
}

/** The stations that have a display. */
export const fittedStations = (plan: Plan): FittedStation[] =>
  inOrder(plan.stations).flatMap(([id, station]) => {
    const display = plan.displays[id];
    return display ? [{ id, station, display, plan }] : [];
  });
