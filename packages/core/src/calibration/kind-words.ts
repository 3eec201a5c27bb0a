import type { CalibrationKind } from '@grey-keel/model';

/** What is calibrated, as it begins a sentence. */
export const kindWords: Readonly<Record<CalibrationKind, string>> = {
  speed: 'Speed through water',
  temperature: 'Water temperature',
  heading: 'Heading',
  deviation: 'Deviation',
};
