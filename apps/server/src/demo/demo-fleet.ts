import {
  applyEdits,
  cardFingerprint,
  cardOf,
  depthOffsetFingerprint,
  depthOffsetInputs,
  depthOffsetResult,
  soundSpeedDownTo,
} from '@grey-keel/core';
import {
  emptyPlan,
  type Boat,
  type Circuit,
  type Edit,
  type FittedDisplay,
  type Layout,
  type Load,
  type Page,
  type PageNumber,
  type Plan,
  type Readout,
  type Source,
  type Transducer,
  type UnitSettings,
  type View,
  type Water,
  type WaySet,
} from '@grey-keel/model';
import { shippedCatalogue, shippedSockets } from '../catalogue/shipped.ts';

/** One boat of the demo: her plan as it was made, and the edits since, each at its own time. */
export interface DemoBoat {
  readonly id: string;
  readonly start: Plan;
  readonly madeAt: string;
  readonly revisions: readonly { readonly edits: readonly Edit[]; readonly at: string }[];
}

const knots = (speed: number): number => Math.round(((speed * 1852) / 3600) * 1000) / 1000;
const day = 86_400_000;

type Place = Pick<Transducer, 'mounting' | 'forwardM' | 'starboardM' | 'aboveKeelM' | 'workingBeam'>;

const fromCatalogue = (entryId: string, place: Place, transmitsIn: WaySet): Transducer => {
  const entry = shippedCatalogue.find(({ id }) => id === entryId);
  if (entry?.item.type !== 'transducer') throw new Error(`The catalogue ships no transducer "${entryId}".`);
  return { ...entry.item.element, catalogue: { entryId, version: 1 }, ...place, transmitsIn };
};

const displayFrom = (entryId: string, changes: Partial<FittedDisplay> = {}): FittedDisplay => {
  const entry = shippedCatalogue.find(({ id }) => id === entryId);
  if (entry?.item.type !== 'display') throw new Error(`The catalogue ships no display "${entryId}".`);
  const { type: _type, sockets: _sockets, travellingSettings: travels, ...screen } = entry.item;
  return {
    ...screen,
    catalogue: { entryId, version: 1 },
    seatedDistanceM: null,
    readAtNight: false,
    travels,
    ...changes,
  };
};

/** Bands of views with their weights: `[[2, 'side-scan'], [1, 'chart', 'sounder']]`. */
const layoutOf = (
  bandsLie: Layout['bandsLie'],
  ...bands: readonly (readonly [share: number, ...views: View[]])[]
): Layout => ({
  bandsLie,
  bands: bands.map(([share, ...views]) => ({
    share: share / 4,
    panes: views.map((view) => ({ share: 0.5, view, rangeM: null })),
  })),
});

const number = (shows: Readout, heightPx: number, x: number, y: number): PageNumber => ({ shows, heightPx, x, y });

/** What a display shows in a water over a known bottom, with a face so far below the waterline. */
const shownOver = (water: Water, leadLineM: number, missedM: number, assumedMps: number, setM: number): number => {
  const { soundSpeedMps } = soundSpeedDownTo(water, leadLineM);
  return Math.round((((leadLineM - missedM) * assumedMps) / soundSpeedMps + setM) * 100) / 100;
};

interface Readings {
  readonly transducerId: string;
  readonly water: Water;
  readonly assumedMps: number;
  readonly setM: number;
  /** Lead line, and what the sounder missed at that reading. */
  readonly pairs: readonly (readonly [leadLineM: number, missedM: number])[];
}

const readingEdits = ({ transducerId, water, assumedMps, setM, pairs }: Readings): Edit[] => [
  {
    type: 'describeDepthOffset',
    transducerId,
    changes: {
      displaySetTo: 'own figure',
      soundSpeedAssumedMps: assumedMps,
      takenIn: { temperatureC: water.temperatureC, salinityPpt: water.salinityPpt },
      offsetSetM: setM,
      displayResolutionM: 0.01,
    },
  },
  ...pairs.map(([leadLineM, missedM], i): Edit => ({
    type: 'recordReading',
    transducerId,
    readingId: `a${i + 1}`,
    reading: { leadLineM, displayedM: shownOver(water, leadLineM, missedM, assumedMps, setM), leftOut: false },
  })),
];

