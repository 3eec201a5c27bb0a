import type { Plan, WorkingStep } from '@grey-keel/model';
import { calculated, given } from '../calculation/working-step.ts';
import { heldBy } from '../plan/held-by.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { readAt } from '../plan/read-at.ts';
import { displaySound } from '../sources/display-sound.ts';
import { readingSoundSpeedMps } from './depth-offset-subject.ts';

/** A speed of sound off by more makes every depth wrong by more than any offset puts right. */
const mostShare = 0.01;

/** That a display works with a speed of sound that is not the water's, by more than a hundredth. */
export interface SoundOff {
  /** The display that is farthest off; null where it is not known which it is. */
  readonly stationId: string | null;
  readonly usedMps: number;
  readonly waterMps: number;
  /** Of the depth; positive where it shows too much water. */
  readonly share: number;
  /** Somebody looked at the display; else it is what the readings were taken with. */
  readonly looked: boolean;
  readonly working: WorkingStep;
}

/** The displays that show a transducer's depth: those it feeds, else the one it is read on. */
const shownAt = (plan: Plan, transducerId: string): string[] => {
  const fed = inOrder(plan.feeds).flatMap(([id, { depth }]) =>
    plan.displays[id] && (depth?.sourceId === transducerId || depth?.fallbackId === transducerId) ? [id] : [],
  );
  const [only] = fed.length ? [] : [readAt(plan, transducerId)];
  return only ? [only] : fed;
};

/**
 * What a display of a transducer uses against the water's speed of sound down to the working depth, where that is farthest
 * off: as it was looked at, else as the display was set while readings were taken. Null where nothing is known of it, or all
 * agree to a hundredth.
 */
export const soundOff = (plan: Plan, transducerId: string): SoundOff | null => {
  const water = workingWater(plan);
  if (!water) return null;
  const { depthM } = plan.working;
  const waterMps = soundSpeedDownTo(water, depthM).soundSpeedMps;
  const stations = shownAt(plan, transducerId);
  const looked = stations.flatMap((stationId) => {
    const sound = displaySound(heldBy(plan, stationId, 'sound'), water, depthM);
    return sound ? [{ stationId, usedMps: sound.soundSpeedMps, looked: true }] : [];
  });
  const readMps = looked.length ? null : readingSoundSpeedMps(plan, transducerId);
  const used = [
    ...looked,
    ...(readMps === null ? [] : [{ stationId: stations[0] ?? null, usedMps: readMps, looked: false }]),
  ];
  const [first] = used;
  if (!first) return null;
  const off = ({ usedMps }: { readonly usedMps: number }): number => Math.abs(usedMps / waterMps - 1);
  const worst = used.reduce<(typeof used)[number]>((a, b) => (off(b) > off(a) ? b : a), first);
  if (off(worst) <= mostShare) return null;
  const share = worst.usedMps / waterMps - 1;
  return {
    ...worst,
    waterMps,
    share,
    working: calculated(
      {
        says: 'How far every depth is off by the display’s speed of sound',
        symbol: 'e',
        value: share,
        unit: '',
        expression: 'a / c - 1',
        source: 'depth is half the echo’s time at the speed of sound that is used',
      },
      given('a', worst.usedMps, 'm/s', 'the display uses'),
      given('c', waterMps, 'm/s', 'of the water'),
    ),
  };
};
