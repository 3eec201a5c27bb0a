import { calibrationKinds, waysOfWorking, type Path, type Plan } from '@grey-keel/model';
import { pagesAt } from '../plan/pages-at.ts';

const has = (record: object, key: string): boolean => Object.prototype.hasOwnProperty.call(record, key);

/** What hangs on something that is not there: what belongs to a display that is gone, a transducer that is gone. */
export const dangling = (plan: Plan): Path[] => {
  const { stations, displays, transducers, equipment, waters, power, working } = plan;
  const without = (path: Path, record: object, ...holders: readonly object[]): Path[] =>
    Object.keys(record).flatMap((id) => (holders.some((holder) => has(holder, id)) ? [] : [[...path, id]]));
  return [
    ...without(['displays'], displays, stations),
    ...without(['keys'], plan.keys, displays),
    ...without(['feeds'], plan.feeds, displays),
    ...without(['units'], plan.units, displays),
    ...without(['network', 'devices'], plan.network.devices, displays, equipment),
    ...without(['network', 'links'], plan.network.links, transducers),
    ...without(['depthOffsets'], plan.depthOffsets, transducers),
    ...calibrationKinds.flatMap((kind) =>
      without(['calibrations', kind], plan.calibrations[kind], transducers, equipment, stations, power.batteries),
    ),
    ...without(['sources'], plan.sources, transducers, equipment),
    ...Object.entries(plan.pages).flatMap(([id, page]) => (has(displays, page.stationId) ? [] : [['pages', id]])),
    ...Object.entries(power.circuits).flatMap(([id, { batteryId }]) =>
      batteryId === null || has(power.batteries, batteryId) ? [] : [['power', 'circuits', id, 'batteryId']],
    ),
    ...(working.waterId === null || has(waters, working.waterId) ? [] : [['working', 'waterId']]),
  ];
};

/** Gives each station's pages the places 1 to n in the order they stand. */
export const closePlaces = (draft: Plan, stationId: string): void =>
  pagesAt(draft, stationId).forEach(({ page }, i) => {
    if (page.place !== i + 1) page.place = i + 1;
  });

/** Of two pages of one station that claim a way of working, the first in its list shows in it. */
const oneForAWay = (draft: Plan, stationId: string): void => {
  for (const way of waysOfWorking)
    for (const { page } of pagesAt(draft, stationId)
      .filter((listed) => listed.page.shownIn[way])
      .slice(1))
      delete page.shownIn[way];
};

/** Puts right in a draft what patches from elsewhere can leave crooked without anyone having meant it. */
export const straighten = (draft: Plan): void => {
  for (const stationId of new Set(Object.values(draft.pages).map((page) => page.stationId))) {
    closePlaces(draft, stationId);
    oneForAWay(draft, stationId);
  }
};
