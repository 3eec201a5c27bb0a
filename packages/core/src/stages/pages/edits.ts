import { pagesEditSchemas, waysOfWorking } from '@grey-keel/model';
import { putOrDelete } from '../../edits/collection.ts';
import { displays, numbersOf, pages, stations } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { giveWay, moveTo } from '../../edits/page-places.ts';
import { closePlaces } from '../../edits/what-edits-keep-true.ts';

export const pagesEdits = editRows(pagesEditSchemas, {
  fitDisplay: (plan, { stationId, display }) => {
    stations.get(plan, stationId);
    plan.displays[stationId] = display;
  },
  describeDisplay: (plan, { stationId, changes }) => displays.describe(plan, stationId, changes),
  removeDisplay: (plan, { stationId }) => {
    displays.remove(plan, stationId);
  },

  addPage: (plan, { id, page }) => {
    displays.get(plan, page.stationId);
    pages.add(plan, id, page);
    for (const way of waysOfWorking) if (page.shownIn[way]) giveWay(plan, id, way);
    moveTo(plan, id, page.place);
  },
  describePage: (plan, { id, changes }) => pages.describe(plan, id, changes),
  movePage: (plan, { id, place }) => {
    pages.get(plan, id);
    moveTo(plan, id, place);
  },
  removePage: (plan, { id }) => closePlaces(plan, pages.remove(plan, id).stationId),
  showPageIn: (plan, { id, way, shown }) => {
    const { shownIn } = pages.get(plan, id);
    putOrDelete(shownIn, way, shown ? true : null);
    if (shown) giveWay(plan, id, way);
  },

  placeNumber: (plan, { pageId, id, number }) => numbersOf(pageId).add(plan, id, number),
  describeNumber: (plan, { pageId, id, changes }) => numbersOf(pageId).describe(plan, id, changes),
  removeNumber: (plan, { pageId, id }) => {
    numbersOf(pageId).remove(plan, id);
  },
});
