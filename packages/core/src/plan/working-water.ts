import type { Plan, Water } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { soundSpeed } from '../water/sound-speed.ts';

/** The water the plan is drawn and calculated for, or null while none is described. */
export const workingWater = (plan: Plan): Water | null => {
  const { waterId } = plan.working;
  return waterId === null ? null : (plan.waters[waterId] ?? null);
};

/** Mean speed of sound from the surface to a depth: that at half the depth, one layer. */
export const soundSpeedDownTo = (
  water: Pick<Water, 'temperatureC' | 'salinityPpt'>,
  depthM: number,
): Answer<{ soundSpeedMps: number; pressureDbar: number }> =>
  answerOf(soundSpeed, {
    temperatureC: water.temperatureC,
    salinityPpt: water.salinityPpt,
    depthM: Math.max(0, depthM / 2),
  });

/** How far below the waterline a transducer's face lies, or null while the draught is unknown. */
export const faceDepthM = (plan: Plan, aboveKeelM: number): number | null =>
  plan.boat.draughtM === null ? null : plan.boat.draughtM - aboveKeelM;

/** The entries of a record in the order they were made. */
export const inOrder = <T>(record: Readonly<Record<string, T>>): [string, T][] =>
  Object.entries(record).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0));
