import { keysEditSchemas } from '@grey-keel/model';
import { putOrDelete } from '../../edits/collection.ts';
import { displays } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';

export const keysEdits = editRows(keysEditSchemas, {
  bindKey: (plan, { stationId, slot, action }) => {
    displays.get(plan, stationId);
    putOrDelete((plan.keys[stationId] ??= {}), slot, action);
  },
});
