import { formatFigure, type UnitChoice } from '@grey-keel/core';
import type { PlacedFish } from '@grey-keel/model';

/** A fish as the reader is told of it: how long, how deep, how far to which side. */
export const fishInWords = (fish: PlacedFish, units: UnitChoice): string => {
  const long = formatFigure({ value: fish.lengthCm, quantity: 'fishLength' }, units);
  const deep = formatFigure({ value: fish.depthM, quantity: 'depth' }, units, { decimals: 1 });
  const aside = formatFigure({ value: Math.abs(fish.starboardM), quantity: 'length' }, units, { decimals: 1 });
  return `${long} at ${deep}, ${aside} to ${fish.starboardM < 0 ? 'port' : 'starboard'}`;
};
