import type { Equipment, Plan } from '@grey-keel/model';

/** So far under its blades the skeg of an outboard, a sterndrive or an electric motor usually ends, m. */
export const usualSkegM = 0.05;

/** What drives a boat by a leg with a skeg; a shaft has none. */
const onALeg: readonly Plan['boat']['propulsion'][] = ['single outboard', 'twin outboards', 'sterndrive', 'electric'];
export const hasLegs = ({ boat }: Plan): boolean => onALeg.includes(boat.propulsion);

export interface Skeg {
  /** Its lowest edge below the blades' lowest sweep, m. */
  readonly belowBladesM: number;
  /** Nobody measured it. */
  readonly assumed: boolean;
}

/** The skeg under a propeller: as measured, 0 for none, else the usual one where the boat is driven by legs; null where there is none. */
export const skegOf = (plan: Plan, { kind, skegBelowBladesM }: Equipment): Skeg | null => {
  if (kind !== 'propeller') return null;
  if (skegBelowBladesM != null) return skegBelowBladesM > 0 ? { belowBladesM: skegBelowBladesM, assumed: false } : null;
  return hasLegs(plan) ? { belowBladesM: usualSkegM, assumed: true } : null;
};