const after = (plan: Plan, edits: readonly Edit[]): Plan => {
  const applied = applyEdits(plan, edits);
  if (!applied.ok) throw new Error(`Demo data: ${applied.errors[0]?.message ?? ''}`);
  return applied.plan;
};

const enter = (plan: Plan, transducerId: string, at: string): Edit => {
  const inputs = depthOffsetInputs(plan, transducerId);
  const result = inputs && depthOffsetResult(inputs);
  if (!inputs || !result?.known) throw new Error(`Demo data: ${transducerId} has no offset to enter.`);
  return {
    type: 'enterDepthOffset',
    transducerId,
    entered: {
      offsetM: result.answer.offsetM,
      standardErrorM: result.answer.standardErrorM,
      at,
      fingerprint: depthOffsetFingerprint(inputs),
      inputs: JSON.parse(JSON.stringify(inputs)) as never,
    },
  };
};

const boatOf = (changes: Partial<Boat> & { name: string }): Plan => {
  const plan = emptyPlan(changes.name);
  return { ...plan, boat: { ...plan.boat, ...changes } };
};

const lakeOstrel: Water = {
  name: 'Lake Ostrel',
  kind: 'fresh',
  salinityPpt: 0,
  temperatureC: 9,
  coldestC: 4,
  warmestC: 16,
  shallowestM: 4,
  usualDeepestM: 45,
  greatestM: 140,
  clarity: 'clear',
};

/** Three stations and their pages. One number is too small, and a page added later has taken the place a key opens. */
const wrenScreens = (): Pick<Plan, 'displays' | 'pages' | 'keys'> => {
  const page = (
    stationId: string,
    place: number,
    name: string,
    shownIn: WaySet,
    layout: Layout,
    numbers: Page['numbers'],
  ): Page => ({ stationId, place, name, shownIn, layout, numbers });
  const [port, starboard, bow] = ['a-helm-port', 'b-helm-starboard', 'c-bow'] as const;
  const depth = { depth: number('depth', 64, 0.42, 0.04) };
  return {
    displays: {
      [port]: displayFrom('display-12-four-keys'),
      [starboard]: displayFrom('display-10-place-keys'),
      [bow]: displayFrom('display-12-glass'),
    },
    pages: {
      'a1-run': page(port, 1, 'Run', { running: true }, layoutOf('columns', [3, 'chart'], [1, 'sounder']), depth),
      'a2-search': page(
        port,
        2,
        'Search',
        { searching: true },
        layoutOf('rows', [2, 'chart', 'sounder'], [2, 'side-scan']),
        {
          depth: number('depth', 64, 0.44, 0.04),
          speed: number('speed', 40, 0.02, 0.58),
          temperature: number('water temperature', 40, 0.02, 0.04),
          time: number('time', 44, 0.8, 0.58),
          voltage: number('voltage', 14, 0.9, 0.05),
        },
      ),
      'a3-troll': page(
        port,
        3,
        'Troll',
        { trolling: true, 'on the spot': true },
        layoutOf('columns', [2, 'chart'], [2, 'sounder']),
        depth,
      ),
      'b1-run': page(starboard, 1, 'Run', { running: true }, layoutOf('columns', [3, 'chart'], [1, 'sounder']), {}),
      'b2-sides': page(starboard, 2, 'Sides', { searching: true }, layoutOf('rows', [4, 'side-scan']), {}),
      'b3-water': page(starboard, 3, 'Water', { trolling: true }, layoutOf('rows', [4, 'sounder']), {
        depth: number('depth', 72, 0.05, 0.05),
        temperature: number('water temperature', 40, 0.05, 0.2),
      }),
      'b4-troll': page(
        starboard,
        4,
        'Jig',
        { 'on the spot': true },
        layoutOf('columns', [2, 'sounder'], [2, 'chart']),
        {},
      ),
      'c1-run': page(bow, 1, 'Chart', { running: true }, layoutOf('columns', [2, 'chart'], [2, 'sounder']), {}),
      'c2-ahead': page(
        bow,
        2,
        'Ahead',
        { searching: true, 'on the spot': true },
        layoutOf('columns', [3, 'forward-facing'], [1, 'chart', 'sounder']),
        { depth: number('depth', 96, 0.03, 0.05) },
      ),
      'c3-troll': page(bow, 3, 'Troll', { trolling: true }, layoutOf('columns', [2, 'sounder'], [2, 'chart']), {}),
    },
    keys: {
      [port]: {
        '1-short': { does: 'page', pageId: 'a1-run', place: null },
        '1-long': { does: 'stop transmitting' },
        '2-short': { does: 'page', pageId: 'a2-search', place: null },
        '2-long': { does: 'record' },
        '3-short': { does: 'page', pageId: 'a3-troll', place: null },
        '3-long': { does: 'mark', mark: 'hazard' },
        '4-short': { does: 'mark', mark: 'seen' },
        '4-long': { does: 'hold position' },
      },
      [starboard]: {
        '1-short': { does: 'page', pageId: 'b1-run', place: 1 },
        '2-short': { does: 'page', pageId: 'b2-sides', place: 2 },
        '3-short': { does: 'page', pageId: 'b4-troll', place: 3 },
        '4-short': { does: 'mark', mark: 'seen' },
        '4-long': { does: 'page', pageId: 'b3-water', place: 3 },
      },
    },
  };
};

