import { briefEditSchemas } from '@grey-keel/model';
import { putOrDelete } from '../../edits/collection.ts';
import { stations, targetSpecies, waters } from '../../edits/collections.ts';
import { confirmPlaces } from '../../plan/assumed.ts';
import { editRows } from '../../edits/edit-row.ts';

export const briefEdits = editRows(briefEditSchemas, {
  describeBoat: (plan, { changes }) => {
    Object.assign(plan.boat, changes);
  },
  confirmAssumed: (plan, { places }) => confirmPlaces(plan, places),
  putLoading: (plan, { id, loading }) => putOrDelete(plan.loadings, id, loading),
  putRestorePoint: (plan, { id, point }) => {
    plan.restorePoints ??= {};
    putOrDelete(plan.restorePoints, id, point);
  },
  putPhotograph: (plan, { id, photograph }) => {
    plan.photographs ??= {};
    putOrDelete(plan.photographs, id, photograph);
  },

  addStation: (plan, { id, station }) => stations.add(plan, id, station),
  describeStation: (plan, { id, changes }) => stations.describe(plan, id, changes),
  removeStation: (plan, { id }) => {
    stations.remove(plan, id);
  },

  addWater: (plan, { id, water }) => {
    waters.add(plan, id, water);
    plan.working.waterId ??= id;
  },
  describeWater: (plan, { id, changes }) => waters.describe(plan, id, changes),
  removeWater: (plan, { id }) => {
    waters.remove(plan, id);
  },

  addSought: (plan, edit) => targetSpecies.add(plan, edit.id, edit.sought),
  describeSought: (plan, { id, changes }) => targetSpecies.describe(plan, id, changes),
  removeSought: (plan, { id }) => {
    targetSpecies.remove(plan, id);
  },

  useWay: (plan, { way, used }) => putOrDelete(plan.ways, way, used ? true : null),
  workIn: (plan, { waterId }) => {
    if (waterId !== null) waters.get(plan, waterId);
    plan.working.waterId = waterId;
  },
  workAtDepth: (plan, { depthM }) => {
    plan.working.depthM = depthM;
  },
});
