import type { Readout } from '@grey-keel/model';

/** What a number looks like on a screen: as wide as the widest it usually gets. */
export const sampleOf: Readonly<Record<Readout, { readonly figure: string; readonly unit: string }>> = {
  depth: { figure: '31.8', unit: 'm' },
  'water temperature': { figure: '7.2', unit: '°C' },
  speed: { figure: '3.4', unit: 'kn' },
  heading: { figure: '284', unit: '°' },
  course: { figure: '281', unit: '°' },
  voltage: { figure: '13.1', unit: 'V' },
  time: { figure: '06:25', unit: '' },
};

/** Digits of the readings' typeface stand this much of its size high. */
export const digitShare = 0.727;
