import type { Edit, Plan } from '@grey-keel/model';
import { edited, pair } from './sample-plan.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { between, type Fault } from './sound-boat.ts';

/** Readings of a face that lies `faceM` down, on a display that uses the speed of sound `usedMps` in water of `waterMps`. */
const readings = (
  leadsM: readonly number[],
  {
    faceM,
    setM = 0,
    usedMps = 1443.6,
    waterMps = 1443.6,
  }: { faceM: number; setM?: number; usedMps?: number; waterMps?: number },
): Edit[] => [
  ...['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => ({ type: 'removeReading', transducerId: 'a-hull', readingId })),
  ...leadsM.map((leadLineM, i): Edit => ({
    type: 'recordReading',
    transducerId: 'a-hull',
    readingId: `z${i}`,
    reading: pair(leadLineM, Math.round(100 * (((leadLineM - faceM) * usedMps) / waterMps + setM)) / 100),
  })),
];
const offset = (changes: Partial<Omit<Plan['depthOffsets'][string], 'readings' | 'entered'>>): Edit => ({
  type: 'describeDepthOffset',
  transducerId: 'a-hull',
  changes,
});
const eight = [2, 3, 4, 5, 7, 9, 10, 12];
/** Speed of sound in fresh water of 20 °C, m/s: Bilaniuk and Wong 1993. */
const warmMps = 1482.34;

const boat = (changes: Partial<Plan['boat']>): Edit => ({ type: 'describeBoat', changes });
const water = (changes: Partial<Plan['waters'][string]>): Edit => ({ type: 'describeWater', id: 'pool', changes });
const calls = (shallowM: number, changes: Partial<Plan['units'][string]> = {}): Edit => ({
  type: 'describeUnit',
  stationId: 'helm',
  changes: { ...changes, alarms: { shallowM } },
});
const hanging = (belowKeelM: number, diameterM: number): Edit => ({
  type: 'describeEquipment',
  id: 'a-propeller',
  changes: { propellerDiameterM: diameterM, aboveKeelM: diameterM / 2 - belowKeelM },
});
/** A display shows this with the plan's own offset, and enters what the readings give. */
const enteredBy = (plan: Plan, edits: readonly Edit[], transducerId = 'a-hull'): Edit[] => {
  const made = edited(plan, ...edits);
  const result = measuredOffset.of(made, transducerId);
  if (!result?.known) throw new Error('There is no result to enter.');
  return [
    ...edits,
    {
      type: 'enterDepthOffset',
      transducerId,
      entered: {
        offsetM: result.answer.offsetM,
        standardErrorM: result.answer.standardErrorM,
        at: '2026-05-01T09:30:00Z',
        fingerprint: 'a'.repeat(64),
        inputs: { offsetSetM: made.depthOffsets[transducerId]?.offsetSetM ?? 0 },
      },
    },
  ];
};

/** Faults of depth, by the rule that has to speak, once, and what is put in. */
export const depthFaults: Readonly<Record<string, Fault>> = {
  'offset-scale: read in warmer water than was said': (plan) => ({
    faulty: enteredBy(plan, readings(eight, { faceM: 0.4, waterMps: warmMps })),
    nearly: [
      ...readings(eight, { faceM: 0.4, waterMps: warmMps }),
      offset({ takenIn: { temperatureC: 20, salinityPpt: 0 } }),
    ],
  }),
  'offset-geometry: at eight pairs': (plan) => ({
    faulty: readings(eight, { faceM: 0.4, waterMps: warmMps }),
    nearly: [
      ...readings(eight, { faceM: 0.4, waterMps: warmMps }),
      offset({ takenIn: { temperatureC: 20, salinityPpt: 0 } }),
      boat({ notes: plan.boat.name }),
    ],
  }),
  'offset-few: two, or one': (_, random) => ({
    faulty: readings(random() < 0.5 ? [5] : [5, 9], { faceM: 0.4 }),
    nearly: readings([5, 9, 12], { faceM: 0.4 }),
  }),
  'offset-unsafe: more than the tolerance too much': (_, random) => {
    const setM = between(random, 0.6, 0.8);
    const set = (byM: number): Edit[] => [
      offset({ offsetSetM: setM, toleranceM: 0.1 }),
      ...readings([4, 6, 9, 12], { faceM: setM - byM, setM }),
      boat({ draughtM: setM - byM + 0.1 }),
    ];
    return { faulty: set(0.12), nearly: set(0.08) };
  },
  'offset-unsafe: a mirror smaller than the tolerance': () => {
    // To the keel, a face 0.41 m down under a draught of 0.5 m misses -0.09 m; +0.09 m is set.
    const set = (setM: number): Edit[] => [
      offset({ offsetSetM: setM, reference: 'keel' }),
      ...readings([4, 6, 9, 12], { faceM: 0.41, setM }),
    ];
    return { faulty: set(0.09), nearly: set(-0.09) };
  },
  'offset-above-water: lead line and display the wrong way round': () => ({
    faulty: readings([4, 6, 9, 12], { faceM: -0.3 }),
    nearly: readings([4, 6, 9, 12], { faceM: 0.01 }),
  }),
  'offset-wrong-sign: turned': () => {
    const set = (setM: number): Edit[] => [
      offset({ offsetSetM: setM, reference: 'keel' }),
      ...readings([4, 6, 9, 12], { faceM: 0.3, setM }),
      boat({ draughtM: 0.6 }),
    ];
    return { faulty: set(0.3), nearly: set(-0.3) };
  },
  'offset-missing: a fan that feeds depth': (_, random) => {
    const fan = random() < 0.5 ? 'c-sides' : 'd-ahead';
    const kind: Edit = { type: 'describeTransducer', id: fan, changes: { kind: 'down fan' } };
    const feeds = (sourceId: string, fallbackId: string | null): Edit => ({
      type: 'feed',
      stationId: 'helm',
      quantity: 'depth',
      feed: { sourceId, fallbackId },
    });
    return {
      faulty: [kind, random() < 0.5 ? feeds(fan, null) : feeds('a-hull', fan)],
      nearly: [kind, feeds('a-hull', null)],
    };
  },
  // Half a metre of draught, a tolerance of a tenth, half a metre to act in, and what hangs below the keel.
  'alarm-shallow-late: the blades touch first': (_, random) => {
    const belowM = Math.round(100 * between(random, 0.2, 0.6)) / 100;
    const up = Math.ceil(10 * (1.1 + belowM) - 1e-6) / 10;
    return {
      faulty: [hanging(belowM, 0.3), calls(up - 0.1)],
      nearly: [hanging(belowM, 0.3), calls(up)],
    };
  },
  'alarm-shallow-late: in feet, rounded up': () => ({
    // 1.1 m is 3.61 ft: 3.7 is the next tenth of a foot.
    faulty: [calls(3.6 * 0.3048, { depthUnit: 'ft', depthStep: 0.1 })],
    nearly: [calls(3.7 * 0.3048, { depthUnit: 'ft', depthStep: 0.1 })],
  }),
  'alarm-shallow-late: by the fallback': (plan) => {
    // The fallback's offset is less sure: its tolerance is a metre.
    const wide = enteredBy(
      plan,
      [{ type: 'describeDepthOffset', transducerId: 'b-stern', changes: { toleranceM: 1 } }],
      'b-stern',
    ).slice(0, 1);
    return { faulty: [...wide, calls(1.9)], nearly: [...wide, calls(2)] };
  },
  'order-of-values: shallowest under the draught': (_, random) => {
    const needsM = between(random, 0.9, 1.4);
    const full: Edit = { type: 'putLoading', id: 'full', loading: { name: 'full', draughtM: needsM } };
    return {
      faulty: [full, water({ shallowestM: needsM - 0.01 })],
      nearly: [full, water({ shallowestM: needsM + 0.01 })],
    };
  },
  'order-of-values: working deeper than the water': () => ({
    faulty: [water({ usualDeepestM: 50, greatestM: 70 }), { type: 'workAtDepth', depthM: 71 }],
    nearly: [water({ usualDeepestM: 50, greatestM: 70 }), { type: 'workAtDepth', depthM: 70 }],
  }),
  'order-of-values: fish deeper than the water': () => {
    const char = (deepestM: number): Edit => ({ type: 'describeSought', id: 'char', changes: { deepestM } });
    return { faulty: [char(141)], nearly: [char(140)] };
  },
  'order-of-values: wider than long': (plan) => ({
    faulty: [boat({ beamM: plan.boat.lengthM! + 0.1 })],
    nearly: [boat({ beamM: plan.boat.lengthM! })],
  }),
};
