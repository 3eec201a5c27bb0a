import type { AbsorptionParts } from './francois-garrison.ts';

/**
 * Absorption in dB/km at a frequency in kHz; temperature °C, salinity ppt, depth m.
 * Valid for -6 to 35 °C, 5 to 50 ppt, 0 to 7 km, pH 7.7 to 8.3; its fresh-water part is 6 to 9 % high.
 * Source: Ainslie and McColm 1998.
 */
export const ainslieMcColm = (
  frequencyKHz: number,
  t: number,
  s: number,
  depthM: number,
  pH: number,
): AbsorptionParts => {
  const f2 = frequencyKHz ** 2;
  const z = depthM / 1000;
  const boricKHz = 0.78 * Math.sqrt(s / 35) * Math.exp(t / 26);
  const magnesiumKHz = 42 * Math.exp(t / 17);
  return {
    boricAcid: s === 0 ? 0 : ((0.106 * boricKHz * f2) / (f2 + boricKHz ** 2)) * Math.exp((pH - 8) / 0.56),
    magnesiumSulphate:
      0.52 * (1 + t / 43) * (s / 35) * ((magnesiumKHz * f2) / (f2 + magnesiumKHz ** 2)) * Math.exp(-z / 6),
    water: 0.00049 * f2 * Math.exp(-(t / 27 + z / 17)),
  };
};
