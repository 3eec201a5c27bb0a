import type { Edit, EditKind, EditOf, Plan } from '@grey-keel/model';
import { enters } from './set-at.ts';
import { aDisplay, aNumber, aPage, aPlan, aTransducer, aWater, edited, fitted, pair } from './sample-plan.ts';

/** What an edit of a kind is refused for by what the plan holds: for speaking of what is gone, or of what is there already. */
export type RefusedFor = 'gone' | 'taken' | null;

/** An edit of the kind that the sample plan takes, and what refuses one of the kind. */
export interface EditSample<E extends Edit = Edit> {
  readonly edit: E;
  readonly refusedFor: RefusedFor;
}

/** A run for the heading of the transducer at hand: a module with a compass in it. */
const headingRun = (readingId: string, headingDeg: number) =>
  ({
    type: 'recordCalibration',
    of: 'heading',
    sensorId: 'a-wide',
    readingId,
    reading: { headingDeg, sogMps: 3, cogDeg: 90, leftOut: false },
  }) as const;

/** The plan the samples are for: something of everything that can be described or removed. */
export const samplePlan = (): Plan => ({
  ...edited(
    fitted(aPlan()),
    { type: 'placeFish', id: 'f1', fish: { lengthCm: 60, forwardM: 0, starboardM: 1, depthM: 12 } },
    {
      type: 'placeEquipment',
      id: 'antenna',
      equipment: {
        name: 'Antenna',
        kind: 'position antenna',
        forwardM: 2,
        starboardM: 0,
        aboveKeelM: 3,
        propellerDiameterM: null,
      },
    },
    { type: 'addPage', id: 'p-run', page: aPage({ name: 'Run', place: 2, shownIn: { running: true } }) },
    { type: 'placeNumber', pageId: 'p-troll', id: 'n1', number: aNumber() },
    headingRun('run-1', 87),
    enters('a-wide', 'heading', 3),
    enters('helm', 'depth-offset', { offsetM: 0.3, reference: 'waterline' }, 'a-wide'),
    { type: 'addWater', id: 'mere', water: aWater({ name: 'Mere' }) },
    { type: 'describeBoat', changes: { beamM: 2.6 } },
  ),
  assumed: { 'boat/lengthM': true },
});

const battery = samplePlan().power.batteries['house']!;
const circuit = samplePlan().power.circuits['helm']!;
const gone = <E extends Edit>(edit: E): EditSample<E> => ({ edit, refusedFor: 'gone' });
const taken = <E extends Edit>(edit: E): EditSample<E> => ({ edit, refusedFor: 'taken' });
const always = <E extends Edit>(edit: E): EditSample<E> => ({ edit, refusedFor: null });

