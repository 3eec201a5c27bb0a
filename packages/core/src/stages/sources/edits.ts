import { sourcesEditSchemas } from '@grey-keel/model';
import { has, putOrDelete } from '../../edits/collection.ts';
import { displays, equipment } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { newSource } from '../../edits/new-parts.ts';

export const sourcesEdits = editRows(sourcesEditSchemas, {
  describeSource: (plan, { id, changes }) => {
    if (!has(plan.transducers, id)) equipment.get(plan, id);
    Object.assign((plan.sources[id] ??= newSource()), changes);
  },
  feed: (plan, { stationId, quantity, feed }) => {
    displays.get(plan, stationId);
    putOrDelete((plan.feeds[stationId] ??= {}), quantity, feed);
  },
  setTimeToAct: (plan, { stationId, actInS }) => {
    displays.get(plan, stationId);
    putOrDelete(plan.timeToActS, stationId, actInS);
  },
});
