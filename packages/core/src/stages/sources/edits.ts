import { sourcesEditSchemas } from '@grey-keel/model';
import { has, putOrDelete } from '../../edits/collection.ts';
import { displays, equipment } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { newSource, newUnitSettings } from '../../edits/new-parts.ts';

export const sourcesEdits = editRows(sourcesEditSchemas, {
  describeSource: (plan, { id, changes }) => {
    if (!has(plan.transducers, id)) equipment.get(plan, id);
    Object.assign((plan.sources[id] ??= newSource()), changes);
  },
  feed: (plan, { stationId, quantity, feed }) => {
    displays.get(plan, stationId);
    putOrDelete((plan.feeds[stationId] ??= {}), quantity, feed);
  },
  describeUnit: (plan, { stationId, changes }) => {
    displays.get(plan, stationId);
    const unit = (plan.units[stationId] ??= newUnitSettings());
    const { alarms, ...others } = changes;
    Object.assign(unit, others);
    // One alarm by itself, so that two people setting two of them do not meet.
    if (alarms) Object.assign((unit.alarms ??= {}), alarms);
  },
});
