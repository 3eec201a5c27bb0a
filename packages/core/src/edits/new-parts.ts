import {
  type CalibrationKind,
  type CalibrationOf,
  calibrationParts,
  type DepthOffset,
  type Source,
  type UnitSettings,
} from '@grey-keel/model';

/** What is put in place the first time a transducer's depth is spoken of. */
export const newDepthOffset = (): DepthOffset => ({
  reference: 'waterline',
  offsetSetM: 0,
  soundSpeedAssumedMps: null,
  toleranceM: 0.1,
  displayResolutionM: 0.1,
  readings: {},
  entered: null,
});

/** What is put in place the first time a source or a display's own settings are spoken of. */
export const newSource = (): Source => ({ name: '', tag: '', selected: '', temperature: 'none', appearsAfterS: null });
export const newUnitSettings = (): UnitSettings => ({
  waterType: null,
  north: null,
  sidesRight: 'not looked at',
  done: {},
});

/** What is put in place the first time a sensor's calibration is spoken of. */
export const newCalibration = <K extends CalibrationKind>(kind: K): CalibrationOf<K> =>
  ({ ...calibrationParts[kind].begins, readings: {}, entered: null }) as unknown as CalibrationOf<K>;
