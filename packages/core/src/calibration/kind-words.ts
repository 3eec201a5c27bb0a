import type { CalibrationKind } from '@grey-keel/model';

/** What is calibrated, as it begins a sentence. */
export const kindWords: Readonly<Record<CalibrationKind, string>> = {
  'sound speed': 'Speed of sound',
  speed: 'Speed through water',
  temperature: 'Water temperature',
  heading: 'Heading',
  deviation: 'Deviation',
  step: 'Step between two units',
  sides: 'Port and starboard',
  pointing: 'Pointing',
  range: 'Range',
  tilt: 'Tilt',
  antenna: 'Antenna to transducer',
  battery: 'Battery',
  noise: 'Own noise',
};
