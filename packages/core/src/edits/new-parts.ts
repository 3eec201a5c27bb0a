import {
  type CalibrationKind,
  type CalibrationOf,
  calibrationParts,
  type DepthOffset,
  isNoted,
  type Source,
} from '@grey-keel/model';

/** What is put in place the first time a transducer's depth is spoken of. */
export const newDepthOffset = (): DepthOffset => ({
  reference: 'waterline',
  offsetSetM: 0,
  soundSpeedAssumedMps: null,
  toleranceM: 0.1,
  displayResolutionM: 0.1,
  readings: {},
});

/** What is put in place the first time a source is spoken of. */
export const newSource = (): Source => ({ name: '', tag: '', temperature: 'none', appearsAfterS: null });

/** What is put in place the first time a sensor's calibration is spoken of. */
export const newCalibration = <K extends CalibrationKind>(kind: K): CalibrationOf<K> =>
  ({
    ...calibrationParts[kind].begins,
    readings: {},
    ...(isNoted(kind) ? { entered: null } : {}),
  }) as unknown as CalibrationOf<K>;
