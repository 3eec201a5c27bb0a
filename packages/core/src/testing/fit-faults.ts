import type { Circuit, Edit, Equipment, Plan, Transducer } from '@grey-keel/model';
import { wireAmpacityA } from '../power/wire.ts';
import { suggestSourceName } from '../sources/source-names.ts';
import { aBeam, aPage, aPlan, aTransducer, edited, withEntered } from './sample-plan.ts';

export type Random = () => number;
const between = (random: Random, low: number, high: number): number => low + random() * (high - low);

const equipment = (kind: Equipment['kind'], at: readonly [number, number, number], d?: number): Equipment => ({
  name: kind,
  kind,
  forwardM: at[0],
  starboardM: at[1],
  aboveKeelM: at[2],
  propellerDiameterM: d ?? null,
});

/** A boat of random size whose fit, wires and sources have nothing wrong about them. */
export const soundBoat = (random: Random): Plan => {
  const base = aPlan();
  const lengthM = between(random, 5.5, 12);
  const display = Object.values(base.displays)[0]!;
  const currentA = between(random, 2, 5);
  const lithium = random() < 0.5;
  const awake = { trolling: true } as const;
  const fused = (name: string, deviceId: string, oneWayLengthM: number): Circuit => ({
    name,
    batteryId: 'house',
    oneWayLengthM,
    gauge: '10 mm2',
    conductor: 'stranded-tinned',
    temperatureC: between(random, 10, 40),
    fuseA: 10,
    fuseFromPostM: 0.1,
    loads: { screen: { name: 'Screen', deviceId, currentA, lowestV: 9, highestV: 17, runsIn: awake } },
  });
  const plan: Plan = {
    ...base,
    boat: {
      ...base.boat,
      lengthM,
      bowMotor: true,
      deadriseDeg: between(random, 2, 18),
      hullMaterial: 'solid laminate',
    },
    stations: {
      helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' },
      bow: { name: 'Bow', viewingDistanceM: 1, posture: 'standing' },
    },
    displays: { helm: display, bow: display },
    working: { waterId: 'pool', depthM: between(random, 20, 60) },
    transducers: {
      'a-hull': aTransducer({ forwardM: 2, starboardM: 0, aboveKeelM: 0.1, fairingDeg: 0 }),
      'b-stern': aTransducer({
        name: 'Stern 95',
        mounting: 'transom',
        forwardM: -0.1,
        starboardM: between(random, 0.5, 0.7),
        aboveKeelM: 0.15,
        beams: [aBeam({ frequencyHz: 95_000, beamwidthDeg: 20 })],
      }),
      'c-sides': aTransducer({
        name: 'Sides',
        kind: 'side-scan',
        mounting: 'transom',
        forwardM: -0.1,
        starboardM: -0.5,
        aboveKeelM: 0,
        beams: [aBeam({ frequencyHz: 430_000, beamwidthDeg: 50, alongDeg: 1 })],
      }),
      'd-ahead': aTransducer({
        name: 'Ahead',
        kind: 'forward-facing',
        mounting: 'bow motor',
        forwardM: lengthM - 0.1,
        starboardM: 0.3,
        beams: [aBeam({ frequencyHz: 880_000, beamwidthDeg: 90, alongDeg: 20 })],
      }),
    },
    equipment: {
      'a-propeller': equipment('propeller', [-0.7, 0, 0.25], between(random, 0.3, 0.4)),
      'b-antenna': equipment('position antenna', [1.6, 0, 2.4]),
      'c-compass': equipment('heading sensor', [3, 0, 1]),
      'd-battery': equipment('battery box', [1, 0.3, 0.6]),
    },
    power: {
      batteries: {
        house: {
          name: 'House',
          chemistry: lithium ? 'lithium' : 'lead-acid',
          nominalV: 12,
          capacityAh: between(random, 120, 240),
          capacityLeft: 1,
          peukert: 1.2,
          internalOhm: 0.006,
          crankingA: 0,
          chargingV: 14.4,
        },
      },
      circuits: {
        'a-helm': fused('Helm', 'helm', between(random, 1, 4)),
        'b-bow': fused('Bow', 'bow', between(random, 2, 5)),
      },
      hours: { trolling: 4 },
    },
  };
  const unit = {
    waterType: 'fresh',
    antennaOffsetSet: true,
    north: 'true',
    sidesRight: 'right',
    done: {},
  } as const;
  const feed = { sourceId: 'a-hull', fallbackId: 'b-stern' };
  const device = { sockets: ['nine-pin', 'nine-pin'], onBackbone: true, dropM: 2, loads: 3 };
  const link = { to: 'helm', plug: 'nine-pin', adapterDisables: null, cableM: 6 };
  const network: Plan['network'] = {
    links: { 'a-hull': link, 'b-stern': link, 'c-sides': { ...link, to: 'bow' }, 'd-ahead': { ...link, to: 'bow' } },
    devices: { helm: device, bow: device },
    backbone: { lengthM: between(random, 3, 30), terminators: 2, supplies: 1, supplyA: 3 },
  };
  const offset = base.depthOffsets['a-wide']!;
  const made: Plan = {
    ...Object.keys(plan.transducers).reduce(
      (made, id) =>
        edited(made, {
          type: 'describeSource',
          id,
          changes: { name: suggestSourceName(made, id), tag: `Type ${id}`, selected: `type  ${id}` },
        }),
      { ...plan, network },
    ),
    feeds: { helm: { depth: feed }, bow: { depth: feed } },
    units: { helm: { ...unit, alarms: { shallowM: 1.5, lowVoltageV: lithium ? 13 : 12.3 } }, bow: unit },
    depthOffsets: { 'a-hull': offset, 'b-stern': offset },
  };
  return withEntered(withEntered(made, 'a-hull'), 'b-stern');
};

