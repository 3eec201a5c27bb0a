import * as z from 'zod';
import { nameSchema } from './id.ts';

export const waterKinds = ['fresh', 'brackish', 'salt'] as const;
export const clarities = ['clear', 'mixed', 'turbid'] as const;

const depthM = z.number().min(0.3).max(11000).nullable();
const temperatureC = z.number().min(0).max(40);

export const waterSchema = z.strictObject({
  name: nameSchema,
  kind: z.enum(waterKinds),
  salinityPpt: z.number().min(0).max(40),
  /** The temperature the water is computed at: the usual one where the sonar works. */
  temperatureC,
  coldestC: temperatureC.nullable(),
  warmestC: temperatureC.nullable(),
  shallowestM: depthM,
  usualDeepestM: depthM,
  greatestM: depthM,
  clarity: z.enum(clarities),
});
export type Water = z.output<typeof waterSchema>;
