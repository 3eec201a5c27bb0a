import { polynomial } from './polynomial.ts';

const pureWater = [
  [1402.388, 5.03711, -5.80852e-2, 3.342e-4, -1.478e-6, 3.1464e-9],
  [0.153563, 6.8982e-4, -8.1788e-6, 1.3621e-7, -6.1185e-10],
  [3.126e-5, -1.7107e-6, 2.5974e-8, -2.5335e-10, 1.0405e-12],
  [-9.7729e-9, 3.8504e-10, -2.3643e-12],
] as const;
const linearInSalinity = [
  [1.389, -1.262e-2, 7.164e-5, 2.006e-6, -3.21e-8],
  [9.4742e-5, -1.258e-5, -6.4885e-8, 1.0507e-8, -2.0122e-10],
  [-3.9064e-7, 9.1041e-9, -1.6002e-10, 7.988e-12],
  [1.1e-10, 6.649e-12, -3.389e-13],
] as const;

/** ITS-90 to the IPTS-68 scale the formula was fitted on (Saunders 1990). */
const toIpts68 = (temperatureC: number): number => 1.00024 * temperatureC;

/**
 * Speed of sound in water, m/s, for temperature in °C (ITS-90), salinity in ppt and gauge pressure in dbar.
 * Valid for 0 to 40 °C, 0 to 40 ppt, 0 to 10 000 dbar.
 * Source: Chen and Millero 1977 in the UNESCO form (Fofonoff and Millard 1983).
 */
export const chenMilleroMps = (temperatureC: number, salinityPpt: number, pressureDbar: number): number => {
  const t = toIpts68(temperatureC);
  const bar = pressureDbar / 10;
  const inPressure = (rows: readonly (readonly number[])[]): number =>
    polynomial(
      rows.map((row) => polynomial(row, t)),
      bar,
    );
  const b = -1.922e-2 - 4.42e-5 * t + (7.3637e-5 + 1.7945e-7 * t) * bar;
  const d = 1.727e-3 - 7.9836e-6 * bar;
  return (
    inPressure(pureWater) + inPressure(linearInSalinity) * salinityPpt + b * salinityPpt ** 1.5 + d * salinityPpt ** 2
  );
};
