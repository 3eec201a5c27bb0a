import type { DepthOffset, Page, PageNumber, Plan, Source, UnitSettings } from '@grey-keel/model';
import { EditRefused } from './edit-refused.ts';

export type Collection = 'stations' | 'waters' | 'sought' | 'transducers' | 'displays' | 'pages' | 'fish' | 'equipment';

export const words: Record<Collection, string> = {
  stations: 'station',
  waters: 'water',
  sought: 'thing sought',
  transducers: 'transducer',
  displays: 'display',
  pages: 'page',
  fish: 'fish',
  equipment: 'piece of equipment',
};

export const has = (record: object, key: string): boolean => Object.prototype.hasOwnProperty.call(record, key);

export const present = (plan: Plan, collection: Collection, id: string): void => {
  if (!has(plan[collection], id))
    throw new EditRefused(`${collection}.${id}`, `There is no ${words[collection]} "${id}" any more.`);
};

export const absent = (plan: Plan, collection: Collection, id: string): void => {
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

export const offsetOf = (plan: Plan, transducerId: string): DepthOffset => {
  present(plan, 'transducers', transducerId);
  plan.depthOffsets[transducerId] ??= newDepthOffset();
  return plan.depthOffsets[transducerId];
};

export const readingOf = (plan: Plan, transducerId: string, readingId: string) => {
  const offset = offsetOf(plan, transducerId);
  const reading = offset.readings[readingId];
  if (!reading)
    throw new EditRefused(
      `depthOffsets.${transducerId}.readings.${readingId}`,
      `There is no reading "${readingId}" any more.`,
    );
  return { offset, reading };
};

export const pageOf = (plan: Plan, id: string): Page => {
  const page = has(plan.pages, id) ? plan.pages[id] : undefined;
  if (!page) throw new EditRefused(`pages.${id}`, `There is no page "${id}" any more.`);
  return page;
};

export const numberOf = (plan: Plan, pageId: string, id: string): PageNumber => {
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
export const stood = <T>(record: Readonly<Record<string, T>>, path: string, word: string, id: string): T => {
  const found = has(record, id) ? record[id] : undefined;
  if (!found) throw new EditRefused(`${path}.${id}`, `There is no ${word} "${id}" any more.`);
  return found;
};
export const notYet = (record: object, path: string, word: string, id: string): void => {
  if (has(record, id)) throw new EditRefused(`${path}.${id}`, `There is a ${word} "${id}" already.`);
};
export const batteryOf = (plan: Plan, id: string) => stood(plan.power.batteries, 'power.batteries', 'battery', id);
export const circuitOf = (plan: Plan, id: string) => stood(plan.power.circuits, 'power.circuits', 'circuit', id);
