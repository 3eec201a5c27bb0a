import type { Plan, Transducer, Way, WaySet } from '@grey-keel/model';
import { transducerLowered } from '../plan/lowest-point.ts';
import { waySpeed, waysAfloat } from '../plan/way-speeds.ts';

/** Faster than this a side-scan draws nothing: its pings lie too far apart, and its face is in foam. */
const sideScanToMps = 7;

type Unit = Pick<Transducer, 'kind' | 'mounting' | 'loweredIn'>;

/** Why a unit that transmits in a way of working does so for nothing, or null where it does not. */
export const transmitsInVain = (plan: Plan, unit: Unit, way: Way): string | null => {
  if (!transducerLowered(unit, way)) return `it is out of the water while ${way}`;
  if (unit.kind === 'side-scan' && waySpeed(plan, way).speedMps > sideScanToMps)
    return 'a side-scan draws nothing at that speed';
  return null;
};

/** The ways of working, of those the boat uses afloat, in which a unit that is put on it transmits to begin with. */
export const usefulWays = (plan: Plan, unit: Unit): WaySet =>
  Object.fromEntries(
    waysAfloat(plan)
      .filter((way) => plan.ways[way] && transmitsInVain(plan, unit, way) === null)
      .map((way) => [way, true]),
  );
