import type { displayWaters, SettingValue, Water } from '@grey-keel/model';
import { soundSpeedDownTo } from '../plan/working-water.ts';

type SoundWater = Pick<Water, 'temperatureC' | 'salinityPpt'>;
export type DisplayWater = (typeof displayWaters)[number];

/** The salt a display takes for each of its water types, ppt: round figures of ours, a maker's own come first. */
export const displaySalinityPpt: Readonly<Record<DisplayWater, number>> = { fresh: 0, brackish: 10, salt: 35 };

/** Mean speed of sound down to a depth for a display that is set to a type of water and measures its temperature. */
export const soundOfType = (type: DisplayWater, { temperatureC }: SoundWater, depthM: number): number =>
  soundSpeedDownTo({ temperatureC, salinityPpt: displaySalinityPpt[type] }, depthM).soundSpeedMps;

/** What a display is set to, in words, and the speed of sound that gives it in a water; null where nobody looked. */
export const displaySound = (
  held: SettingValue<'sound'> | null,
  water: SoundWater,
  depthM: number,
): { readonly setTo: DisplayWater | 'own figure'; readonly soundSpeedMps: number } | null => {
  if (!held) return null;
  return 'waterType' in held
    ? { setTo: held.waterType, soundSpeedMps: soundOfType(held.waterType, water, depthM) }
    : { setTo: 'own figure', soundSpeedMps: held.soundSpeedMps };
};
