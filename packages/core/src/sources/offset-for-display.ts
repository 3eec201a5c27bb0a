import type { Plan } from '@grey-keel/model';
import { depthDisplayOf } from './depth-display.ts';
import { readAt } from '../plan/read-at.ts';

/**
 * The offset as a display takes it, m: to the step of its own unit, and to the safe side, so that it shows less water
 * rather than more. Where nobody looked at the display, the step its readings were taken with.
 */
export const offsetForDisplay = (
  plan: Plan,
  transducerId: string,
  offsetM: number,
  stationId = readAt(plan, transducerId),
): number => {
  const display = stationId === null ? null : depthDisplayOf(plan, stationId);
  const stepM = display?.said
    ? display.step * display.metresPerUnit
    : (plan.depthOffsets[transducerId]?.displayResolutionM ?? 0.1);
  // A figure that is on a step but for the last bits of its binary form stays there.
  return Number((Math.floor(Math.round((offsetM / stepM) * 1e6) / 1e6) * stepM).toFixed(9));
};