const load = (
  name: string,
  deviceId: string | null,
  currentA: number,
  runsIn: WaySet,
  lowestV: number,
  highestV: number,
): Load => ({ name, deviceId, currentA, runsIn, lowestV, highestV });

const circuit = (
  changes: Pick<Circuit, 'name' | 'batteryId' | 'oneWayLengthM' | 'gauge' | 'fuseA' | 'loads'>,
): Circuit => ({
  conductor: 'stranded-tinned',
  temperatureC: 30,
  fuseFromPostM: 0.15,
  ...changes,
});

const source = (name: string, tag: string, changes: Partial<Source> = {}): Source => ({
  name,
  tag,
  selected: tag,
  temperature: 'none',
  appearsAfterS: 40,
  ...changes,
});

const unit = (
  waterType: UnitSettings['waterType'],
  done: UnitSettings['done'],
  alarms: UnitSettings['alarms'] = {},
): UnitSettings => ({
  waterType,
  antennaOffsetSet: true,
  depthUnit: 'm',
  depthStep: 0.1,
  north: 'true',
  sidesRight: 'right',
  done,
  alarms,
});

/** Where everything is and what it hangs on. Two sources share a name, and one screen takes its depth from the bow unit. */
const wrenFit = (): Pick<Plan, 'equipment' | 'power' | 'network' | 'sources' | 'feeds' | 'units'> => {
  const [port, starboard, bow] = ['a-helm-port', 'b-helm-starboard', 'c-bow'] as const;
  const awake: WaySet = { running: true, searching: true, trolling: true, 'on the spot': true };
  const { sounder, imaging, network } = shippedSockets;
  return {
    equipment: {
      'a-propeller': {
        name: 'Port propeller',
        kind: 'propeller',
        forwardM: -0.65,
        starboardM: -0.85,
        aboveKeelM: -0.02,
        propellerDiameterM: 0.35,
      },
      'b-propeller': {
        name: 'Starboard propeller',
        kind: 'propeller',
        forwardM: -0.65,
        starboardM: 0.85,
        aboveKeelM: -0.02,
        propellerDiameterM: 0.35,
      },
      'c-motor': {
        name: 'Bow motor',
        kind: 'bow motor',
        forwardM: 7.3,
        starboardM: 0.3,
        aboveKeelM: -0.1,
        propellerDiameterM: 0.28,
      },
      'd-antenna': {
        name: 'Antenna',
        kind: 'position antenna',
        forwardM: 2,
        starboardM: 0,
        aboveKeelM: 2.6,
        propellerDiameterM: null,
      },
      'e-compass': {
        name: 'Heading sensor',
        kind: 'heading sensor',
        forwardM: 3.6,
        starboardM: 0,
        aboveKeelM: 0.9,
        propellerDiameterM: null,
      },
      'f-battery': {
        name: 'Battery box',
        kind: 'battery box',
        forwardM: 1.2,
        starboardM: 0,
        aboveKeelM: 0.6,
        propellerDiameterM: null,
      },
      'g-module': {
        name: 'Sounder module',
        kind: 'sounder module',
        forwardM: 3.4,
        starboardM: 0.5,
        aboveKeelM: 1.1,
        propellerDiameterM: null,
      },
    },
    power: {
      batteries: {
        'a-start': {
          name: 'Start battery',
          chemistry: 'lead-acid',
          nominalV: 12,
          capacityAh: 90,
          capacityLeft: 0.9,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 250,
          chargingV: 14.6,
        },
        'b-sonar': {
          name: 'Sonar battery',
          chemistry: 'lithium',
          nominalV: 12,
          capacityAh: 120,
          capacityLeft: 0.95,
          peukert: 1.05,
          internalOhm: 0.008,
          crankingA: 0,
          chargingV: 14.4,
        },
      },
      circuits: {
        'a-helm': circuit({
          name: 'Helm displays',
          batteryId: 'b-sonar',
          oneWayLengthM: 3.2,
          gauge: '6 mm2',
          fuseA: 15,
          loads: {
            'a-port': load('Helm, port', port, 3.6, awake, 10, 17),
            'b-starboard': load('Helm, starboard', starboard, 2.4, awake, 10, 17),
          },
        }),
        'b-bow': circuit({
          name: 'Bow',
          batteryId: 'b-sonar',
          oneWayLengthM: 6.5,
          gauge: '10 mm2',
          fuseA: 15,
          loads: {
            'a-display': load(
              'Bow display',
              bow,
              3.2,
              { searching: true, trolling: true, 'on the spot': true },
              10,
              17,
            ),
            'b-ahead': load(
              'Forward-facing module',
              'g-module',
              2.1,
              { searching: true, 'on the spot': true },
              10.5,
              17,
            ),
          },
        }),
      },
      hours: { running: 1, searching: 2, trolling: 3, 'on the spot': 2 },
    },
    network: {
      links: {
        'a-wide': { to: port, plug: 'sounder, nine-pin', adapterDisables: null, cableM: 9 },
        'b-narrow': { to: 'g-module', plug: 'sounder, nine-pin', adapterDisables: null, cableM: 7.5 },
        'c-sides': { to: port, plug: 'imaging, twelve-pin', adapterDisables: null, cableM: 9 },
        'd-ahead': { to: 'g-module', plug: network.plug, adapterDisables: null, cableM: 6 },
      },
      devices: {
        [port]: { sockets: [sounder, imaging, network], onBackbone: true, dropM: 1.5, loads: 3 },
        [starboard]: { sockets: [imaging, network], onBackbone: true, dropM: 1.5, loads: 3 },
        [bow]: { sockets: [network], onBackbone: true, dropM: 2.5, loads: 3 },
        'd-antenna': { sockets: [], onBackbone: true, dropM: 3, loads: 2 },
        'e-compass': { sockets: [], onBackbone: true, dropM: 0.5, loads: 2 },
        'g-module': { sockets: [sounder, network], onBackbone: true, dropM: 1, loads: 2 },
      },
      backbone: { lengthM: 8.5, terminators: 2, supplies: 1, supplyA: 3 },
    },
    sources: {
      'a-wide': source('Hull port 190', 'Through-hull wide 190, built-in sensor', { temperature: 'built in' }),
      'b-narrow': source('Stern 880', 'Transom narrow 95/210'),
      'c-sides': source('Stern 880', 'Side-scan 430/880'),
      'd-ahead': source('Bow motor 880', 'Forward-facing 880', { appearsAfterS: 150 }),
    },
    feeds: {
      [port]: {
        depth: { sourceId: 'a-wide', fallbackId: 'b-narrow' },
        'water temperature': { sourceId: 'a-wide', fallbackId: null },
        heading: { sourceId: 'e-compass', fallbackId: null },
        position: { sourceId: 'd-antenna', fallbackId: null },
      },
      [starboard]: {
        depth: { sourceId: 'd-ahead', fallbackId: null },
        'water temperature': { sourceId: 'a-wide', fallbackId: null },
      },
      [bow]: {
        depth: { sourceId: 'a-wide', fallbackId: 'b-narrow' },
        heading: { sourceId: 'e-compass', fallbackId: null },
      },
    },
    units: {
      [port]: unit('fresh', { 'blank card in': true }, { shallowM: 1.5, lowVoltageV: 12.9 }),
      [starboard]: unit('fresh', {}),
      [bow]: { ...unit('fresh', {}), sidesRight: 'not looked at' },
    },
  };
};

