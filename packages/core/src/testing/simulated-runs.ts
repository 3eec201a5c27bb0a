import { bearingOf, eastNorth } from '../calibration/bearings.ts';
import { normal } from './sample-plan.ts';

export interface SimulatedRuns {
  readonly runs: readonly {
    readonly logMps: number;
    readonly headingDeg: number;
    readonly sogMps: number;
    readonly cogDeg: number;
  }[];
  /** True speed through the water for one displayed. */
  readonly factor: number;
  /** What the heading sensor misses. */
  readonly offsetDeg: number;
  readonly currentMps: { readonly east: number; readonly north: number };
}

const stepped = (value: number, step: number): number => (step > 0 ? Math.round(value / step) * step : value);
const round = (deg: number): number => ((deg % 360) + 360) % 360;

/**
 * Straight runs of a boat whose log, heading sensor and current are hidden, as its displays show them: in a current of up
 * to 1.5 m/s, with noise of averages (0.05 m/s, 1 degree) and steps of 0.1 knot and 1 degree unless told `exact`.
 */
export const simulatedRuns = (
  uniform: () => number,
  headings: readonly number[],
  { exact = false }: { readonly exact?: boolean } = {},
): SimulatedRuns => {
  const noise = exact ? 0 : 1;
  const factor = 0.85 + 0.3 * uniform();
  const offsetDeg = 20 * (uniform() - 0.5);
  const currentMps = eastNorth(360 * uniform(), 1.5 * uniform());
  const throughMps = 3 + 2 * uniform();
  const runs = headings.map((wantedDeg) => {
    const through = eastNorth(wantedDeg, throughMps);
    const over = { east: through.east + currentMps.east, north: through.north + currentMps.north };
    const speed = (value: number): number =>
      Math.max(0, stepped(value + 0.05 * noise * normal(uniform), noise * 0.0514));
    const angle = (value: number): number => round(stepped(value + noise * normal(uniform), noise));
    return {
      logMps: speed(throughMps / factor),
      headingDeg: angle(wantedDeg - offsetDeg),
      sogMps: speed(Math.hypot(over.east, over.north)),
      cogDeg: angle(bearingOf(over)),
    };
  });
  return { runs, factor, offsetDeg, currentMps };
};

/** Reciprocal pairs, each a quarter turn from the last. */
export const pairsFrom = (firstDeg: number, pairs: number): number[] =>
  Array.from({ length: 2 * pairs }, (_, i) => round(firstDeg + 180 * i + 90 * Math.floor(i / 2)));
