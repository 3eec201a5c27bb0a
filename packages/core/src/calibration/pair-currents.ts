import { eastNorth, wrapped } from './bearings.ts';

interface Run {
  readonly logMps: number;
  readonly headingDeg: number;
  readonly sogMps: number;
  readonly cogDeg: number;
}
export interface Flow {
  readonly east: number;
  readonly north: number;
}

/** Runs of a pair go there and back: nearly opposite. */
const oppositeDeg = 150;
/** Less than so between two pairs is the scatter of runs, m/s. */
const noticedMps = 0.2;

/**
 * The current in each pair of runs there and back, from the mean of the two velocities over ground less that through the
 * water, whose log has to be multiplied by `factor`; null where the runs are no such pairs, two or more.
 */
export const pairCurrents = (runs: readonly Run[], factor: number): Flow[] | null => {
  if (runs.length < 4 || runs.length % 2) return null;
  const flows: Flow[] = [];
  for (let i = 0; i < runs.length; i += 2) {
    const [out, back] = [runs[i], runs[i + 1]];
    if (!out || !back || Math.abs(wrapped(out.headingDeg - back.headingDeg)) < oppositeDeg) return null;
    const ground = [out, back].map(({ cogDeg, sogMps }) => eastNorth(cogDeg, sogMps));
    const through = [out, back].map(({ headingDeg, logMps }) => eastNorth(headingDeg, factor * logMps));
    const mean = (part: 'east' | 'north'): number =>
      ground.reduce((sum, one, k) => sum + (one[part] - (through[k]?.[part] ?? 0)) / 2, 0);
    flows.push({ east: mean('east'), north: mean('north') });
  }
  return flows;
};

/** By how much the current changed between two successive pairs at the most, m/s; null where it is not to be noticed. */
export const turnOf = (flows: readonly Flow[]): number | null => {
  const changes = flows.slice(1).map(({ east, north }, i) => {
    const before = flows[i] ?? { east, north };
    return Math.hypot(east - before.east, north - before.north);
  });
  const most = Math.max(0, ...changes);
  return most > noticedMps ? most : null;
};