/** Half commissioned: the boat the demo opens on, with faults planted for the findings to name. */
const sableWren = (now: Date): DemoBoat => {
  const at = (daysAgo: number): string => new Date(now.getTime() - daysAgo * day).toISOString();
  const start: Plan = {
    ...boatOf({
      name: 'Sable Wren',
      lengthM: 7.4,
      beamM: 2.55,
      draughtM: 0.62,
      hullForm: 'catamaran',
      hullMaterial: 'aluminium',
      propulsion: 'twin outboards',
      cruiseSpeedMps: knots(24),
      topSpeedMps: knots(33),
      systemVoltageV: 12,
      bowMotor: true,
      notes: 'Guided trips for char along ledges, jigging over schools. Electric bow motor.',
    }),
    stations: {
      'a-helm-port': {
        name: 'Helm, port',
        viewingDistanceM: 0.95,
        posture: 'standing',
        place: { forwardM: 3.3, starboardM: 0.2, aboveKeelM: 1.9 },
        eyeAboveKeelM: 2.75,
        mount: 'fixed',
      },
      'b-helm-starboard': {
        name: 'Helm, starboard',
        viewingDistanceM: 0.95,
        posture: 'standing',
        place: { forwardM: 3.3, starboardM: 0.65, aboveKeelM: 1.9 },
      },
      'c-bow': {
        name: 'Bow',
        viewingDistanceM: 1.4,
        posture: 'standing',
        place: { forwardM: 6.6, starboardM: -0.3, aboveKeelM: 1.4 },
      },
    },
    waters: { 'a-ostrel': lakeOstrel },
    sought: { char: { name: 'Char', lengthCm: 45, shallowestM: 18, deepestM: 45, over: 'ledges' } },
    ways: { running: true, searching: true, trolling: true, 'on the spot': true, trailer: true },
    working: { waterId: 'a-ostrel', depthM: 32 },
    transducers: {
      'a-wide': fromCatalogue(
        'through-hull-wide-190',
        { mounting: 'through-hull', forwardM: 2.1, starboardM: -0.85, aboveKeelM: 0.12, workingBeam: 0 },
        { running: true, searching: true, trolling: true },
      ),
      'b-narrow': fromCatalogue(
        'transom-narrow-95-210',
        { mounting: 'transom', forwardM: -0.1, starboardM: 0.95, aboveKeelM: 0.23, workingBeam: 1 },
        { trolling: true, 'on the spot': true },
      ),
      'c-sides': fromCatalogue(
        'side-scan-430-880',
        { mounting: 'transom', forwardM: -0.1, starboardM: -0.6, aboveKeelM: 0.2, workingBeam: 1 },
        { searching: true },
      ),
      'd-ahead': fromCatalogue(
        'forward-facing-880',
        { mounting: 'bow motor', forwardM: 7.2, starboardM: 0.3, aboveKeelM: 0.1, workingBeam: 0 },
        { searching: true, 'on the spot': true },
      ),
    },
    ...wrenScreens(),
    ...wrenFit(),
  };
  const wide = readingEdits({
    transducerId: 'a-wide',
    water: lakeOstrel,
    assumedMps: 1443,
    setM: 0,
    pairs: [
      [5.2, 0.49],
      [8.1, 0.52],
      [13.4, 0.5],
      [16.2, 0.51],
    ],
  });
  const measured = after(start, wide);
  const narrow = readingEdits({
    transducerId: 'b-narrow',
    water: lakeOstrel,
    assumedMps: 1443,
    setM: -0.39,
    pairs: [
      [5.2, 0.37],
      [8.1, 0.41],
      [13.41, 0.39],
      [16.2, 0.4],
      [10.7, 0.83],
    ],
  });
  return {
    id: 'sable-wren',
    start,
    madeAt: at(12),
    revisions: [
      { edits: wide, at: at(9) },
      { edits: [enter(measured, 'a-wide', at(9))], at: at(9) },
      { edits: [{ type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.2 } }], at: at(3) },
      { edits: narrow, at: at(1) },
    ],
  };
};

