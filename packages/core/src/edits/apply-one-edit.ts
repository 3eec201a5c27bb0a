import { waysOfWorking, type Edit, type Plan } from '@grey-keel/model';
import { newNetworkDevice } from '../network/devices.ts';
import { pagesAt } from '../pages/pages-at.ts';
import { EditRefused } from './edit-refused.ts';
import { giveWay, moveTo } from './page-places.ts';
import {
  absent,
  batteryOf,
  circuitOf,
  has,
  newSource,
  newUnitSettings,
  notYet,
  numberOf,
  offsetOf,
  pageOf,
  present,
  readingOf,
  type Collection,
} from './parts-of-plan.ts';
import { putPatches } from './put-patches.ts';
import { closePlaces } from './what-edits-keep-true.ts';

const describe = <C extends Collection>(
  plan: Plan,
  collection: C,
  id: string,
  changes: Partial<Plan[C][string]>,
): void => {
  present(plan, collection, id);
  Object.assign(plan[collection][id] as object, changes);
};

/** A station's display goes, and with it everything that is only of that display. */
const clearStation = (plan: Plan, stationId: string): void => {
  delete plan.displays[stationId];
  delete plan.keys[stationId];
  delete plan.feeds[stationId];
  delete plan.network.devices[stationId];
  delete plan.units[stationId];
  for (const { id } of pagesAt(plan, stationId)) delete plan.pages[id];
};

const hullOf = ({ lengthM, beamM, draughtM, hullForm }: Plan['boat']): NonNullable<Plan['fittedHull']> => ({
  lengthM,
  beamM,
  draughtM,
  hullForm,
});

/** The first thing that is put on a hull is put on the hull as it is. */
const fitting = (plan: Plan): void => {
  plan.fittedHull ??= hullOf(plan.boat);
};

