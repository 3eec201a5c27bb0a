import * as z from 'zod';
import { stageStateSchema } from './findings/finding.ts';
import { idSchema, instantSchema, nameSchema } from './plan/id.ts';

/** One boat as the fleet lists it. */
export const fleetEntrySchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  lengthM: z.number().nullable(),
  hullForm: z.string(),
  water: z.string(),
  transducers: z.number().int(),
  stages: z.array(z.strictObject({ number: z.number().int(), state: stageStateSchema })),
  stops: z.number().int(),
  checks: z.number().int(),
  number: z.number().int(),
  keptAt: instantSchema,
});
export type FleetEntry = z.output<typeof fleetEntrySchema>;