/** Her brief is there, and no transducer yet. */
const pewterSkua = (now: Date): DemoBoat => ({
  id: 'pewter-skua',
  madeAt: new Date(now.getTime() - 2 * day).toISOString(),
  revisions: [],
  start: {
    ...boatOf({
      name: 'Pewter Skua',
      lengthM: 5.3,
      beamM: 2,
      draughtM: 0.25,
      hullForm: 'flat-bottomed',
      hullMaterial: 'cored composite',
      propulsion: 'single outboard',
      cruiseSpeedMps: knots(18),
      topSpeedMps: knots(26),
      systemVoltageV: 12,
      notes: 'Tiller skiff, drifts over reef edges. One display.',
    }),
    stations: { tiller: { name: 'Tiller', viewingDistanceM: 0.8, posture: 'seated' } },
    waters: {
      'a-sound': {
        name: 'Tarrow Sound',
        kind: 'salt',
        salinityPpt: 34,
        temperatureC: 12,
        coldestC: 7,
        warmestC: 17,
        shallowestM: 3,
        usualDeepestM: 40,
        greatestM: 70,
        clarity: 'mixed',
      },
    },
    sought: {
      'a-pollack': { name: 'Pollack', lengthCm: 60, shallowestM: 8, deepestM: 40, over: 'rock' },
      'b-wrasse': { name: 'Wrasse', lengthCm: 35, shallowestM: 3, deepestM: 20, over: 'rock' },
    },
    ways: { running: true, drifting: true, trailer: true },
    working: { waterId: 'a-sound', depthM: 18 },
    displays: { tiller: displayFrom('display-7-four-keys') },
  },
});

