import type { displayWaters, Plan, Water } from '@grey-keel/model';
import type { heldBy } from '../plan/held-by.ts';
import { inOrder, soundSpeedDownTo } from '../plan/working-water.ts';

type SoundWater = Pick<Water, 'temperatureC' | 'salinityPpt'>;
export type DisplayWater = (typeof displayWaters)[number];

/** The salt a display takes for each of its water types, ppt: round figures of ours, a maker's own come first. */
export const displaySalinityPpt: Readonly<Record<DisplayWater, number>> = { fresh: 0, brackish: 10, salt: 35 };

/** Mean speed of sound down to a depth for a display that is set to a type of water and measures its temperature. */
export const soundOfType = (type: DisplayWater, { temperatureC }: SoundWater, depthM: number): number =>
  soundSpeedDownTo({ temperatureC, salinityPpt: displaySalinityPpt[type] }, depthM).soundSpeedMps;

/** What a display is set to, in words, and the speed of sound that gives it in a water; null where nobody looked. */
export const displaySound = (
  held: ReturnType<typeof heldBy<'sound'>>,
  water: SoundWater,
  depthM: number,
): { readonly setTo: DisplayWater | 'own figure'; readonly soundSpeedMps: number } | null => {
  if (!held) return null;
  return 'waterType' in held
    ? { setTo: held.waterType, soundSpeedMps: soundOfType(held.waterType, water, depthM) }
    : { setTo: 'own figure', soundSpeedMps: held.soundSpeedMps };
};

/**
 * The station whose display a transducer's depth is read on: the first it feeds, else the one its cable ends at, else
 * the only one; null where none of these is there.
 */
export const readAt = (plan: Plan, transducerId: string): string | null => {
  const fed = inOrder(plan.feeds).find(
    ([id, { depth }]) => plan.displays[id] && (depth?.sourceId === transducerId || depth?.fallbackId === transducerId),
  );
  if (fed) return fed[0];
  const linked = plan.network.links[transducerId]?.to;
  if (linked !== undefined && plan.displays[linked]) return linked;
  const [only, another] = Object.keys(plan.displays);
  return another === undefined ? (only ?? null) : null;
};
