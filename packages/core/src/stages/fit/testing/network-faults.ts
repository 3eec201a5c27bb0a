import type { Edit, Transducer } from '@grey-keel/model';
import type { Fault } from '../../../testing/sound-boat.ts';
import { device, linked, transducer } from '../../../testing/fault-edits.ts';

/** Faults of sockets and the backbone, by the rule that has to speak, once, and what is put in where there are several. */
export const networkFaults: Readonly<Record<string, Fault>> = {
  'not-connected': () => ({
    faulty: [{ type: 'connect', transducerId: 'c-sides', link: null }],
    nearly: [linked('c-sides', { to: 'helm', plug: '' })],
  }),
  'socket-wrong': () => ({
    faulty: [linked('c-sides', { plug: 'round W' })],
    nearly: [linked('c-sides', { plug: 'round W' }), device({ sockets: ['round W', 'round S'] })],
  }),
  'socket-cannot-drive': () => {
    const drives = (...kinds: Transducer['kind'][]): Edit =>
      device({ sockets: [{ plug: 'round S', drives: kinds, atOnce: 2 }] });
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
              changes: { sockets: [{ plug: 'round S', drives: ['sounder', 'side-scan'], atOnce: 2 }] },
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
  'backbone-load: the cable bears less than its fuse': () => ({
    // Heavy cable by its sheet bears 2 A: 41 loads of 50 mA with the other device's are over it.
    faulty: [
      { type: 'describeBackbone', changes: { cableBearsA: 2 } },
      device({ loads: 20 }),
      { type: 'describeDevice', id: 'helm', changes: { loads: 21 } },
    ],
    nearly: [
      { type: 'describeBackbone', changes: { cableBearsA: 2 } },
      device({ loads: 20 }),
      { type: 'describeDevice', id: 'helm', changes: { loads: 20 } },
    ],
  }),
  'backbone-long: heavy cable goes farther': () => ({
    faulty: [{ type: 'describeBackbone', changes: { cable: 'heavy', lengthM: 200.1 } }],
    nearly: [{ type: 'describeBackbone', changes: { cable: 'heavy', lengthM: 200 } }],
  }),
  'backbone-fuse': (_, random) => {
    const [cable, bearsA] = random() < 0.5 ? (['light', 3] as const) : (['heavy', 8] as const);
    const fused = (supplyA: number): Edit => ({ type: 'describeBackbone', changes: { cable, supplyA } });
    return { faulty: [fused(bearsA + 0.5)], nearly: [fused(bearsA)] };
  },
  'backbone-volts': () => {
    // One device with ten loads at the end of light cable, both conductors of 0.057 ohm a metre: 0.5 A lose 0.057 V a metre.
    const at = (lengthM: number): Edit[] => [
      { type: 'describeDevice', id: 'helm', changes: { onBackbone: false } },
      device({ loads: 10, dropM: 0, teeAtM: lengthM }),
      { type: 'describeBackbone', changes: { lengthM, supplyAtM: 0 } },
    ];
    return { faulty: at(1.51 / 0.057), nearly: at(1.49 / 0.057) };
  },
};
