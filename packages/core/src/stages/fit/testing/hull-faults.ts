import type { Edit } from '@grey-keel/model';
import { between, equipment, type Fault } from '../../../testing/sound-boat.ts';
import { piece, transducer } from '../../../testing/fault-edits.ts';
import { forgets } from '../../../testing/set-at.ts';

/** Faults of where things stand on the hull, by the rule that has to speak, once, and what is put in where there are several. */
export const hullFaults: Readonly<Record<string, Fault>> = {
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
      forgets('helm', 'antenna-offset'),
      { type: 'removeTransducer', id: 'c-sides' },
      { type: 'removeTransducer', id: 'd-ahead' },
    ];
    return { faulty: [...asIs, ...ahead(radius + 0.1)], nearly: [...asIs, ...ahead(radius - 0.1)] };
  },
  'marks-shifted: a fan or a bow unit, two metres from the antenna': (plan, random) => {
    const { forwardM, starboardM } = plan.equipment['b-antenna']!;
    const kind = random() < 0.5 ? ('down fan' as const) : ('forward-facing' as const);
    const other = (metres: number): Edit[] => [
      forgets('helm', 'antenna-offset'),
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
};
