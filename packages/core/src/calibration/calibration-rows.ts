import type { CalibrationKind, Plan } from '@grey-keel/model';
import { antennaCalibration } from './antenna-calibration.ts';
import { batteryCalibration } from './battery-calibration.ts';
import type { CalibratedSensor } from './calibrated-sensors.ts';
import type { CalibrationRow } from './define-calibration.ts';
import { deviationCalibration } from './deviation-calibration.ts';
import { headingCalibration } from './heading-calibration.ts';
import { noiseCalibration } from './noise-calibration.ts';
import { pointingCalibration } from './pointing-calibration.ts';
import { rangeCalibration } from './range-calibration.ts';
import { sidesCalibration } from './sides-calibration.ts';
import { soundSpeedCalibration } from './sound-speed-calibration.ts';
import { speedCalibration } from './speed-calibration.ts';
import { stepCalibration } from './step-calibration.ts';
import { temperatureCalibration } from './temperature-calibration.ts';
import { tiltCalibration } from './tilt-calibration.ts';

/** Every kind of calibration: all are asked, entered and told alike. */
export const calibrationRows: { readonly [K in CalibrationKind]: CalibrationRow<K> } = {
  'sound speed': soundSpeedCalibration,
  speed: speedCalibration,
  temperature: temperatureCalibration,
  heading: headingCalibration,
  deviation: deviationCalibration,
  step: stepCalibration,
  sides: sidesCalibration,
  pointing: pointingCalibration,
  range: rangeCalibration,
  tilt: tiltCalibration,
  antenna: antennaCalibration,
  battery: batteryCalibration,
  noise: noiseCalibration,
};

/** What of a boat is calibrated by a procedure of a kind. */
export const calibratedSensors = (plan: Plan, kind: CalibrationKind): CalibratedSensor[] =>
  calibrationRows[kind].of(plan);
/** What is calibrated, as it begins a sentence. */
export const kindWord = (kind: CalibrationKind): string => calibrationRows[kind].word;
