import type { CalibrationKind, CalibrationOf, DepthOffset, Source, UnitSettings } from '@grey-keel/model';

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

const newCalibrations: { readonly [K in CalibrationKind]: () => CalibrationOf<K> } = {
  speed: () => ({
    setFactor: 1,
    toleranceFactor: 0.03,
    lagS: 10,
    north: 'true',
    variationDeg: null,
    readings: {},
    entered: null,
  }),
  temperature: () => ({ setByC: 0, toleranceByC: 0.3, lagS: 60, readings: {}, entered: null }),
  heading: () => ({
    setDeg: 0,
    toleranceDeg: 2,
    lagS: 3,
    north: 'true',
    variationDeg: null,
    readings: {},
    entered: null,
  }),
  deviation: () => ({ toleranceDeg: 2, readings: {}, entered: null }),
  'sound speed': () => ({
    setMps: 1500,
    toleranceMps: 8,
    thermometerByC: 0.5,
    saltByPpt: 0.5,
    readings: {},
    entered: null,
  }),
  step: () => ({ otherId: null, setM: 0, toleranceM: 0.1, readings: {}, entered: null }),
  sides: () => ({ readings: {}, entered: null }),
  pointing: () => ({ setDeg: 0, toleranceDeg: 3, readings: {}, entered: null }),
  range: () => ({ way: 'by triangle', toleranceFactor: 0.05, readings: {}, entered: null }),
  tilt: () => ({ changesAtDeg: null, toleranceDeg: 2, readings: {}, entered: null }),
  antenna: () => ({ setForwardM: 0, setStarboardM: 0, toleranceM: 1, readings: {}, entered: null }),
  battery: () => ({ toleranceFactor: 0.1, readings: {}, entered: null }),
  noise: () => ({ toleranceDb: 10, readings: {}, entered: null }),
};

/** What is put in place the first time a sensor's calibration is spoken of. */
export const newCalibration = <K extends CalibrationKind>(kind: K): CalibrationOf<K> => newCalibrations[kind]();
