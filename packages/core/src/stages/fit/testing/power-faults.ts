import type { Edit } from '@grey-keel/model';
import { wireAmpacityA } from '../../../power/wire.ts';
import type { Fault } from '../../../testing/sound-boat.ts';
import { helm, house, load, screenA, screenOf } from '../../../testing/fault-edits.ts';

/** Faults of wires, fuses and batteries, by the rule that has to speak, once, and what is put in where there are several. */
export const powerFaults: Readonly<Record<string, Fault>> = {
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
    const bears = wireAmpacityA('4 mm2', 70);
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
  'fuse-over-wire: in a warm space': () => {
    // ISO 10133, 4 mm2 for 70 degrees: 35 A to 30 degrees, 0.75 of it at 60, half way between the two at 45.
    const fuse = (fuseA: number): Edit =>
      helm({ gauge: '4 mm2', temperatureC: 45, fuseA, insulationC: 70, oneWayLengthM: 1 });
    return { faulty: [fuse(35 * 0.875 + 0.1)], nearly: [fuse(35 * 0.875 - 0.1)] };
  },
  'fuse-near-load': (plan) => ({
    faulty: [helm({ fuseA: screenA(plan) / 0.81 })],
    nearly: [helm({ fuseA: screenA(plan) / 0.79 })],
  }),
  'pack-charged-over: by the sheet': () => ({
    faulty: [house({ highestChargingV: 14.3 })],
    nearly: [house({ highestChargingV: 14.4 })],
  }),
  'pack-charged-over: by its cells': (_, random) => {
    // Three sloping cells bear 4.2 V each; four of iron phosphate 3.65.
    const [curve, cells, mostV] = random() < 0.5 ? (['sloping', 3, 12.6] as const) : (['flat', 4, 14.6] as const);
    const charged = (chargingV: number): Edit => house({ chemistry: 'lithium', curve, cells, chargingV });
    return { faulty: [charged(mostV + 0.02)], nearly: [charged(mostV)] };
  },
  'pack-charged-over: lead-acid that gases': () => {
    const charged = (chargingV: number): Edit => house({ chemistry: 'lead-acid', chargingV });
    return { faulty: [charged(15.1)], nearly: [charged(15)] };
  },
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
    const requirements = (lowestV: number): Edit[] => [
      house({ capacityAh: 2000, internalOhm: 0 }),
      helm({ gauge: '50 mm2', oneWayLengthM: 0.1 }),
      load(plan, { lowestV }),
    ];
    // A battery that large stays nearly full: over 12.6 V.
    return { faulty: requirements(13.6), nearly: requirements(12.5) };
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
};
