import type { Boat } from '@grey-keel/model';

/** A figure of the hull, and whether it was measured or is only usual for such a boat. */
export interface Guessed {
  readonly value: number;
  readonly guessed: boolean;
}

/** Height of the bow above the water for a length, m: base and share of the length, round figures by hull form. */
const bow: Readonly<Record<Boat['hullForm'], readonly [baseM: number, share: number]>> = {
  'planing monohull': [0.5, 0.08],
  displacement: [0.6, 0.1],
  catamaran: [0.55, 0.08],
  'flat-bottomed': [0.3, 0.06],
};

/** The bow's height above the water at rest: as measured, or as is usual for hull form and length. */
export const bowHeightM = ({ bowHeightM: measured, hullForm, lengthM }: Boat): Guessed => {
  if (measured != null) return { value: measured, guessed: false };
  const [baseM, share] = bow[hullForm];
  return { value: baseM + share * (lengthM ?? 6), guessed: true };
};

/** How far the bow rises once it planes, degrees; and how fast that is. Round figures by hull form. */
const rises: Readonly<Record<Boat['hullForm'], number>> = {
  'planing monohull': 4,
  displacement: 1,
  catamaran: 2,
  'flat-bottomed': 3,
};
const planesFromMps = 7;

/** How far the bow is up when running: as measured, or as is usual for hull form and speed. */
export const runningTrimDeg = ({ runningTrimDeg: measured, hullForm, cruiseSpeedMps, topSpeedMps }: Boat): Guessed => {
  if (measured != null) return { value: measured, guessed: false };
  const speedMps = cruiseSpeedMps ?? topSpeedMps ?? planesFromMps;
  return { value: rises[hullForm] * Math.min(1, speedMps / planesFromMps), guessed: true };
};
