import { polynomial } from './polynomial.ts';

/**
 * Speed of sound in sea water, m/s. Valid for 2 to 30 °C, 25 to 40 ppt, 0 to 8000 m: never in fresh or brackish water.
 * Source: Mackenzie 1981, nine-term equation.
 */
export const mackenzieMps = (t: number, s: number, d: number): number =>
  1448.96 +
  4.591 * t -
  5.304e-2 * t ** 2 +
  2.374e-4 * t ** 3 +
  1.34 * (s - 35) +
  1.63e-2 * d +
  1.675e-7 * d ** 2 -
  1.025e-2 * t * (s - 35) -
  7.139e-13 * t * d ** 3;

/** Speed of sound in sea water, m/s. Valid for 0 to 35 °C, 0 to 45 ppt, 0 to 1000 m. Source: Medwin 1975. */
export const medwinMps = (t: number, s: number, d: number): number =>
  1449.2 + 4.6 * t - 0.055 * t ** 2 + 0.00029 * t ** 3 + (1.34 - 0.01 * t) * (s - 35) + 0.016 * d;

/** Speed of sound in pure water at atmospheric pressure, m/s, for 0 to 95 °C (ITS-90). Source: Marczak 1997. */
export const marczakMps = (t: number): number =>
  polynomial([1402.385, 5.038813, -5.799136e-2, 3.287156e-4, -1.398845e-6, 2.78786e-9], t);
