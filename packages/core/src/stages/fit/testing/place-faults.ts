import type { Edit } from '@grey-keel/model';
import { between, type Fault } from '../../../testing/sound-boat.ts';
import { boat, piece, transducer } from '../../../testing/fault-edits.ts';

/** Faults of where things stand and when they transmit, by the rule that has to speak, once. */
export const placeFaults: Readonly<Record<string, Fault>> = {
  'outside-hull: ahead of the bow': (plan) => {
    const ahead = (metres: number): Edit => piece('b-antenna', { forwardM: plan.boat.lengthM! + metres });
    return { faulty: [ahead(0.12)], nearly: [ahead(0.08)] };
  },
  'outside-hull: beside the boat': (plan) => {
    // Amidships the outline is half the beam, a hand's breadth counts as on it, and the hull itself allows another.
    const aside = (metres: number): Edit => piece('b-antenna', { starboardM: plan.boat.beamM! / 2 + 0.2 + metres });
    return { faulty: [aside(0.02)], nearly: [aside(-0.02)] };
  },
  'same-place: one on the other': (plan, random) => {
    const { forwardM, starboardM, aboveKeelM } = plan.equipment['c-compass']!;
    const at = (metres: number): Edit => piece('d-battery', { forwardM: forwardM + metres, starboardM, aboveKeelM });
    return { faulty: [at(between(random, 0, 0.049))], nearly: [at(0.051)] };
  },
  'mounting-place: a transom unit two metres forward': (_, random) => {
    const forward = (forwardM: number): Edit => transducer('b-stern', { forwardM });
    return { faulty: [forward(between(random, 0.31, 2.5))], nearly: [forward(0.3)] };
  },
  'mounting-place: a hull unit astern, a motor amidships': (plan, random) => {
    const share = (of: number): Edit => transducer('d-ahead', { forwardM: of * plan.boat.lengthM! });
    return random() < 0.5
      ? { faulty: [transducer('a-hull', { forwardM: -0.1 })], nearly: [transducer('a-hull', { forwardM: 0 })] }
      : { faulty: [share(0.69)], nearly: [share(0.71)] };
  },
  'bow-motor-missing: nothing to hang on': (_, random) => {
    const motor: Edit = {
      type: 'placeEquipment',
      id: 'z-motor',
      equipment: {
        name: 'Motor',
        kind: 'bow motor',
        forwardM: 5,
        starboardM: 0,
        aboveKeelM: 0.2,
        propellerDiameterM: 0.25,
      },
    };
    return {
      faulty: [boat({ bowMotor: false })],
      nearly: random() < 0.5 ? [boat({ bowMotor: false }), motor] : [boat({ bowMotor: true })],
    };
  },
  'propeller-unknown: none aboard': (_, random) => {
    const gone: Edit = { type: 'removeEquipment', id: 'a-propeller' };
    return {
      faulty: [gone, boat({ propulsion: random() < 0.5 ? 'twin outboards' : 'inboard shaft' })],
      nearly: [gone, boat({ propulsion: random() < 0.5 ? 'oars' : 'jet' })],
    };
  },
  'propeller-unknown: an engine and no transducer yet': (plan) => {
    const bare = Object.keys(plan.transducers).map((id): Edit => ({ type: 'removeTransducer', id }));
    const gone: Edit = { type: 'removeEquipment', id: 'a-propeller' };
    return {
      faulty: [...bare, gone, boat({ propulsion: 'single outboard' })],
      nearly: [...bare, gone, boat({ propulsion: 'oars' })],
    };
  },
  'skeg-assumed: a leg under the keel that nobody measured': (_, random) => {
    const leg = (skegBelowBladesM: number | null): Edit[] => [
      boat({ propulsion: random() < 0.5 ? 'single outboard' : 'sterndrive' }),
      piece('a-propeller', { aboveKeelM: -0.3, skegBelowBladesM }),
    ];
    return { faulty: leg(null), nearly: random() < 0.5 ? leg(0.06) : leg(0) };
  },
  'hull-changed: another hull under the same places': (plan, random) => {
    const other = random() < 0.5 ? { lengthM: plan.boat.lengthM! - 0.5 } : { hullForm: 'displacement' as const };
    return { faulty: [{ type: 'confirmPlaces' }, boat(other)], nearly: [boat(other), { type: 'confirmPlaces' }] };
  },
};
