import { placeSchema, type Place } from '@grey-keel/model';

/** A place as a drawing offers it: to the centimetre, and within what the plan takes. */
export function placeWithinBounds(to: Place): Place {
  const within = (key: keyof Place): number => {
    const { minValue, maxValue } = placeSchema.shape[key];
    return Math.round(100 * Math.min(maxValue ?? 60, Math.max(minValue ?? -10, to[key]))) / 100;
  };
  return {
    forwardM: within('forwardM'),
    starboardM: within('starboardM'),
    aboveKeelM: Math.min(10, within('aboveKeelM')),
  };
}
