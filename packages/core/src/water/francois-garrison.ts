import { polynomial } from './polynomial.ts';

/** The three parts of absorption, dB/km. */
export interface AbsorptionParts {
  readonly boricAcid: number;
  readonly magnesiumSulphate: number;
  readonly water: number;
}

const relaxation = (frequencyKHz: number, relaxationKHz: number): number =>
  relaxationKHz === 0 ? 0 : (relaxationKHz * frequencyKHz ** 2) / (relaxationKHz ** 2 + frequencyKHz ** 2);

/**
 * Absorption in dB/km at a frequency in kHz; temperature °C, salinity ppt, depth m.
 * Measured for -2 to 22 °C, 30 to 35 ppt, 0.4 kHz to 1 MHz; without salt only the water's own part remains.
 * Source: Francois and Garrison 1982, parts I and II.
 */
export const francoisGarrison = (
  frequencyKHz: number,
  t: number,
  s: number,
  depthM: number,
  pH: number,
): AbsorptionParts => {
  const kelvin = 273 + t;
  const c = 1412 + 3.21 * t + 1.19 * s + 0.0167 * depthM;

  const boricKHz = 2.8 * Math.sqrt(s / 35) * 10 ** (4 - 1245 / kelvin);
  const boricAcid = (8.86 / c) * 10 ** (0.78 * pH - 5) * relaxation(frequencyKHz, boricKHz);

  const magnesiumKHz = (8.17 * 10 ** (8 - 1990 / kelvin)) / (1 + 0.0018 * (s - 35));
  const magnesiumPressure = 1 - 1.37e-4 * depthM + 6.2e-9 * depthM ** 2;
  const magnesiumSulphate =
    ((21.44 * s) / c) * (1 + 0.025 * t) * magnesiumPressure * relaxation(frequencyKHz, magnesiumKHz);

  const warmth =
    t <= 20
      ? polynomial([4.937e-4, -2.59e-5, 9.11e-7, -1.5e-8], t)
      : polynomial([3.964e-4, -1.146e-5, 1.45e-7, -6.5e-10], t);
  const water = warmth * (1 - 3.83e-5 * depthM + 4.9e-10 * depthM ** 2) * frequencyKHz ** 2;

  return { boricAcid, magnesiumSulphate, water };
};
