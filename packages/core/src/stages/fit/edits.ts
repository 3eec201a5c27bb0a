import { fitEditSchemas } from '@grey-keel/model';
import { has, putOrDelete } from '../../edits/collection.ts';
import { batteries, circuits, equipment, transducers } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { hullOf, putOnHull } from '../../edits/fitted-hull.ts';
import { newNetworkDevice } from '../../network/devices.ts';

export const fitEdits = editRows(fitEditSchemas, {
  placeEquipment: (plan, edit) => {
    equipment.add(plan, edit.id, edit.equipment);
    putOnHull(plan);
  },
  describeEquipment: (plan, { id, changes }) => equipment.describe(plan, id, changes),
  removeEquipment: (plan, { id }) => {
    equipment.remove(plan, id);
  },
  confirmPlaces: (plan) => {
    plan.fittedHull = hullOf(plan.boat);
  },

  addBattery: (plan, { id, battery }) => batteries.add(plan, id, battery),
  describeBattery: (plan, { id, changes }) => batteries.describe(plan, id, changes),
  removeBattery: (plan, { id }) => {
    batteries.remove(plan, id);
  },
  addCircuit: (plan, { id, circuit }) => circuits.add(plan, id, circuit),
  describeCircuit: (plan, { id, changes }) => circuits.describe(plan, id, changes),
  removeCircuit: (plan, { id }) => {
    circuits.remove(plan, id);
  },
  putLoad: (plan, { circuitId, id, load }) => putOrDelete(circuits.get(plan, circuitId).loads, id, load),
  workHours: (plan, { way, hours }) => putOrDelete(plan.power.hours, way, hours > 0 ? hours : null),

  connect: (plan, { transducerId, link }) => {
    transducers.get(plan, transducerId);
    putOrDelete(plan.network.links, transducerId, link);
  },
  describeDevice: (plan, { id, changes }) => {
    if (!has(plan.displays, id)) equipment.get(plan, id);
    Object.assign((plan.network.devices[id] ??= newNetworkDevice()), changes);
  },
  describeBackbone: (plan, { changes }) => {
    Object.assign(plan.network.backbone, changes);
  },
});
