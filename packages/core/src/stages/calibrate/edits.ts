import {
  calibrateEditSchemas,
  type CalibrationKind,
  type CalibrationOf,
  type CalibrationReading,
  type DepthOffset,
  type Plan,
} from '@grey-keel/model';
import { collection, has } from '../../edits/collection.ts';
import { batteries, equipment, stations, transducers } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { newCalibration, newDepthOffset } from '../../edits/new-parts.ts';

const offsetOf = (plan: Plan, transducerId: string): DepthOffset => {
  transducers.get(plan, transducerId);
  return (plan.depthOffsets[transducerId] ??= newDepthOffset());
};
const readingsOf = (transducerId: string) =>
  collection(`depthOffsets.${transducerId}.readings`, 'reading', (plan) => offsetOf(plan, transducerId).readings);

/** How a sensor is calibrated, begun where it was not spoken of yet. */
const calibration = <K extends CalibrationKind>(plan: Plan, kind: K, sensorId: string): CalibrationOf<K> => {
  const holders = [transducers, stations, batteries, equipment];
  const holder = [plan.transducers, plan.stations, plan.power.batteries].findIndex((held) => has(held, sensorId));
  (holders[holder] ?? equipment).get(plan, sensorId);
  const ofKind = plan.calibrations[kind] as Record<string, CalibrationOf<K>>;
  return (ofKind[sensorId] ??= newCalibration(kind));
};
const calibrationReadings = (kind: CalibrationKind, sensorId: string) =>
  collection<CalibrationReading<CalibrationKind>>(
    `calibrations.${kind}.${sensorId}.readings`,
    'reading',
    (plan) => calibration(plan, kind, sensorId).readings,
  );

export const calibrateEdits = editRows(calibrateEditSchemas, {
  describeDepthOffset: (plan, { transducerId, changes }) => {
    Object.assign(offsetOf(plan, transducerId), changes);
  },
  recordReading: (plan, { transducerId, readingId, reading }) => readingsOf(transducerId).add(plan, readingId, reading),
  correctReading: (plan, { transducerId, readingId, changes }) =>
    readingsOf(transducerId).describe(plan, readingId, changes),
  removeReading: (plan, { transducerId, readingId }) => {
    readingsOf(transducerId).remove(plan, readingId);
  },
  describeCalibration: (plan, { of, sensorId, changes }) => {
    Object.assign(calibration(plan, of, sensorId), changes);
  },
  recordCalibration: (plan, { of, sensorId, readingId, reading }) =>
    calibrationReadings(of, sensorId).add(plan, readingId, reading),
  correctCalibration: (plan, { of, sensorId, readingId, changes }) =>
    calibrationReadings(of, sensorId).describe(plan, readingId, changes),
  removeCalibrationReading: (plan, { of, sensorId, readingId }) => {
    calibrationReadings(of, sensorId).remove(plan, readingId);
  },
  noteCalibration: (plan, { of, sensorId, entered }) => {
    calibration(plan, of, sensorId).entered = entered;
  },
});
