import type { Edit, Plan } from '@grey-keel/model';
import { enteredBy } from '../../../testing/entered-by.ts';
import { boat } from '../../../testing/fault-edits.ts';
import { setUpIn } from '../../../plan/read-at.ts';
import { enters, finds, forgets } from '../../../testing/set-at.ts';
import { pair } from '../../../testing/sample-plan.ts';
import { between, type Fault } from '../../../testing/sound-boat.ts';

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
/** The display of the transducer, looked at after whatever was entered before. */
const holds = (plan: Plan, offsetM: number, reference: 'keel' | 'waterline'): Edit =>
  finds(setUpIn(plan, 'a-hull'), 'depth-offset', { offsetM, reference }, 'a-hull', '2026-05-02T08:00:00Z');
const eight = [2, 3, 4, 5, 7, 9, 10, 12];
/** Speed of sound in fresh water of 20 °C, m/s: Bilaniuk and Wong 1993. */
const warmMps = 1482.34;

/** Faults of an offset, by the rule that has to speak, once, and what is put in. */
export const offsetFaults: Readonly<Record<string, Fault>> = {
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
  'offset-unsafe: more than the tolerance too much': (plan, random) => {
    const setM = between(random, 0.6, 0.8);
    const set = (byM: number): Edit[] => [
      holds(plan, setM, 'waterline'),
      offset({ offsetSetM: setM, toleranceM: 0.1 }),
      ...readings([4, 6, 9, 12], { faceM: setM - byM, setM }),
      boat({ draughtM: setM - byM + 0.1 }),
    ];
    return { faulty: set(0.12), nearly: set(0.08) };
  },
  'offset-unsafe: a mirror smaller than the tolerance': (plan) => {
    // To the keel, a face 0.41 m down under a draught of 0.5 m misses -0.09 m; +0.09 m is set.
    const set = (setM: number): Edit[] => [
      holds(plan, setM, 'keel'),
      offset({ offsetSetM: setM, reference: 'keel' }),
      ...readings([4, 6, 9, 12], { faceM: 0.41, setM }),
    ];
    return { faulty: set(0.09), nearly: set(-0.09) };
  },
  'offset-above-water: lead line and display the wrong way round': () => ({
    faulty: readings([4, 6, 9, 12], { faceM: -0.3 }),
    nearly: readings([4, 6, 9, 12], { faceM: 0.01 }),
  }),
  'offset-wrong-sign: turned': (plan) => {
    const set = (setM: number): Edit[] => [
      holds(plan, setM, 'keel'),
      offset({ offsetSetM: setM, reference: 'keel' }),
      ...readings([4, 6, 9, 12], { faceM: 0.3, setM }),
      boat({ draughtM: 0.6 }),
    ];
    return { faulty: set(0.3), nearly: set(-0.3) };
  },
  'offset-missing: a fan that feeds depth, or looks straight down': (_, random) => {
    const fan = random() < 0.5 ? 'c-sides' : 'd-ahead';
    const of = (kind: 'side-scan' | 'down fan'): Edit => ({ type: 'describeTransducer', id: fan, changes: { kind } });
    const feeds = (sourceId: string, fallbackId: string | null): Edit => ({
      type: 'feed',
      stationId: 'helm',
      quantity: 'depth',
      feed: { sourceId, fallbackId },
    });
    return {
      faulty:
        random() < 0.5
          ? [of('side-scan'), random() < 0.5 ? feeds(fan, null) : feeds('a-hull', fan)]
          : [of('down fan'), feeds('a-hull', null)],
      nearly: [of('side-scan'), feeds('a-hull', null)],
    };
  },
  'offset-unsafe: a tolerance of metres lets nothing pass that grounds': (plan) => {
    const set = (setM: number): Edit[] => [
      holds(plan, setM, 'waterline'),
      offset({ offsetSetM: setM, toleranceM: 3 }),
      ...readings([4, 6, 9, 12], { faceM: 0.4, setM }),
    ];
    return { faulty: set(0.72), nearly: set(0.68) };
  },
  'offset-wrong-sign: turned, under a tolerance of metres': (plan) => {
    const set = (setM: number): Edit[] => [
      holds(plan, setM, 'keel'),
      offset({ offsetSetM: setM, toleranceM: 3, reference: 'keel' }),
      ...readings([4, 6, 9, 12], { faceM: 0.3, setM }),
      boat({ draughtM: 0.7 }),
    ];
    return { faulty: set(0.4), nearly: set(-0.4) };
  },
  'sound-off: left at its figure from the factory': (_, random) => {
    // In fresh water of 9 °C sound makes 1443.6 m/s (Bilaniuk and Wong 1993): 1 % is 14.4 m/s.
    const own = (soundSpeedMps: number): Edit[] => ['helm', 'bow'].map((id) => enters(id, 'sound', { soundSpeedMps }));
    return { faulty: own(random() < 0.5 ? 1500 : 1425), nearly: own(random() < 0.5 ? 1456 : 1432) };
  },
  'sound-off: by the readings, where nobody looked': () => {
    const read = (soundSpeedAssumedMps: number): Edit[] => [
      forgets('helm', 'sound'),
      forgets('bow', 'sound'),
      offset({ soundSpeedAssumedMps }),
    ];
    return { faulty: read(1500), nearly: read(1444) };
  },
};
