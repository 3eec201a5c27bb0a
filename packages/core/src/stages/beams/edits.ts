import { beamsEditSchemas } from '@grey-keel/model';
import { putOrDelete } from '../../edits/collection.ts';
import { fish, transducers } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { putOnHull } from '../../edits/fitted-hull.ts';

export const beamsEdits = editRows(beamsEditSchemas, {
  placeTransducer: (plan, { id, transducer }) => {
    transducers.add(plan, id, transducer);
    putOnHull(plan);
  },
  describeTransducer: (plan, { id, changes }) => transducers.describe(plan, id, changes),
  removeTransducer: (plan, { id }) => {
    transducers.remove(plan, id);
  },
  transmitIn: (plan, { id, way, transmits }) =>
    putOrDelete(transducers.get(plan, id).transmitsIn, way, transmits ? true : null),

  weighBeams: (plan, { changes }) => {
    Object.assign(plan.advice, changes);
  },
  setScene: (plan, { changes }) => {
    Object.assign(plan.scene, changes);
  },
  placeFish: (plan, edit) => fish.add(plan, edit.id, edit.fish),
  describeFish: (plan, { id, changes }) => fish.describe(plan, id, changes),
  removeFish: (plan, { id }) => {
    fish.remove(plan, id);
  },
});
