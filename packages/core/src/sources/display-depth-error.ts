import type { Plan } from '@grey-keel/model';
import { calculated, given } from '../calculation/working-step.ts';
import { heldBy } from '../plan/held-by.ts';
import { soundSpeedDownTo, workingWater } from '../plan/working-water.ts';
import { displaySalinityPpt, displaySound } from './display-sound.ts';

/** By how much a display shows a depth too deep, with a speed of sound that is not the water's, m. */
const depthErrorStep = (depthM: number, usedMps: number, waterMps: number, what: string) =>
  calculated(
    {
      says: `Shown too deep at ${depthM.toFixed(1)} m, or too shallow where it is negative`,
      symbol: 'e',
      value: depthM * (usedMps / waterMps - 1),
      unit: 'm',
      expression: 'd * (a / c - 1)',
      source: 'depth is half the echo’s time at the speed of sound that is used',
    },
    given('d', depthM, 'm', 'depth'),
    given('a', usedMps, 'm/s', `speed of sound the display uses, ${what}`),
    given('c', waterMps, 'm/s', 'speed of sound of the water'),
  );

/** What a station's display makes of a depth by its own speed of sound; null where its setting or the water is unknown. */
export const displayDepthError = (plan: Plan, stationId: string, depthM: number) => {
  const water = workingWater(plan);
  const sound = water && displaySound(heldBy(plan, stationId, 'sound'), water, depthM);
  if (!water || !sound) return null;
  const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
  const what = sound.setTo === 'own figure' ? 'a figure of its own' : `${displaySalinityPpt[sound.setTo]} ppt`;
  return { ...sound, step: depthErrorStep(depthM, sound.soundSpeedMps, there, what) };
};
