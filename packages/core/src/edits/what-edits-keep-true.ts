import { waysOfWorking, type Plan } from '@grey-keel/model';
import { pruneAll } from './by-leaf.ts';
import { goWithDisplay } from './go-with-display.ts';
import { pagesAt } from '../plan/pages-at.ts';

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
  goWithDisplay(draft);
  pruneAll(draft);
  for (const stationId of new Set(Object.values(draft.pages).map((page) => page.stationId))) {
    closePlaces(draft, stationId);
    oneForAWay(draft, stationId);
  }
};