/** One fault put in, and the same change made only nearly. */
export type Fault = (
  plan: Plan,
  random: Random,
) => { readonly faulty: readonly Edit[]; readonly nearly: readonly Edit[] };

const transducer = (id: string, changes: Partial<Transducer>): Edit => ({ type: 'describeTransducer', id, changes });
const piece = (id: string, changes: Partial<Equipment>): Edit => ({ type: 'describeEquipment', id, changes });
const helm = (changes: Partial<Omit<Circuit, 'loads'>>): Edit => ({ type: 'describeCircuit', id: 'a-helm', changes });
const house = (changes: Partial<Plan['power']['batteries'][string]>): Edit => ({
  type: 'describeBattery',
  id: 'house',
  changes,
});
const named = (id: string, changes: Partial<Plan['sources'][string]>): Edit => ({
  type: 'describeSource',
  id,
  changes,
});
const depthFrom = (sourceId: string): Edit => ({
  type: 'feed',
  stationId: 'helm',
  quantity: 'depth',
  feed: { sourceId, fallbackId: null },
});
const linked = (transducerId: string, changes: Partial<Plan['network']['links'][string]>): Edit => ({
  type: 'connect',
  transducerId,
  link: { to: 'bow', plug: 'nine-pin', adapterDisables: null, cableM: 6, ...changes },
});
const device = (changes: Partial<Plan['network']['devices'][string]>): Edit => ({
  type: 'describeDevice',
  id: 'bow',
  changes,
});
const unit = (changes: Partial<Plan['units'][string]>): Edit => ({ type: 'describeUnit', stationId: 'helm', changes });
const load = (plan: Plan, changes: Partial<Circuit['loads'][string]>): Edit => ({
  type: 'putLoad',
  circuitId: 'a-helm',
  id: 'screen',
  load: { ...plan.power.circuits['a-helm']!.loads['screen']!, ...changes },
});
const screenOf = (plan: Plan) => plan.power.circuits['a-helm']!.loads['screen']!;
const screenA = (plan: Plan): number => screenOf(plan).currentA;

