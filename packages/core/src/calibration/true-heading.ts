import type { CalibrationSettings } from '@grey-keel/model';

/** What has to be added to a heading as it is shown to have it from true north; null where the variation is not known. */
export const northTurnDeg = ({
  north,
  variationDeg,
}: Pick<CalibrationSettings<'heading'>, 'north' | 'variationDeg'>): number | null =>
  north === 'true' ? 0 : variationDeg;

/** Why a heading from magnetic north is of no use yet. */
export const variationMissing =
  'The heading is shown from magnetic north and the variation is missing: give it, or set the display to true north.';

/** A heading turned, as 0 to below 360. */
export const turned = (deg: number, byDeg: number): number => (((deg + byDeg) % 360) + 360) % 360;
