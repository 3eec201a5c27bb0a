import type { Edit, Plan, Way } from '@grey-keel/model';
import { fittedStations } from '../plan/fitted-stations.ts';
import { pageFor, pagesAt, shownWays } from '../plan/pages-at.ts';
import { suggestLayouts } from './suggest-layouts.ts';

/** A way of working in which a station's display has nothing to show. */
export interface MissingPage {
  readonly stationId: string;
  readonly way: Way;
}

export const missingPages = (plan: Plan): MissingPage[] =>
  fittedStations(plan).flatMap(({ id }) =>
    shownWays(plan).flatMap((way) => (pageFor(plan, id, way) ? [] : [{ stationId: id, way }])),
  );

/** The edits that make what is missing, each from the first suggestion for its way; what nothing aboard can show is left out. */
export const makeMissingPages = (plan: Plan, newId: () => string): Edit[] => {
  const places = new Map<string, number>();
  return missingPages(plan).flatMap(({ stationId, way }): Edit[] => {
    const [first] = suggestLayouts(plan, stationId, way);
    if (!first) return [];
    const place = (places.get(stationId) ?? pagesAt(plan, stationId).length) + 1;
    places.set(stationId, place);
    return [
      {
        type: 'addPage',
        id: newId(),
        page: { stationId, name: way, place, shownIn: { [way]: true }, layout: first.layout, numbers: {} },
      },
    ];
  });
};
