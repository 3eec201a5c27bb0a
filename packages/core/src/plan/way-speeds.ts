import { waysOfWorking, type Plan, type Way } from '@grey-keel/model';

/** The ways of working a boat uses afloat, in their order; every one while none is chosen. */
export const waysAfloat = (plan: Plan): Way[] => {
  const afloat = waysOfWorking.filter((way) => way !== 'trailer');
  const used = afloat.filter((way) => plan.ways[way]);
  return used.length ? used : afloat;
};

/** Usual speeds over the ground, m/s, where the brief says none: round figures of ours. */
const usualMps: Readonly<Record<Exclude<Way, 'running' | 'trailer'>, number>> = {
  searching: 2.5,
  approaching: 1,
  'on the spot': 0.3,
  casting: 0.5,
  trolling: 1.3,
  drifting: 0.5,
  anchored: 0,
};

export interface WaySpeed {
  readonly speedMps: number;
  /** False where it is a usual figure and not the boat's own. */
  readonly said: boolean;
}

/** How fast the boat goes in a way of working: running at the cruise speed of the brief, otherwise as is usual. */
export const waySpeed = ({ boat }: Plan, way: Way): WaySpeed => {
  if (way === 'trailer') return { speedMps: 0, said: true };
  if (way !== 'running') return { speedMps: usualMps[way], said: false };
  const speedMps = boat.cruiseSpeedMps ?? boat.topSpeedMps;
  return speedMps === null ? { speedMps: 5, said: false } : { speedMps, said: true };
};