/** One of every kind there is: a kind without one does not compile. */
export const editSamples: { readonly [K in EditKind]: EditSample<EditOf<K>> } = {
  describeBoat: always({ type: 'describeBoat', changes: { lengthM: 8.1, name: 'Other Hull' } }),
  confirmAssumed: always({ type: 'confirmAssumed', places: ['boat/lengthM'] }),
  putLoading: always({ type: 'putLoading', id: 'full', loading: { name: 'Full', draughtM: 0.7 } }),
  putRestorePoint: always({
    type: 'putRestorePoint',
    id: 'before',
    point: { name: 'Before', number: 3, at: '2026-05-01T10:00:00Z' },
  }),
  putPhotograph: always({
    type: 'putPhotograph',
    id: 'transom',
    photograph: { caption: 'The transom', widthPx: 1400, heightPx: 1050, at: '2026-05-01T10:00:00Z' },
  }),
  addStation: taken({
    type: 'addStation',
    id: 'bow',
    station: { name: 'Bow', viewingDistanceM: 1.2, posture: 'standing' },
  }),
  describeStation: gone({ type: 'describeStation', id: 'helm', changes: { viewingDistanceM: 1.1 } }),
  removeStation: gone({ type: 'removeStation', id: 'helm' }),
  addWater: taken({ type: 'addWater', id: 'sound', water: aWater({ name: 'Other Pool' }) }),
  describeWater: gone({ type: 'describeWater', id: 'pool', changes: { temperatureC: 12 } }),
  removeWater: gone({ type: 'removeWater', id: 'pool' }),
  addSought: taken({
    type: 'addSought',
    id: 'pike',
    sought: { name: 'pike', lengthCm: null, shallowestM: 1, deepestM: 8, over: ['weed'] },
  }),
  describeSought: gone({ type: 'describeSought', id: 'char', changes: { lengthCm: 50 } }),
  removeSought: gone({ type: 'removeSought', id: 'char' }),
  useWay: always({ type: 'useWay', way: 'drifting', used: true }),
  workIn: gone({ type: 'workIn', waterId: 'mere' }),
  workAtDepth: always({ type: 'workAtDepth', depthM: 18 }),

  placeTransducer: taken({ type: 'placeTransducer', id: 'c-new', transducer: aTransducer({ name: 'New' }) }),
  describeTransducer: gone({ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.2 } }),
  removeTransducer: gone({ type: 'removeTransducer', id: 'b-narrow' }),
  transmitIn: gone({ type: 'transmitIn', id: 'a-wide', way: 'drifting', transmits: true }),
  weighBeams: always({ type: 'weighBeams', changes: { school: 'wide first' } }),
  setScene: always({ type: 'setScene', changes: { rollDeg: 7 } }),
  placeFish: taken({
    type: 'placeFish',
    id: 'f2',
    fish: { lengthCm: 40, forwardM: 1, starboardM: 0, depthM: 9 },
  }),
  describeFish: gone({ type: 'describeFish', id: 'f1', changes: { depthM: 15 } }),
  removeFish: gone({ type: 'removeFish', id: 'f1' }),

  placeEquipment: taken({
    type: 'placeEquipment',
    id: 'motor',
    equipment: {
      name: 'Motor',
      kind: 'propeller',
      forwardM: -0.4,
      starboardM: 0,
      aboveKeelM: -0.1,
      propellerDiameterM: 0.35,
    },
  }),
  describeEquipment: gone({ type: 'describeEquipment', id: 'antenna', changes: { forwardM: 1 } }),
  removeEquipment: gone({ type: 'removeEquipment', id: 'antenna' }),
  confirmPlaces: always({ type: 'confirmPlaces' }),
  addBattery: taken({ type: 'addBattery', id: 'spare', battery: { ...battery, name: 'Spare' } }),
  describeBattery: gone({ type: 'describeBattery', id: 'house', changes: { capacityAh: 80 } }),
  removeBattery: gone({ type: 'removeBattery', id: 'house' }),
  addCircuit: taken({ type: 'addCircuit', id: 'second', circuit: { ...circuit, name: 'Second' } }),
  describeCircuit: gone({ type: 'describeCircuit', id: 'helm', changes: { fuseA: 7.5 } }),
  removeCircuit: gone({ type: 'removeCircuit', id: 'helm' }),
  putLoad: gone({ type: 'putLoad', circuitId: 'helm', id: 'screen', load: null }),
  workHours: always({ type: 'workHours', way: 'trolling', hours: 6 }),
  connect: gone({
    type: 'connect',
    transducerId: 'a-wide',
    link: { to: 'helm', plug: 'round', adapterDisables: null, cableM: 6 },
  }),
  describeDevice: gone({ type: 'describeDevice', id: 'helm', changes: { onBackbone: true } }),
  describeBackbone: always({ type: 'describeBackbone', changes: { lengthM: 9 } }),

  describeSource: gone({ type: 'describeSource', id: 'a-wide', changes: { name: 'Wide, port' } }),
  feed: gone({ type: 'feed', stationId: 'helm', quantity: 'depth', feed: null }),
  setTimeToAct: gone({ type: 'setTimeToAct', stationId: 'helm', actInS: 14 }),

  describeDepthOffset: gone({ type: 'describeDepthOffset', transducerId: 'a-wide', changes: { offsetSetM: -0.2 } }),
  recordReading: taken({
    type: 'recordReading',
    transducerId: 'a-wide',
    readingId: 'r9',
    reading: pair(10, 9.5),
  }),
  correctReading: gone({
    type: 'correctReading',
    transducerId: 'a-wide',
    readingId: 'r2',
    changes: { leftOut: true },
  }),
  describeCalibration: gone({
    type: 'describeCalibration',
    of: 'temperature',
    sensorId: 'a-wide',
    changes: { setByC: 0.4, lagS: 30 },
  }),
  recordCalibration: taken(headingRun('run-2', 268)),
  correctCalibration: gone({
    type: 'correctCalibration',
    of: 'heading',
    sensorId: 'a-wide',
    readingId: 'run-1',
    changes: { leftOut: true },
  }),
  removeCalibrationReading: gone({
    type: 'removeCalibrationReading',
    of: 'heading',
    sensorId: 'a-wide',
    readingId: 'run-1',
  }),
  noteCalibration: gone({
    type: 'noteCalibration',
    of: 'tilt',
    sensorId: 'a-wide',
    entered: {
      values: [1.5],
      halfInterval95: 0.2,
      at: '2026-05-01T09:30:00Z',
      by: 'Installer',
      fingerprint: 'd'.repeat(64),
      inputs: {},
    },
  }),
  removeReading: gone({ type: 'removeReading', transducerId: 'a-wide', readingId: 'r4' }),

  readAsFound: gone({
    type: 'readAsFound',
    kind: 'north',
    deviceId: 'helm',
    ofId: 'helm',
    asFound: { value: 'magnetic', at: '2026-05-01T09:00:00Z', by: null },
  }),
  enterSetting: gone({
    type: 'enterSetting',
    kind: 'depth-offset',
    deviceId: 'helm',
    ofId: 'a-wide',
    asLeft: {
      value: { offsetM: 0.4, reference: 'waterline' },
      at: '2026-05-01T10:00:00Z',
      by: 'Installer',
      seenAgainAt: null,
      measured: { of: 'depth', fingerprint: 'b'.repeat(64), parts: {}, half95: 0.05, standardError: 0.02 },
    },
  }),
  seeAgain: gone({
    type: 'seeAgain',
    kind: 'heading',
    deviceId: 'a-wide',
    ofId: 'a-wide',
    at: '2026-05-02T09:30:00Z',
  }),
  forgetSetting: gone({ type: 'forgetSetting', kind: 'heading', deviceId: 'a-wide', ofId: 'a-wide' }),
  resetDevice: gone({
    type: 'resetDevice',
    deviceId: 'helm',
    id: 'r1',
    reset: { at: '2026-05-03T10:00:00Z', by: 'Installer', why: 'update', firmware: '4.1' },
  }),
  chooseSetting: gone({
    type: 'chooseSetting',
    kind: 'shallow-alarm',
    line: { deviceId: 'helm', ofId: 'helm' },
    value: 2,
  }),

  fitDisplay: gone({ type: 'fitDisplay', stationId: 'helm', display: aDisplay({ name: 'Another' }) }),
  describeDisplay: gone({ type: 'describeDisplay', stationId: 'helm', changes: { keys: 2 } }),
  removeDisplay: gone({ type: 'removeDisplay', stationId: 'helm' }),
  addPage: taken({ type: 'addPage', id: 'p-new', page: aPage({ name: 'New', place: 1, shownIn: {} }) }),
  describePage: gone({ type: 'describePage', id: 'p-troll', changes: { name: 'Slow' } }),
  movePage: gone({ type: 'movePage', id: 'p-troll', place: 2 }),
  removePage: gone({ type: 'removePage', id: 'p-troll' }),
  showPageIn: gone({ type: 'showPageIn', id: 'p-run', way: 'trolling', shown: true }),
  placeNumber: taken({ type: 'placeNumber', pageId: 'p-troll', id: 'n2', number: aNumber() }),
  describeNumber: gone({ type: 'describeNumber', pageId: 'p-troll', id: 'n1', changes: { x: 0.5 } }),
  removeNumber: gone({ type: 'removeNumber', pageId: 'p-troll', id: 'n1' }),

  bindKey: gone({ type: 'bindKey', stationId: 'helm', slot: '2-short', action: { does: 'mark', mark: 'seen' } }),
  printCard: always({ type: 'printCard', id: 'k1', card: { at: '2026-05-01T10:00:00Z', fingerprint: 'a'.repeat(64) } }),
  restore: gone({
    type: 'restore',
    patches: [{ op: 'replace', path: ['waters', 'pool', 'clarity'], value: 'turbid' }],
  }),
};
