import fCdf from '@stdlib/stats-base-dists-f-cdf';
import { leastSquares } from './least-squares.ts';

export interface DepthLine {
  readonly scale: number;
  readonly offsetM: number;
  readonly justified: boolean;
  /** Standard error of the line at its middle: the scatter about it, without what the scale makes of the depths. */
  readonly errorM: number;
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Least squares of lead line = scale x range + offset. A scale other than 1 is justified only by five readings or more
 * whose greatest depth is at least twice the least, and by an F-test at 5 % against the offset alone; null below three
 * readings. Source: Draper and Smith 1998, ch. 1.
 */
export const fitDepthLine = (rangesM: readonly number[], leadM: readonly number[]): DepthLine | null => {
  const n = rangesM.length;
  if (n < 3) return null;
  const fit = leastSquares(
    rangesM.map((range) => [range, 1]),
    leadM,
  );
  if (!fit) return null;
  const [scale = 1, offsetM = 0] = fit.values;
  const alone = mean(leadM) - mean(rangesM);
  const withScale = fit.rms ** 2 * n;
  const offsetOnly = rangesM.reduce((sum, range, i) => sum + ((leadM[i] ?? 0) - range - alone) ** 2, 0);
  const wideEnough = n >= 5 && Math.max(...leadM) >= 2 * Math.min(...leadM);
  const f = withScale > 1e-12 ? (offsetOnly - withScale) / (withScale / (n - 2)) : Number.POSITIVE_INFINITY;
  const gain = offsetOnly - withScale > 1e-9;
  return {
    scale,
    offsetM,
    errorM: Math.sqrt(withScale / (n - 2) / n),
    justified: wideEnough && gain && (f === Number.POSITIVE_INFINITY || 1 - fCdf(f, 1, n - 2) < 0.05),
  };
};
