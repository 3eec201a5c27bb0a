import type { Plan, Water } from '@grey-keel/model';
import type * as z from 'zod';
import { electricalFloorOf } from '../acoustics/electrical-floor.ts';
import type { imagingFrequency } from './imaging-frequency.ts';

/** What the highest imaging frequency is asked with on this boat: its own electrical floor and its own wind, in a water. */
export const imagingHere = (
  plan: Plan,
  { temperatureC, salinityPpt }: Pick<Water, 'temperatureC' | 'salinityPpt'>,
  rangeM: number,
): z.input<typeof imagingFrequency.input> => ({
  rangeM,
  temperatureC,
  salinityPpt,
  windSpeedMps: plan.scene.windMps,
  electricalFloorDb: electricalFloorOf(plan).in1kHzDb,
});