const gannetDeep: Water = {
  name: 'Gannet Deep',
  kind: 'salt',
  salinityPpt: 35,
  temperatureC: 8,
  coldestC: 5,
  warmestC: 13,
  shallowestM: 40,
  usualDeepestM: 300,
  greatestM: 420,
  clarity: 'mixed',
};

/** Where everything is aboard Old Marl, what it hangs on and what each screen listens to. */
const marlFit = (): Pick<Plan, 'equipment' | 'power' | 'network' | 'sources' | 'feeds' | 'units'> => {
  const awake: WaySet = { running: true, drifting: true, anchored: true };
  const feeds = {
    depth: { sourceId: 'deep', fallbackId: null },
    heading: { sourceId: 'c-compass', fallbackId: null },
    position: { sourceId: 'b-antenna', fallbackId: null },
    'water temperature': { sourceId: 'd-log', fallbackId: null },
    'speed through water': { sourceId: 'd-log', fallbackId: null },
  };
  const kept: UnitSettings['done'] = {
    'nuisance alarms off': true,
    'menus that hide off': true,
    'unused pages hidden': true,
    'brightness set': true,
    'blank card in': true,
    'chart card in': true,
  };
  const alarms = { shallowM: 5, lowVoltageV: 24.3, engineTemperatureC: 95 };
  const at = (forwardM: number, starboardM: number, aboveKeelM: number) => ({ forwardM, starboardM, aboveKeelM });
  return {
    equipment: {
      'a-propeller': { name: 'Propeller', kind: 'propeller', ...at(0.9, 0, 0.35), propellerDiameterM: 0.6 },
      'b-antenna': { name: 'Antenna', kind: 'position antenna', ...at(4.9, 0, 5.4), propellerDiameterM: null },
      'c-compass': { name: 'Heading sensor', kind: 'heading sensor', ...at(7.4, 0, 1.6), propellerDiameterM: null },
      'd-log': {
        name: 'Log',
        kind: 'speed and temperature sensor',
        ...at(4.6, -0.5, 0.45),
        propellerDiameterM: null,
      },
      'e-battery': { name: 'Battery box', kind: 'battery box', ...at(3.6, 0.6, 0.9), propellerDiameterM: null },
    },
    power: {
      batteries: {
        'a-house': {
          name: 'House battery',
          chemistry: 'lead-acid',
          nominalV: 24,
          capacityAh: 220,
          capacityLeft: 0.9,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 0,
          chargingV: 28.8,
        },
      },
      circuits: {
        'a-wheelhouse': circuit({
          name: 'Wheelhouse',
          batteryId: 'a-house',
          oneWayLengthM: 5.4,
          gauge: '6 mm2',
          fuseA: 10,
          loads: { 'a-display': load('Wheelhouse display and sounder', 'a-wheelhouse', 4.5, awake, 10, 35) },
        }),
        'b-flybridge': circuit({
          name: 'Flybridge',
          batteryId: 'a-house',
          oneWayLengthM: 8.2,
          gauge: '4 mm2',
          fuseA: 5,
          loads: { 'a-display': load('Flybridge display', 'b-flybridge', 1.4, awake, 10, 35) },
        }),
      },
      hours: { running: 3, drifting: 5, anchored: 2 },
    },
    network: {
      links: { deep: { to: 'a-wheelhouse', plug: shippedSockets.imaging.plug, adapterDisables: null, cableM: 10 } },
      devices: {
        'a-wheelhouse': {
          sockets: [shippedSockets.imaging, shippedSockets.network],
          onBackbone: true,
          dropM: 1,
          loads: 3,
        },
        'b-flybridge': { sockets: [shippedSockets.imaging], onBackbone: true, dropM: 4, loads: 3 },
        'b-antenna': { sockets: [], onBackbone: true, dropM: 4.5, loads: 2 },
        'c-compass': { sockets: [], onBackbone: true, dropM: 2, loads: 2 },
        'd-log': { sockets: [], onBackbone: true, dropM: 3, loads: 1 },
      },
      backbone: { lengthM: 11, terminators: 2, supplies: 1, supplyA: 3 },
    },
    sources: {
      deep: source('Hull starboard 45', 'Through-hull deep dual 45/95'),
      'b-antenna': source('Mast antenna', 'Antenna'),
      'c-compass': source('Forepeak compass', 'Heading sensor'),
      'd-log': source('Hull port log', 'Log', { temperature: 'built in' }),
    },
    feeds: { 'a-wheelhouse': feeds, 'b-flybridge': feeds },
    units: { 'a-wheelhouse': unit('salt', kept, alarms), 'b-flybridge': unit('salt', kept, alarms) },
  };
};

