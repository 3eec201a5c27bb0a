import type { CalibrationKind, CalibrationReading, Edit, Plan } from '@grey-keel/model';
import { entryOf } from '../../../calibration/measured-by-kind.ts';
import { aTransducer, edited } from '../../../testing/sample-plan.ts';
import { between, type Fault, type Random } from '../../../testing/sound-boat.ts';
import { pairsFrom, simulatedRuns } from '../../../testing/simulated-runs.ts';

const compass = 'c-compass';
const log: Edit = {
  type: 'placeEquipment',
  id: 'e-log',
  equipment: {
    name: 'Log',
    kind: 'speed and temperature sensor',
    forwardM: 3,
    starboardM: 0.2,
    aboveKeelM: 0.1,
    propellerDiameterM: null,
  },
};
const shown = (quantity: 'heading' | 'speed through water' | 'water temperature', sourceId: string): Edit => ({
  type: 'feed',
  stationId: 'helm',
  quantity,
  feed: { sourceId, fallbackId: null },
});

const record = <K extends CalibrationKind>(
  of: K,
  sensorId: string,
  readings: readonly CalibrationReading<K>[],
): Edit[] =>
  readings.map(
    (reading, i) => ({ type: 'recordCalibration', of, sensorId, readingId: `z${i}`, reading }) as unknown as Edit,
  );

/** Runs for the heading whose sensor misses `offsetDeg`, without noise. */
const headingRuns = (random: Random, pairs: number, offsetDeg: number): CalibrationReading<'heading'>[] => {
  const { runs, offsetDeg: simulated } = simulatedRuns(random, pairsFrom(20, pairs), { exact: true });
  return runs.map(({ headingDeg, sogMps, cogDeg }) => ({
    headingDeg: (headingDeg + simulated - offsetDeg + 360) % 360,
    sogMps,
    cogDeg,
    leftOut: false,
  }));
};
const set = (setDeg: number): Edit => ({
  type: 'describeCalibration',
  of: 'heading',
  sensorId: compass,
  changes: { setDeg },
});

/** The edits, and the entry of what they give. */
const entered = (plan: Plan, edits: readonly Edit[], of: CalibrationKind, sensorId: string): Edit[] => {
  const entry = entryOf(edited(plan, ...edits), of, sensorId, { at: '2026-05-01T09:30:00Z', by: 'Installer' });
  if (!entry) throw new Error('There is nothing to enter.');
  return [...edits, entry];
};

/** One pair of thermometer and display after the other. */
const temperatures = (differences: readonly number[]): CalibrationReading<'temperature'>[] =>
  differences.map((differenceC, i) => ({
    referenceC: Math.round(10 * (9 + i / 10 + differenceC)) / 10,
    displayedC: Math.round(10 * (9 + i / 10)) / 10,
    leftOut: false,
  }));

/** Faults of what gives speed, temperature and heading, by the rule that has to speak, once, and what is put in. */
export const sensorFaults: Readonly<Record<string, Fault>> = {
  'calibration-missing: a compass that is shown': (plan, random) => ({
    faulty: [shown('heading', compass)],
    nearly: entered(
      plan,
      [shown('heading', compass), ...record('heading', compass, headingRuns(random, 2, 4))],
      'heading',
      compass,
    ),
  }),
  'calibration-missing: worked out, not entered': (_, random) => ({
    faulty: [shown('heading', compass), ...record('heading', compass, headingRuns(random, 2, 4))],
    nearly: record('heading', compass, headingRuns(random, 2, 4)),
  }),
  'calibration-missing: a log': () => ({ faulty: [log, shown('speed through water', 'e-log')], nearly: [log] }),
  'calibration-stale: the compass was moved': (plan, random) => {
    const done = entered(plan, record('heading', compass, headingRuns(random, 3, 4)), 'heading', compass);
    return {
      faulty: [...done, { type: 'describeEquipment', id: compass, changes: { forwardM: 3.4 } }],
      nearly: [
        ...done,
        { type: 'describeCalibration', of: 'heading', sensorId: compass, changes: { toleranceDeg: 3 } },
      ],
    };
  },
  'calibration-uncertain: thermometers that wander': () => ({
    faulty: [log, ...record('temperature', 'e-log', temperatures([0, 0.9, 0.2]))],
    nearly: [log, ...record('temperature', 'e-log', temperatures([0.4, 0.5, 0.4, 0.5]))],
  }),
  'calibration-wrong-sign: a heading turned': (_, random) => {
    const offsetDeg = between(random, 3, 8);
    // With the offset set the wrong way the sensor misses it twice.
    const runs = (byDeg: number): Edit[] => record('heading', compass, headingRuns(random, 2, byDeg));
    return { faulty: [set(-offsetDeg), ...runs(2 * offsetDeg)], nearly: [set(offsetDeg), ...runs(0)] };
  },
  'calibration-off: another offset set since': (plan, random) => {
    const offsetDeg = between(random, 3, 8);
    const runs = record('heading', compass, headingRuns(random, 2, offsetDeg));
    const done = entered(plan, runs, 'heading', compass);
    // Set by somebody, seen, and entered again from the same runs.
    const again = edited(plan, ...done, set(12));
    const entry = entryOf(again, 'heading', compass, { at: '2026-05-02T09:30:00Z', by: 'Installer' });
    if (entry?.type !== 'enterSetting' || entry.kind !== 'heading') throw new Error('There is nothing to enter.');
    const wrong: Edit = { ...entry, asLeft: { ...entry.asLeft, value: (entry.asLeft.value ?? 0) - 9 } };
    return { faulty: [...done, set(12), wrong], nearly: [...done, set(12), entry] };
  },
  'sides-mirrored: a side-scan that has port on its right': () => {
    const seen = (shown: 'port' | 'starboard'): Edit[] => [
      { type: 'placeTransducer', id: 's-side', transducer: aTransducer({ kind: 'side-scan', mounting: 'transom' }) },
      ...record('sides', 's-side', [{ known: 'port', shown, leftOut: false }]),
    ];
    return { faulty: seen('starboard'), nearly: seen('port') };
  },
  'calibration-apart: one thermometer reading misread': () => ({
    faulty: [log, ...record('temperature', 'e-log', temperatures([0.4, 0.5, 0.4, 0.5, 0.4, 0.4, 0.4, 0.5, 1.2]))],
    nearly: [log, ...record('temperature', 'e-log', temperatures([0.4, 0.5, 0.4, 0.5, 0.4, 0.4, 0.4, 0.5, 0.5]))],
  }),
};
