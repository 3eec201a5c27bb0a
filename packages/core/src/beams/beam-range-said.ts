import type { Plan } from '@grey-keel/model';
import { workingWater } from '../plan/working-water.ts';
import type { BeamRangeSpan } from './beam-range.ts';

/**
 * A reach as it is said: in metres while it lies within the boat's own water, with what it lies between; beyond it, as
 * what is left over the noise at the bottom of that water, since metres nobody can go to mean nothing.
 */
export type BeamRangeSaid =
  | { readonly within: true; readonly span: BeamRangeSpan }
  | { readonly within: false; readonly spareDb: number; readonly atM: number };

/** The deepest water the boat works in: the greatest of the brief, or what stands in for it. */
export const deepestWaterM = (plan: Plan): number => {
  const water = workingWater(plan);
  return Math.max(plan.working.depthM, water?.greatestM ?? water?.usualDeepestM ?? 0);
};

/** `snrDb` is the signal over noise at a range, and `wantedDb` what the thing wants to be seen. */
export const beamRangeSaid = (
  span: BeamRangeSpan,
  waterM: number,
  snrDb: (rangeM: number) => number,
  wantedDb: number,
): BeamRangeSaid =>
  span.m <= waterM ? { within: true, span } : { within: false, spareDb: snrDb(waterM) - wantedDb, atM: waterM };

/** An echo this far under the noise is gone, whatever a formula makes of it further down, dB. */
export const goneDb = -20;

/** A signal over noise as it may be said: no lower than what is gone. */
export const saidSnrDb = (snrDb: number): number => Math.max(goneDb, snrDb);
