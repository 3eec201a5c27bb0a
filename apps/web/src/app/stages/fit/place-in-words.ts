import { formatFigure, type UnitChoice } from '@grey-keel/core';
import type { Place } from '@grey-keel/model';

/** A place on the boat as one says it: how far from the transom, to which side and how high, for a screen reader. */
export function placeInWords({ forwardM, starboardM, aboveKeelM }: Place, units: UnitChoice): string {
  const text = (value: number): string => formatFigure({ value: Math.abs(value), quantity: 'length' }, units);
  return `${text(forwardM)} ${forwardM < 0 ? 'astern' : 'forward'} of the transom, ${text(starboardM)} to ${starboardM < 0 ? 'port' : 'starboard'}, ${text(aboveKeelM)} ${aboveKeelM < 0 ? 'below' : 'above'} the keel`;
}