/** By the id of the rule that has to speak, once. */
export const fitFaults: Readonly<Record<string, Fault>> = {
  'mounting-hull': () => ({
    faulty: [
      transducer('b-stern', { mounting: 'shoot-through-hull', fairingDeg: 45 }),
      { type: 'describeBoat', changes: { hullMaterial: 'cored composite' } },
    ],
    nearly: [transducer('b-stern', { mounting: 'shoot-through-hull', fairingDeg: 45 })],
  }),
  'near-propeller': (plan) => {
    const { propellerDiameterM: d = 0.35, forwardM = 0, aboveKeelM = 0 } = plan.equipment['a-propeller'] ?? {};
    const ahead = (clear: number): Edit =>
      transducer('b-stern', { starboardM: 0, aboveKeelM, forwardM: forwardM + 1.5 * (d ?? 0) + clear });
    return { faulty: [ahead(-0.01)], nearly: [ahead(0.01)] };
  },
  'in-wash': (plan) => {
    const d = plan.equipment['a-propeller']?.propellerDiameterM ?? 0.35;
    const at = (starboardM: number): Edit[] => [
      transducer('b-stern', { starboardM, forwardM: -2.5 }),
      { type: 'removeEquipment', id: 'b-antenna' },
    ];
    return { faulty: at(0.9 * d), nearly: at(1.1 * d) };
  },
  'flow-stirred': (_, random) => {
    const kind = random() < 0.5 ? 'speed and temperature sensor' : 'strake or fitting';
    const log = (starboardM: number): Edit => ({
      type: 'placeEquipment',
      id: 'z-log',
      equipment: equipment(kind, [3, starboardM, 0.1]),
    });
    const strake = (runsForwardM: number): Edit => ({
      type: 'placeEquipment',
      id: 'z-strake',
      equipment: { ...equipment('strake or fitting', [1, 0.09, 0.1]), runsForwardM },
    });
    return random() < 0.5
      ? { faulty: [log(0.09)], nearly: [log(0.11)] }
      : { faulty: [strake(1.01)], nearly: [strake(0.99)] };
  },
  'axis-tilted': (plan) => {
    const deadriseDeg = 12;
    const fairing = (fairingDeg: number): Edit[] => [
      { type: 'describeBoat', changes: { deadriseDeg } },
      transducer('a-hull', { starboardM: plan.boat.beamM! / 4, fairingDeg }),
    ];
    return { faulty: fairing(6.9), nearly: fairing(7.1) };
  },
  'side-blocked': () => {
    const leg = (aboveKeelM: number): Edit => ({
      type: 'placeEquipment',
      id: 'z-leg',
      equipment: equipment('propeller', [-0.2, -1.6, aboveKeelM], 0.2),
    });
    // A metre and a tenth to port, the fan to 5 degrees under the level: free until 0.1 m below the face.
    return { faulty: [leg(-0.3)], nearly: [leg(0.05)] };
  },
  'ahead-mount': () => ({
    faulty: [transducer('d-ahead', { mounting: 'transom' })],
    nearly: [transducer('d-ahead', { mounting: 'pole' })],
  }),
  'heading-near': (_, random) => {
    const away = (metres: number): Edit => piece('d-battery', { forwardM: 3 - metres, starboardM: 0, aboveKeelM: 1 });
    // A cable that runs past the sensor, from 2 m astern of it.
    const past = (aside: number, runsForwardM: number): Edit => ({
      type: 'placeEquipment',
      id: 'z-cable',
      equipment: { ...equipment('cable run', [1, aside, 1]), runsForwardM },
    });
    const kind = Math.floor(3 * random());
    return [
      { faulty: [away(between(random, 0.1, 0.59))], nearly: [away(0.61)] },
      { faulty: [past(0.49, 5)], nearly: [past(0.51, 5)] },
      { faulty: [past(0, 1.51)], nearly: [past(0, 1.49)] },
    ][kind]!;
  },
  'marks-shifted': (plan) => {
    const radius = plan.working.depthM * Math.tan((10 * Math.PI) / 180);
    const { forwardM, starboardM } = plan.transducers['b-stern']!;
    const ahead = (metres: number): Edit[] => [
      transducer('b-stern', { forwardM, starboardM }),
      piece('b-antenna', { starboardM, forwardM: forwardM + metres }),
      transducer('a-hull', { starboardM, forwardM: forwardM + metres - 0.1, fairingDeg: 45 }),
    ];
    // Nobody entered the distance at the helm, and only the sounders are aboard.
    const asIs: Edit[] = [
      unit({ antennaOffsetSet: false }),
      { type: 'removeTransducer', id: 'c-sides' },
      { type: 'removeTransducer', id: 'd-ahead' },
    ];
    return { faulty: [...asIs, ...ahead(radius + 0.1)], nearly: [...asIs, ...ahead(radius - 0.1)] };
  },
  'marks-shifted: a fan or a bow unit, two metres from the antenna': (plan, random) => {
    const { forwardM, starboardM } = plan.equipment['b-antenna']!;
    const kind = random() < 0.5 ? ('down fan' as const) : ('forward-facing' as const);
    const other = (metres: number): Edit[] => [
      unit({ antennaOffsetSet: false }),
      ...['a-hull', 'b-stern', 'c-sides'].map((id): Edit => ({ type: 'removeTransducer', id })),
      transducer('d-ahead', { kind, forwardM: forwardM + metres, starboardM }),
    ];
    return { faulty: other(2.01), nearly: other(1.99) };
  },
  'axis-tilted: faired too far': (plan) => {
    const fairing = (fairingDeg: number): Edit[] => [
      { type: 'describeBoat', changes: { deadriseDeg: 4 } },
      transducer('a-hull', { starboardM: plan.boat.beamM! / 4, fairingDeg }),
    ];
    return { faulty: fairing(9.1), nearly: fairing(8.9) };
  },
  'axis-tilted: a catamaran, off its keel line and on it': (plan) => {
    const at = (share: number): Edit[] => [
      { type: 'describeBoat', changes: { deadriseDeg: 12, hullForm: 'catamaran' } },
      transducer('a-hull', { starboardM: -share * plan.boat.beamM! }),
    ];
    return { faulty: at(0.3), nearly: at(0.36) };
  },
  'side-blocked: by a V keel': () => {
    // Let into the bottom half a metre to port of the keel, the fan to 5 degrees under the level.
    const hull = (aboveKeelM: number): Edit =>
      transducer('c-sides', { mounting: 'through-hull', forwardM: 2, starboardM: -0.5, aboveKeelM });
    // 50 degrees wide about 60 from straight down: it ends at 85, so 0.5 m aside is free until 0.5 / tan(84) above the keel.
    return { faulty: [hull(0.06)], nearly: [hull(0.04)] };
  },
  'two-heights': () => ({
    faulty: [transducer('b-stern', { aboveKeelM: 0.26 })],
    nearly: [transducer('b-stern', { aboveKeelM: 0.24 })],
  }),
  'sight-hidden': (plan) => {
    const { screenDiagonalM: d, pixelsHigh: h, pixelsWide: w } = plan.displays['helm']!;
    const top = (d * h) / Math.hypot(h, w) / 2;
    // Level trim: an eye 0.9 m behind has to be as far above the screen's top as it is above the water in four lengths.
    const limitM = Math.min(4 * plan.boat.lengthM!, 50);
    const eye = 2.5;
    const drop = (0.9 * (eye - plan.boat.draughtM!)) / limitM;
    const at = (aboveTopM: number): Edit[] => [
      { type: 'useWay', way: 'running', used: true },
      { type: 'describeBoat', changes: { runningTrimDeg: 0 } },
      {
        type: 'describeStation',
        id: 'helm',
        changes: {
          eyeAboveKeelM: eye,
          place: { forwardM: 3, starboardM: 0, aboveKeelM: eye - aboveTopM - top },
        },
      },
    ];
    return { faulty: at(0.98 * drop), nearly: at(1.02 * drop) };
  },
  'circuit-loose': () => ({
    faulty: [helm({ batteryId: null })],
    nearly: [helm({ name: 'Loose' })],
  }),
  'wire-drop': (plan) => {
    // 2.5 mm2 stranded and tinned: 7.586 ohm a kilometre at 20 degrees.
    const length = (percent: number): Edit =>
      helm({
        gauge: '2.5 mm2',
        temperatureC: 20,
        oneWayLengthM: ((percent / 100) * 12 * 1000) / (2 * 7.586 * screenA(plan)),
      });
    return { faulty: [length(3.05)], nearly: [length(2.95)] };
  },
  'wire-drop-worst': (plan) => {
    const length = (percent: number): Edit =>
      helm({
        gauge: '2.5 mm2',
        temperatureC: 20,
        oneWayLengthM: ((percent / 100) * 12 * 1000) / (2 * 7.586 * screenA(plan)),
      });
    return { faulty: [length(10.1), load(plan, { lowestV: null })], nearly: [length(9.9)] };
  },
  'fuse-missing': () => ({ faulty: [helm({ fuseA: null })], nearly: [helm({ fuseA: 9 })] }),
  'fuse-over-wire': () => {
    const bears = wireAmpacityA('4 mm2', 70, false);
    const fuse = (fuseA: number): Edit => helm({ gauge: '4 mm2', temperatureC: 20, fuseA });
    return { faulty: [fuse(bears + 1)], nearly: [fuse(bears)] };
  },
  'fuse-over-wire: by the insulation that is printed on it': () => {
    // ISO 10133: 8.4 mm2 counts as 6 mm2, 60 A with insulation for 105 degrees and 40 A for 60.
    const fuse = (insulationC: 60 | 105): Edit => helm({ gauge: 'AWG 8', temperatureC: 20, fuseA: 50, insulationC });
    return { faulty: [fuse(60)], nearly: [fuse(105)] };
  },
  'fuse-under-load': (plan) => ({
    faulty: [helm({ fuseA: screenA(plan) - 0.1 })],
    nearly: [helm({ fuseA: screenA(plan) + 0.1 })],
  }),
  'fuse-far': () => ({ faulty: [helm({ fuseFromPostM: 0.21 })], nearly: [helm({ fuseFromPostM: 0.2 })] }),
  'starts-out': (plan) => {
    const full = plan.power.batteries['house']?.chemistry === 'lithium' ? 13.4 : 12.7;
    // Wires of a metre of 50 mm2 lose nothing that counts.
    const cranked = (lowestV: number): Edit[] => [
      house({ crankingA: 500 }),
      { type: 'workHours', way: 'trolling', hours: 0 },
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      load(plan, { lowestV }),
      { type: 'describeCircuit', id: 'b-bow', changes: { batteryId: null } },
    ];
    return { faulty: cranked(full - 3 + 0.05), nearly: cranked(full - 3 - 0.05) };
  },
  'charged-over': (plan) => ({
    faulty: [load(plan, { highestV: 14.3 })],
    nearly: [load(plan, { highestV: 14.4 })],
  }),
  'day-too-long': (plan) => {
    const battery = plan.power.batteries['house']!;
    const k = battery.chemistry === 'lithium' ? 1 : 1.2;
    const current = 2 * screenA(plan);
    // Peukert the other way round: the capacity of which four hours take a share.
    const holding = (share: number): Edit =>
      house({ capacityAh: 20 * current * (4 / (20 * share)) ** (1 / k), internalOhm: 0 });
    const bears = battery.chemistry === 'lithium' ? 0.8 : 0.5;
    return { faulty: [holding(bears + 0.01)], nearly: [holding(bears - 0.01)] };
  },
  'evening-out': (plan) => {
    const wants = (lowestV: number): Edit[] => [
      house({ capacityAh: 2000, internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      load(plan, { lowestV }),
    ];
    // A battery that large stays nearly full: over 12.6 V.
    return { faulty: wants(13.6), nearly: wants(12.5) };
  },
  'day-too-long: empty before the day ends': (plan) => {
    const current = 2 * screenA(plan);
    const k = plan.power.batteries['house']!.chemistry === 'lithium' ? 1 : 1.2;
    // Three hours of what four want, by Peukert the other way round; the near miss holds three times as much.
    const holding = (factor: number): Edit => house({ capacityAh: factor * 20 * current * (3 / 20) ** (1 / k) });
    return { faulty: [holding(1)], nearly: [holding(3)] };
  },
  'evening-out: the battery is empty': (plan) => {
    const current = 2 * screenA(plan);
    const k = plan.power.batteries['house']!.chemistry === 'lithium' ? 1 : 1.2;
    const holding = (hours: number): Edit[] => [
      house({ capacityAh: 20 * current * (hours / 20) ** (1 / k), internalOhm: 0 }),
      load(plan, { lowestV: null }),
      { type: 'describeCircuit', id: 'b-bow', changes: { gauge: '50 mm2', oneWayLengthM: 0.1 } },
      {
        type: 'putLoad',
        circuitId: 'b-bow',
        id: 'screen',
        load: { ...screenOf(plan), lowestV: null, deviceId: 'bow' },
      },
    ];
    // Both screens go out with it; only one is on this circuit's side of the near miss.
    return {
      faulty: [
        ...holding(3.9),
        { type: 'removeCircuit', id: 'b-bow' },
        load(plan, { lowestV: null, currentA: current }),
      ],
      nearly: holding(4.1),
    };
  },
  'not-connected': () => ({
    faulty: [{ type: 'connect', transducerId: 'c-sides', link: null }],
    nearly: [linked('c-sides', { to: 'helm', plug: '' })],
  }),
  'socket-wrong': () => ({
    faulty: [linked('c-sides', { plug: 'twelve-pin' })],
    nearly: [linked('c-sides', { plug: 'twelve-pin' }), device({ sockets: ['twelve-pin', 'nine-pin'] })],
  }),
  'socket-cannot-drive': () => {
    const drives = (...kinds: Transducer['kind'][]): Edit =>
      device({ sockets: [{ plug: 'nine-pin', drives: kinds, atOnce: 2 }] });
    return { faulty: [drives('side-scan', 'sounder')], nearly: [drives('side-scan', 'forward-facing')] };
  },
  'socket-taken': (_, random) => {
    const atHelm: Edit[] =
      random() < 0.5
        ? []
        : [
            {
              type: 'describeDevice',
              id: 'helm',
              changes: { sockets: [{ plug: 'nine-pin', drives: ['sounder', 'side-scan'], atOnce: 2 }] },
            },
          ];
    return { faulty: [...atHelm, linked('c-sides', { to: 'helm' })], nearly: atHelm };
  },
  'taken-along': (_, random) => {
    const off = (id: string): Edit => ({ type: 'describeStation', id, changes: { mount: 'taken off' } });
    // What hangs on the bow's own screen steps in.
    const stepsIn: Edit = {
      type: 'feed',
      stationId: 'bow',
      quantity: 'depth',
      feed: { sourceId: 'a-hull', fallbackId: 'd-ahead' },
    };
    return { faulty: [off('helm')], nearly: random() < 0.5 ? [off('bow')] : [off('helm'), stepsIn] };
  },
  'beam-off': (plan) => {
    const { beams } = plan.transducers['b-stern']!;
    const two: Edit = transducer('b-stern', { beams: [beams[0]!, { ...beams[0]!, frequencyHz: 45_000 }] });
    return {
      faulty: [two, linked('b-stern', { to: 'helm', adapterDisables: 0 })],
      nearly: [two, linked('b-stern', { to: 'helm', adapterDisables: 1 })],
    };
  },
  'backbone-terminators': () => ({
    faulty: [{ type: 'describeBackbone', changes: { terminators: 3 } }],
    nearly: [{ type: 'describeBackbone', changes: { terminators: 2 } }],
  }),
  'backbone-supply': (_, random) => ({
    faulty: [{ type: 'describeBackbone', changes: { supplies: random() < 0.5 ? 0 : 2 } }],
    nearly: [
      { type: 'describeBackbone', changes: { supplies: 0 } },
      device({ onBackbone: false }),
      { type: 'describeDevice', id: 'helm', changes: { onBackbone: false } },
    ],
  }),
  'backbone-long': () => ({
    faulty: [{ type: 'describeBackbone', changes: { lengthM: 100.1 } }],
    nearly: [{ type: 'describeBackbone', changes: { lengthM: 100 } }],
  }),
  'drop-long': () => ({ faulty: [device({ dropM: 6.1 })], nearly: [device({ dropM: 6 })] }),
  'drops-long': (plan) => {
    const id = (i: number): string => `z-${i}`;
    const many = (count: number): Edit[] =>
      Array.from({ length: count }, (_, i) => i).flatMap((i): Edit[] => [
        {
          type: 'placeEquipment',
          id: id(i),
          equipment: { ...plan.equipment['b-antenna']!, kind: 'engine gateway', name: id(i) },
        },
        { type: 'describeDevice', id: id(i), changes: { onBackbone: true, dropM: 6, loads: 1 } },
      ]);
    // Two drops of 2 m are there: 12 of 6 m make 76, 13 make 82.
    return { faulty: many(13), nearly: many(12) };
  },
  'backbone-load': () => ({
    // Three loads of 50 mA are there on the other: 3 A bear sixty in all.
    faulty: [device({ loads: 40 }), { type: 'describeDevice', id: 'helm', changes: { loads: 21 } }],
    nearly: [device({ loads: 40 }), { type: 'describeDevice', id: 'helm', changes: { loads: 20 } }],
  }),
  'type-wrong': () => ({
    faulty: [named('b-stern', { selected: 'Type c-sides' })],
    nearly: [named('b-stern', { selected: ' TYPE b-stern ' })],
  }),
  'feed-gone': () => ({ faulty: [depthFrom('gone')], nearly: [depthFrom('b-stern')] }),
  'sides-swapped': () => ({
    faulty: [unit({ sidesRight: 'swapped' })],
    nearly: [unit({ sidesRight: 'not looked at' })],
  }),
  'source-twice': (plan) => {
    const name = plan.sources['a-hull']!.name;
    return {
      faulty: [named('b-stern', { name: name.toUpperCase() })],
      nearly: [named('b-stern', { name: `${name} b` })],
    };
  },
  'source-factory-name': (_, random) => ({
    faulty: [named('c-sides', { name: `Sonar ${Math.floor(10 * random())}` })],
    nearly: [named('c-sides', { name: 'Sonar port 430' })],
  }),
  'feed-poor': (_, random) => ({
    faulty: [depthFrom(random() < 0.5 ? 'd-ahead' : 'c-sides')],
    nearly: [depthFrom('b-stern')],
  }),
  // Half a per cent of the depth is noticed: 1443.6 m/s is the water's own.
  'water-type': (_, random) => {
    const own = (share: number): Edit => unit({ ownSoundSpeedMps: 1443.6 * (1 + (random() < 0.5 ? share : -share)) });
    return { faulty: [own(0.0055)], nearly: [own(0.0043)] };
  },
  'fallback-reference': (_, random) => {
    const counts = (transducerId: string, reference: 'keel' | 'waterline'): Edit => ({
      type: 'describeDepthOffset',
      transducerId,
      changes: { reference },
    });
    const onlyHelm: Edit = { type: 'removeDisplay', stationId: 'bow' };
    const one = random() < 0.5 ? 'a-hull' : 'b-stern';
    return {
      faulty: [onlyHelm, counts(one, 'keel')],
      nearly: [counts('a-hull', 'keel'), counts('b-stern', 'keel')],
    };
  },
  'travels-clash': (plan, random) => {
    const passing = (stationId: string, ...travels: string[]): Edit => ({
      type: 'fitDisplay',
      stationId,
      display: { ...plan.displays[stationId]!, travels },
    });
    const kind = random();
    if (kind < 0.4) {
      const both = [passing('helm', 'sources'), depthFrom('b-stern')];
      return { faulty: [...both, passing('bow', 'units', 'sources')], nearly: [...both, passing('bow', 'units')] };
    }
    if (kind < 0.7) {
      const calls = (shallowM: number): Edit => ({
        type: 'describeUnit',
        stationId: 'bow',
        changes: { alarms: { shallowM } },
      });
      const both = [passing('helm', 'alarms'), passing('bow', 'alarms')];
      return { faulty: [...both, calls(1.6)], nearly: [...both, calls(1.5)] };
    }
    // The page at the helm has its sounder on automatic.
    const shows = (rangeM: number | null): Edit => ({
      type: 'addPage',
      id: 'z-bow',
      page: aPage({
        stationId: 'bow',
        layout: { bandsLie: 'rows', bands: [{ share: 1, panes: [{ share: 1, view: 'sounder', rangeM }] }] },
      }),
    });
    const both = [passing('helm', 'range'), passing('bow', 'range')];
    return { faulty: [...both, shows(40)], nearly: [...both, shows(null)] };
  },
  // Half a metre of draught, a tolerance of a tenth, and half a metre to act in.
  'alarm-shallow-late': () => ({
    faulty: [unit({ alarms: { shallowM: 1.09 } })],
    nearly: [unit({ alarms: { shallowM: 1.1 } })],
  }),
  'alarm-shallow-always': () => ({
    faulty: [unit({ alarms: { shallowM: 4 } })],
    nearly: [unit({ alarms: { shallowM: 3.99 } })],
  }),
  'alarm-voltage-late': (plan, random) => {
    const calls = (lowVoltageV: number): Edit => unit({ alarms: { lowVoltageV } });
    const alone: Edit = { type: 'describeCircuit', id: 'b-bow', changes: { batteryId: null } };
    if (random() < 0.5) {
      const wants = [alone, load(plan, { lowestV: 13 })];
      return { faulty: [...wants, calls(13.4)], nearly: [...wants, calls(13.5)] };
    }
    // Only the bow's screen says what it bears, at the end of a wire that loses 0.25 V.
    const screen = plan.power.circuits['b-bow']!.loads['screen']!;
    const far: Edit[] = [
      load(plan, { lowestV: null }),
      { type: 'putLoad', circuitId: 'b-bow', id: 'screen', load: { ...screen, lowestV: 12.7 } },
      {
        type: 'describeCircuit',
        id: 'b-bow',
        changes: { gauge: '2.5 mm2', temperatureC: 20, oneWayLengthM: 250 / (2 * 7.586 * screenA(plan)) },
      },
    ];
    return { faulty: [...far, calls(13.4)], nearly: [...far, calls(13.5)] };
  },
  'alarm-voltage-late: the battery has given what it bears': (plan) => {
    // Half of lead-acid is 12.2 V, a fifth of lithium 12.9 V; a wire and a battery that lose nothing.
    const spent = plan.power.batteries['house']?.chemistry === 'lithium' ? 12.9 : 12.2;
    const calls = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      unit({ alarms: { lowVoltageV } }),
    ];
    return { faulty: calls(spent - 0.1), nearly: calls(spent) };
  },
  'alarm-voltage-always': (plan) => {
    const full = plan.power.batteries['house']?.chemistry === 'lithium' ? 13.4 : 12.7;
    // A wire that loses next to nothing, from a battery that gives what it holds.
    const calls = (lowVoltageV: number): Edit[] => [
      house({ internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      unit({ alarms: { lowVoltageV } }),
    ];
    return { faulty: calls(full), nearly: calls(full - 0.01) };
  },
  'same-band': (_, random) => {
    const at = (kHz: number): Edit =>
      transducer('b-stern', { beams: [aBeam({ frequencyHz: 1000 * kHz, beamwidthDeg: 20 })] });
    return { faulty: [at(190 + 3 * random())], nearly: [at(random() < 0.5 ? 150 : 230)] };
  },
  'two-norths': () => ({ faulty: [unit({ north: 'magnetic' })], nearly: [unit({ north: null })] }),
};
