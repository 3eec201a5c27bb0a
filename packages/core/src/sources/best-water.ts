import { displayWaters, type Plan } from '@grey-keel/model';
import { soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { type DisplayWater, soundOfType } from './display-sound.ts';

/** Under this share of the depth, and under this in metres, a wrong speed of sound is lost in what a display shows. */
const noticeableShare = 0.005;
const noticeableM = 0.05;

/** Whether it is seen that a display shows a depth so much too deep, or too shallow; both in metres. */
export const isNoticed = (errorM: number, depthM: number): boolean =>
  Math.abs(errorM) >= Math.max(noticeableM, noticeableShare * depthM);

/**
 * The water type whose speed of sound errs least at the working depth, with by how much it shows that too deep, m; null
 * while the water is not described.
 */
export const bestWater = (plan: Plan): { readonly type: DisplayWater; readonly errorM: number } | null => {
  const water = workingWater(plan);
  if (!water) return null;
  const { depthM } = plan.working;
  const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
  const errors = displayWaters.map((type) => ({
    type,
    errorM: depthM * (soundOfType(type, water, depthM) / there - 1),
  }));
  return errors.sort((a, b) => Math.abs(a.errorM) - Math.abs(b.errorM))[0] ?? null;
};
