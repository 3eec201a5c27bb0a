import type { Plan } from '@grey-keel/model';
import { pagesAt } from '../plan/pages-at.ts';

/** A station's display goes, and with it everything that is only of that display. */
export const clearStation = (plan: Plan, stationId: string): void => {
  delete plan.displays[stationId];
  delete plan.keys[stationId];
  delete plan.feeds[stationId];
  delete plan.network.devices[stationId];
  delete plan.units[stationId];
  for (const { id } of pagesAt(plan, stationId)) delete plan.pages[id];
};