/** Commissioned three months ago without a finding; since then her transducer was replaced. */
const oldMarl = (now: Date): DemoBoat => {
  const at = (daysAgo: number): string => new Date(now.getTime() - daysAgo * day).toISOString();
  const start: Plan = {
    ...boatOf({
      name: 'Old Marl',
      lengthM: 11.8,
      beamM: 3.6,
      draughtM: 1.1,
      hullForm: 'displacement',
      hullMaterial: 'wood',
      propulsion: 'inboard shaft',
      cruiseSpeedMps: knots(8),
      topSpeedMps: knots(9.5),
      systemVoltageV: 24,
      notes: 'Drifts over a deep bank edge; training trips.',
    }),
    stations: {
      'a-wheelhouse': {
        name: 'Wheelhouse',
        viewingDistanceM: 0.9,
        posture: 'both',
        place: { forwardM: 6.2, starboardM: 0.4, aboveKeelM: 2.6 },
        eyeAboveKeelM: 3.7,
        mount: 'fixed',
      },
      'b-flybridge': {
        name: 'Flybridge',
        viewingDistanceM: 0.85,
        posture: 'standing',
        place: { forwardM: 5.1, starboardM: 0, aboveKeelM: 4.6 },
      },
    },
    waters: { gannet: gannetDeep },
    sought: { ling: { name: 'Ling', lengthCm: 110, shallowestM: 80, deepestM: 300, over: 'rock' } },
    ways: { running: true, drifting: true, anchored: true },
    working: { waterId: 'gannet', depthM: 180 },
    transducers: {
      deep: fromCatalogue(
        'through-hull-deep-dual-45-95',
        { mounting: 'through-hull', forwardM: 4.2, starboardM: 0.5, aboveKeelM: 0.5, workingBeam: 0 },
        { running: true, drifting: true, anchored: true },
      ),
    },
    displays: {
      'a-wheelhouse': displayFrom('display-9-six-keys', { seatedDistanceM: 1.1, readAtNight: true }),
      'b-flybridge': displayFrom('display-7-wide-sockets'),
    },
    pages: {
      'a1-run': {
        stationId: 'a-wheelhouse',
        name: 'Run',
        place: 1,
        shownIn: { running: true },
        layout: layoutOf('columns', [3, 'chart'], [1, 'sounder']),
        numbers: { depth: number('depth', 72, 0.78, 0.04), speed: number('speed', 56, 0.03, 0.04) },
      },
      'a2-bank': {
        stationId: 'a-wheelhouse',
        name: 'Bank',
        place: 2,
        shownIn: { drifting: true, anchored: true },
        layout: layoutOf('columns', [1, 'chart'], [3, 'sounder']),
        numbers: { depth: number('depth', 80, 0.3, 0.04) },
      },
      'b1-run': {
        stationId: 'b-flybridge',
        name: 'All',
        place: 1,
        shownIn: { running: true, drifting: true, anchored: true },
        layout: layoutOf('columns', [2, 'chart'], [2, 'sounder']),
        numbers: { depth: number('depth', 64, 0.55, 0.05) },
      },
    },
    keys: {
      'a-wheelhouse': {
        '1-short': { does: 'page', pageId: 'a1-run', place: null },
        '2-short': { does: 'page', pageId: 'a2-bank', place: null },
        '3-short': { does: 'mark', mark: 'seen' },
        '6-long': { does: 'stop transmitting' },
      },
      'b-flybridge': { '1-short': { does: 'page', pageId: 'b1-run', place: null } },
    },
    ...marlFit(),
  };
  const readings = readingEdits({
    transducerId: 'deep',
    water: gannetDeep,
    assumedMps: 1500,
    setM: 0,
    pairs: [
      [6.1, 0.6],
      [8.4, 0.58],
      [11.2, 0.61],
      [14.8, 0.62],
      [19.5, 0.59],
      [25.3, 0.6],
    ],
  });
  const measured = after(start, readings);
  const entering = enter(measured, 'deep', at(91));
  const commissioned = after(measured, [entering]);
  const replacement = fromCatalogue(
    'through-hull-dual-45-190',
    { mounting: 'through-hull', forwardM: 4.2, starboardM: 0.5, aboveKeelM: 0.46, workingBeam: 0 },
    {},
  );
  const { transmitsIn: _kept, ...changes } = replacement;
  return {
    id: 'old-marl',
    start,
    madeAt: at(95),
    revisions: [
      { edits: readings, at: at(91) },
      { edits: [entering], at: at(91) },
      {
        edits: [
          {
            type: 'printCard',
            id: 'card-1',
            card: { at: at(91), fingerprint: cardFingerprint(cardOf(commissioned)) },
          },
        ],
        at: at(91),
      },
      { edits: [{ type: 'describeTransducer', id: 'deep', changes }], at: at(6) },
    ],
  };
};

/** The revision at which Old Marl was commissioned, before her transducer was replaced. */
export const oldMarlCommissionedAt = 3;

export const demoFleet = (now: Date): readonly DemoBoat[] => [sableWren(now), pewterSkua(now), oldMarl(now)];
