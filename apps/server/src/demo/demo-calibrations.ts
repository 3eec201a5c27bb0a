import { entryOf } from '@grey-keel/core';
import type { CalibrationKind, CalibrationReading, Edit, Plan } from '@grey-keel/model';
import { knots } from './demo-boat.ts';

const radian = Math.PI / 180;
const steps = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6));
const around = (deg: number): number => ((deg % 360) + 360) % 360;

/** A boat on straight runs in a current, as its instruments show it: what the log shows is `factor` times too little. */
export interface DemoRuns {
  readonly headingsDeg: readonly number[];
  readonly throughMps: number;
  readonly current: { readonly eastMps: number; readonly northMps: number };
  readonly factor: number;
  /** What the compass shows too little. */
  readonly offsetDeg: number;
  /** Helm and waves: by how much each run's heading is off its line. */
  readonly strayDeg: readonly number[];
}

const runsOf = ({ headingsDeg, throughMps, current, factor, offsetDeg, strayDeg }: DemoRuns) =>
  headingsDeg.map((headingDeg, i) => {
    const east = throughMps * Math.sin(headingDeg * radian) + current.eastMps;
    const north = throughMps * Math.cos(headingDeg * radian) + current.northMps;
    return {
      logMps: steps(throughMps / factor, knots(0.1)),
      headingDeg: around(steps(headingDeg - offsetDeg + (strayDeg[i] ?? 0), 1)),
      sogMps: steps(Math.hypot(east, north), knots(0.1)),
      cogDeg: around(steps(Math.atan2(east, north) / radian, 1)),
      leftOut: false,
    };
  });

export const headingEdits = (sensorId: string, runs: DemoRuns): Edit[] =>
  runsOf(runs).map(({ logMps: _, ...reading }, i) => ({
    type: 'recordCalibration',
    of: 'heading',
    sensorId,
    readingId: `a${i + 1}`,
    reading,
  }));

/** The log's runs are on true headings: the compass is right by then. */
export const speedEdits = (sensorId: string, runs: DemoRuns): Edit[] =>
  runsOf({ ...runs, offsetDeg: 0 }).map((reading, i) => ({
    type: 'recordCalibration',
    of: 'speed',
    sensorId,
    readingId: `a${i + 1}`,
    reading,
  }));

export const temperatureEdits = (sensorId: string, pairs: readonly (readonly [number, number])[]): Edit[] =>
  pairs.map(([referenceC, displayedC], i) => ({
    type: 'recordCalibration',
    of: 'temperature',
    sensorId,
    readingId: `a${i + 1}`,
    reading: { referenceC, displayedC, leftOut: false },
  }));

/** Readings of any kind as they were typed. */
export const typedEdits = <K extends CalibrationKind>(
  of: K,
  sensorId: string,
  readings: readonly Omit<CalibrationReading<K>, 'leftOut' | 'from'>[],
): Edit[] =>
  readings.map(
    (reading, i) =>
      ({
        type: 'recordCalibration',
        of,
        sensorId,
        readingId: `a${i + 1}`,
        reading: { ...reading, leftOut: false },
      }) as unknown as Edit,
  );

export const enterSensor = (plan: Plan, of: CalibrationKind, sensorId: string, at: string): Edit => {
  const entry = entryOf(plan, of, sensorId, { at, by: 'Tarrowby Sonar Works' });
  if (!entry) throw new Error(`Demo data: ${of} of ${sensorId} has nothing to enter.`);
  return entry.type === 'enterSetting' ? ({ ...entry, asLeft: { ...entry.asLeft, seenAgainAt: at } } as Edit) : entry;
};
