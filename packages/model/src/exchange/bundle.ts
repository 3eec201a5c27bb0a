import * as z from 'zod';
import { catalogueEntrySchema } from '../catalogue/entry.ts';
import { instantSchema } from '../plan/id.ts';
import { planSchema } from '../plan/plan.ts';

export const bundleVersion = 1;

/** One boat as a file: her plan and the catalogue entries she was equipped from. */
export const bundleSchema = z.strictObject({
  format: z.literal('grey-keel-bundle'),
  version: z.literal(bundleVersion),
  exportedAt: instantSchema,
  plan: planSchema,
  catalogue: z.array(catalogueEntrySchema).max(500),
});
export type Bundle = z.output<typeof bundleSchema>;
