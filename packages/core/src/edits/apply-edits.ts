import {
  planSchema,
  waysOfWorking,
  type DepthOffset,
  type Edit,
  type Page,
  type PageNumber,
  type Patch,
  type Plan,
  type Source,
  type UnitSettings,
  type Way,
} from '@grey-keel/model';
import { create } from 'mutative';
import { fieldErrors, type FieldError } from '../field-errors.ts';
import { newNetworkDevice } from '../network/devices.ts';
import { pagesAt } from '../pages/pages-at.ts';
import { NoSuchPlace, putPatches } from './put-patches.ts';
import { closePlaces, dangling, straighten } from './what-edits-keep-true.ts';

export interface Applied {
  readonly ok: true;
  readonly plan: Plan;
  readonly patches: readonly Patch[];
  /** Lead back: the edit that undoes these is `restore` with them. */
  readonly inverse: readonly Patch[];
}
export interface Refused {
  readonly ok: false;
  readonly errors: readonly FieldError[];
}

/** Thrown while an edit is applied, for one that speaks of something that is not there, or is there already. */
class EditRefused extends Error {
  override readonly name = 'EditRefused';
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

type Collection = 'stations' | 'waters' | 'sought' | 'transducers' | 'displays' | 'pages' | 'fish' | 'equipment';

const words: Record<Collection, string> = {
  stations: 'station',
  waters: 'water',
  sought: 'thing sought',
  transducers: 'transducer',
  displays: 'display',
  pages: 'page',
  fish: 'fish',
  equipment: 'piece of equipment',
};

const has = (record: object, key: string): boolean => Object.prototype.hasOwnProperty.call(record, key);

const present = (plan: Plan, collection: Collection, id: string): void => {
  if (!has(plan[collection], id))
    throw new EditRefused(`${collection}.${id}`, `There is no ${words[collection]} "${id}" any more.`);
};

const absent = (plan: Plan, collection: Collection, id: string): void => {
  if (has(plan[collection], id))
    throw new EditRefused(`${collection}.${id}`, `There is a ${words[collection]} "${id}" already.`);
};

/** What is put in place the first time a transducer's depth is spoken of. */
export const newDepthOffset = (): DepthOffset => ({
  reference: 'waterline',
  offsetSetM: 0,
  soundSpeedAssumedMps: null,
  toleranceM: 0.1,
  displayResolutionM: 0.1,
  readings: {},
  entered: null,
});

const offsetOf = (plan: Plan, transducerId: string): DepthOffset => {
  present(plan, 'transducers', transducerId);
  plan.depthOffsets[transducerId] ??= newDepthOffset();
  return plan.depthOffsets[transducerId];
};

const readingOf = (plan: Plan, transducerId: string, readingId: string) => {
  const offset = offsetOf(plan, transducerId);
  const reading = offset.readings[readingId];
  if (!reading)
    throw new EditRefused(
      `depthOffsets.${transducerId}.readings.${readingId}`,
      `There is no reading "${readingId}" any more.`,
    );
  return { offset, reading };
};

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

const renumber = (plan: Plan, ids: readonly string[]): void =>
  ids.forEach((id, i) => {
    const page = plan.pages[id];
    if (page && page.place !== i + 1) page.place = i + 1;
  });

/** Puts a page at a place of its display's list; the others keep their order. */
const moveTo = (plan: Plan, id: string, place: number): void => {
  const ids = pagesAt(plan, plan.pages[id]?.stationId ?? '').flatMap((page) => (page.id === id ? [] : [page.id]));
  ids.splice(place - 1, 0, id);
  renumber(plan, ids);
};

/** A station shows one page in a way of working: the others give way. */
const giveWay = (plan: Plan, id: string, way: Way): void => {
  for (const other of pagesAt(plan, plan.pages[id]?.stationId ?? ''))
    if (other.id !== id && other.page.shownIn[way]) delete other.page.shownIn[way];
};

const pageOf = (plan: Plan, id: string): Page => {
  const page = has(plan.pages, id) ? plan.pages[id] : undefined;
  if (!page) throw new EditRefused(`pages.${id}`, `There is no page "${id}" any more.`);
  return page;
};

const numberOf = (plan: Plan, pageId: string, id: string): PageNumber => {
  const { numbers } = pageOf(plan, pageId);
  const number = has(numbers, id) ? numbers[id] : undefined;
  if (!number) throw new EditRefused(`pages.${pageId}.numbers.${id}`, `There is no number "${id}" any more.`);
  return number;
};

/** What is put in place the first time a source or a display's own settings are spoken of. */
export const newSource = (): Source => ({ name: '', tag: '', selected: '', temperature: 'none', appearsAfterS: null });
export const newUnitSettings = (): UnitSettings => ({
  waterType: null,
  north: null,
  sidesRight: 'not looked at',
  done: {},
});

/** What hangs in a collection that lies deeper in the plan. */
const stood = <T>(record: Readonly<Record<string, T>>, path: string, word: string, id: string): T => {
  const found = has(record, id) ? record[id] : undefined;
  if (!found) throw new EditRefused(`${path}.${id}`, `There is no ${word} "${id}" any more.`);
  return found;
};
const notYet = (record: object, path: string, word: string, id: string): void => {
  if (has(record, id)) throw new EditRefused(`${path}.${id}`, `There is a ${word} "${id}" already.`);
};
const batteryOf = (plan: Plan, id: string) => stood(plan.power.batteries, 'power.batteries', 'battery', id);
const circuitOf = (plan: Plan, id: string) => stood(plan.power.circuits, 'power.circuits', 'circuit', id);

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

const applyTo = (plan: Plan, edit: Edit): void => {
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

/** One change to a draft, with the patches there and back. The draft type is the plan's own: it is mutable data. */
const changing = (plan: Plan, change: (draft: Plan) => void): [Plan, RawPatch[], RawPatch[]] => {
  const [next, forward, back] = create(plan as object, (draft) => change(draft as Plan), {
    enablePatches: { pathAsArray: true, arrayLengthAssignment: false },
  });
  return [next as Plan, forward, back];
};

interface RawPatch {
  readonly op: string;
  readonly path: (string | number)[];
  readonly value?: unknown;
}

const toPatches = (raw: readonly RawPatch[]): Patch[] =>
  raw.map(({ op, path, value }) => ({
    op: op as Patch['op'],
    path: [...path],
    ...(op === 'remove' ? {} : { value: value as NonNullable<Patch['value']> }),
  }));

const refused = (field: string, message: string): Refused => ({ ok: false, errors: [{ field, message, range: '' }] });

/**
 * Applies edits that were taken once already: a boat's history, which others' edits belong to.
 * Refused as a whole when one edit speaks of what is not there or when the plan would no longer obey its schema.
 */
export const replayEdits = (plan: Plan, edits: readonly Edit[]): Applied | Refused => {
  const patches: Patch[] = [];
  let inverse: Patch[] = [];
  let current = plan;
  try {
    for (const edit of edits) {
      const step = (change: (draft: Plan) => void): void => {
        const [next, forward, back] = changing(current, change);
        current = next;
        patches.push(...toPatches(forward));
        inverse = [...toPatches(back), ...inverse];
      };
      step((draft) => applyTo(draft, edit));
      if (edit.type !== 'restore') continue;
      // Patches may hold anything: nothing else looks at the plan before the schema has.
      const fault = planSchema.safeParse(current);
      if (!fault.success) return { ok: false, errors: fieldErrors(fault.error, planSchema) };
      step(straighten);
    }
  } catch (error) {
    if (error instanceof EditRefused) return refused(error.field, error.message);
    if (error instanceof NoSuchPlace) return refused('patches', 'What this would restore is no longer there.');
    throw error;
  }
  const valid = planSchema.safeParse(current);
  if (!valid.success) return { ok: false, errors: fieldErrors(valid.error, planSchema) };
  return { ok: true, plan: current, patches, inverse };
};

/**
 * Applies edits in order to a plan and gives the new plan with the patches there and back. The plan given stays as it is.
 * Refused as a whole when one edit speaks of what is not there, when the plan would no longer obey its schema, and when
 * something new would hang on what is not there: pages of a display that is gone.
 */
export const applyEdits = (plan: Plan, edits: readonly Edit[]): Applied | Refused => {
  const applied = replayEdits(plan, edits);
  // Every other edit looks at what it speaks of itself.
  if (!applied.ok || !edits.some(({ type }) => type === 'restore')) return applied;
  const before = new Set(dangling(plan).map((path) => path.join('/')));
  const lost = dangling(applied.plan).find((path) => !before.has(path.join('/')));
  return lost
    ? refused(lost.join('.'), 'What this would restore belongs to something that is no longer there.')
    : applied;
};

/** The edits that take edits back. */
export const undoing = (inverse: readonly Patch[]): Edit[] =>
  inverse.length === 0 ? [] : [{ type: 'restore', patches: [...inverse] }];