/** Makes one edit in a draft. Throws EditRefused for what is not there, or there already; NoSuchPlace for such a patch. */
export const applyOneEdit = (plan: Plan, edit: Edit): void => {
  switch (edit.type) {
    case 'restore':
      return putPatches(plan, edit.patches);
    case 'describeBoat':
      Object.assign(plan.boat, edit.changes);
      return;
    case 'putLoading':
      if (edit.loading) plan.loadings[edit.id] = edit.loading;
      else delete plan.loadings[edit.id];
      return;
    case 'addStation':
      absent(plan, 'stations', edit.id);
      plan.stations[edit.id] = edit.station;
      return;
    case 'describeStation':
      return describe(plan, 'stations', edit.id, edit.changes);
    case 'removeStation':
      present(plan, 'stations', edit.id);
      delete plan.stations[edit.id];
      clearStation(plan, edit.id);
      return;
    case 'addWater':
      absent(plan, 'waters', edit.id);
      plan.waters[edit.id] = edit.water;
      plan.working.waterId ??= edit.id;
      return;
    case 'describeWater':
      return describe(plan, 'waters', edit.id, edit.changes);
    case 'removeWater':
      present(plan, 'waters', edit.id);
      delete plan.waters[edit.id];
      if (plan.working.waterId === edit.id) plan.working.waterId = Object.keys(plan.waters).sort()[0] ?? null;
      return;
    case 'addSought':
      absent(plan, 'sought', edit.id);
      plan.sought[edit.id] = edit.sought;
      return;
    case 'describeSought':
      return describe(plan, 'sought', edit.id, edit.changes);
    case 'removeSought':
      present(plan, 'sought', edit.id);
      delete plan.sought[edit.id];
      return;
    case 'useWay':
      if (edit.used) plan.ways[edit.way] = true;
      else delete plan.ways[edit.way];
      return;
    case 'workIn':
      if (edit.waterId !== null) present(plan, 'waters', edit.waterId);
      plan.working.waterId = edit.waterId;
      return;
    case 'workAtDepth':
      plan.working.depthM = edit.depthM;
      return;
    case 'placeTransducer':
      absent(plan, 'transducers', edit.id);
      fitting(plan);
      plan.transducers[edit.id] = edit.transducer;
      return;
    case 'describeTransducer':
      return describe(plan, 'transducers', edit.id, edit.changes);
    case 'removeTransducer':
      present(plan, 'transducers', edit.id);
      delete plan.transducers[edit.id];
      delete plan.depthOffsets[edit.id];
      delete plan.sources[edit.id];
      delete plan.network.links[edit.id];
      return;
    case 'transmitIn': {
      present(plan, 'transducers', edit.id);
      const transducer = plan.transducers[edit.id];
      if (edit.transmits && transducer) transducer.transmitsIn[edit.way] = true;
      else delete transducer?.transmitsIn[edit.way];
      return;
    }
    case 'describeDepthOffset':
      Object.assign(offsetOf(plan, edit.transducerId), edit.changes);
      return;
    case 'recordReading': {
      const offset = offsetOf(plan, edit.transducerId);
      if (has(offset.readings, edit.readingId))
        throw new EditRefused(
          `depthOffsets.${edit.transducerId}.readings.${edit.readingId}`,
          `There is a reading "${edit.readingId}" already.`,
        );
      offset.readings[edit.readingId] = edit.reading;
      return;
    }
    case 'correctReading':
      Object.assign(readingOf(plan, edit.transducerId, edit.readingId).reading, edit.changes);
      return;
    case 'removeReading':
      delete readingOf(plan, edit.transducerId, edit.readingId).offset.readings[edit.readingId];
      return;
    case 'enterDepthOffset': {
      const offset = offsetOf(plan, edit.transducerId);
      offset.entered = edit.entered;
      return;
    }
    case 'fitDisplay':
      present(plan, 'stations', edit.stationId);
      plan.displays[edit.stationId] = edit.display;
      return;
    case 'describeDisplay':
      return describe(plan, 'displays', edit.stationId, edit.changes);
    case 'removeDisplay':
      present(plan, 'displays', edit.stationId);
      clearStation(plan, edit.stationId);
      return;
    case 'addPage':
      absent(plan, 'pages', edit.id);
      present(plan, 'displays', edit.page.stationId);
      plan.pages[edit.id] = edit.page;
      for (const way of waysOfWorking) if (edit.page.shownIn[way]) giveWay(plan, edit.id, way);
      moveTo(plan, edit.id, edit.page.place);
      return;
    case 'describePage':
      return describe(plan, 'pages', edit.id, edit.changes);
    case 'movePage':
      present(plan, 'pages', edit.id);
      moveTo(plan, edit.id, edit.place);
      return;
    case 'removePage': {
      present(plan, 'pages', edit.id);
      const stationId = plan.pages[edit.id]?.stationId ?? '';
      delete plan.pages[edit.id];
      closePlaces(plan, stationId);
      return;
    }
    case 'showPageIn': {
      present(plan, 'pages', edit.id);
      const page = plan.pages[edit.id];
      if (edit.shown && page) {
        page.shownIn[edit.way] = true;
        giveWay(plan, edit.id, edit.way);
      } else delete page?.shownIn[edit.way];
      return;
    }
    case 'placeNumber': {
      const { numbers } = pageOf(plan, edit.pageId);
      if (has(numbers, edit.id))
        throw new EditRefused(`pages.${edit.pageId}.numbers.${edit.id}`, `There is a number "${edit.id}" already.`);
      numbers[edit.id] = edit.number;
      return;
    }
    case 'describeNumber':
      Object.assign(numberOf(plan, edit.pageId, edit.id), edit.changes);
      return;
    case 'removeNumber':
      numberOf(plan, edit.pageId, edit.id);
      delete pageOf(plan, edit.pageId).numbers[edit.id];
      return;
    case 'bindKey': {
      present(plan, 'displays', edit.stationId);
      const bound = (plan.keys[edit.stationId] ??= {});
      if (edit.action) bound[edit.slot] = edit.action;
      else delete bound[edit.slot];
      return;
    }
    case 'weighBeams':
      Object.assign(plan.advice, edit.changes);
      return;
    case 'setScene':
      Object.assign(plan.scene, edit.changes);
      return;
    case 'placeFish':
      absent(plan, 'fish', edit.id);
      plan.fish[edit.id] = edit.fish;
      return;
    case 'describeFish':
      return describe(plan, 'fish', edit.id, edit.changes);
    case 'removeFish':
      present(plan, 'fish', edit.id);
      delete plan.fish[edit.id];
      return;
    case 'placeEquipment':
      absent(plan, 'equipment', edit.id);
      fitting(plan);
      plan.equipment[edit.id] = edit.equipment;
      return;
    case 'describeEquipment':
      return describe(plan, 'equipment', edit.id, edit.changes);
    case 'removeEquipment':
      present(plan, 'equipment', edit.id);
      delete plan.equipment[edit.id];
      delete plan.sources[edit.id];
      delete plan.network.devices[edit.id];
      return;
    case 'confirmPlaces':
      plan.fittedHull = hullOf(plan.boat);
      return;
    case 'addBattery':
      notYet(plan.power.batteries, 'power.batteries', 'battery', edit.id);
      plan.power.batteries[edit.id] = edit.battery;
      return;
    case 'describeBattery':
      Object.assign(batteryOf(plan, edit.id), edit.changes);
      return;
    case 'removeBattery':
      batteryOf(plan, edit.id);
      delete plan.power.batteries[edit.id];
      for (const circuit of Object.values(plan.power.circuits))
        if (circuit.batteryId === edit.id) circuit.batteryId = null;
      return;
    case 'addCircuit':
      notYet(plan.power.circuits, 'power.circuits', 'circuit', edit.id);
      plan.power.circuits[edit.id] = edit.circuit;
      return;
    case 'describeCircuit':
      Object.assign(circuitOf(plan, edit.id), edit.changes);
      return;
    case 'removeCircuit':
      circuitOf(plan, edit.id);
      delete plan.power.circuits[edit.id];
      return;
    case 'putLoad': {
      const { loads } = circuitOf(plan, edit.circuitId);
      if (edit.load) loads[edit.id] = edit.load;
      else delete loads[edit.id];
      return;
    }
    case 'workHours':
      if (edit.hours > 0) plan.power.hours[edit.way] = edit.hours;
      else delete plan.power.hours[edit.way];
      return;
    case 'connect':
      present(plan, 'transducers', edit.transducerId);
      if (edit.link) plan.network.links[edit.transducerId] = edit.link;
      else delete plan.network.links[edit.transducerId];
      return;
    case 'describeDevice':
      if (!has(plan.displays, edit.id)) present(plan, 'equipment', edit.id);
      Object.assign((plan.network.devices[edit.id] ??= newNetworkDevice()), edit.changes);
      return;
    case 'describeBackbone':
      Object.assign(plan.network.backbone, edit.changes);
      return;
    case 'describeSource':
      if (!has(plan.transducers, edit.id)) present(plan, 'equipment', edit.id);
      Object.assign((plan.sources[edit.id] ??= newSource()), edit.changes);
      return;
    case 'feed': {
      present(plan, 'displays', edit.stationId);
      const feeds = (plan.feeds[edit.stationId] ??= {});
      if (edit.feed) feeds[edit.quantity] = edit.feed;
      else delete feeds[edit.quantity];
      return;
    }
    case 'describeUnit': {
      present(plan, 'displays', edit.stationId);
      const unit = (plan.units[edit.stationId] ??= newUnitSettings());
      const { alarms, ...others } = edit.changes;
      Object.assign(unit, others);
      // One alarm by itself, so that two people setting two of them do not meet.
      if (alarms) Object.assign((unit.alarms ??= {}), alarms);
      return;
    }
    case 'printCard':
      plan.cards[edit.id] = edit.card;
      return;
  }
};
