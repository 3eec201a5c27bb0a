import * as z from 'zod';
import { catalogueEntrySchema } from '../catalogue/entry.ts';
import { largestPhotographBytes, mostPhotographs } from '../plan/photograph.ts';
import { idSchema, instantSchema, recordById } from '../plan/id.ts';
import { planSchema } from '../plan/plan.ts';
import { openedBoatSchema } from './revision.ts';

export const bundleVersion = 1;

/**
 * The longest bundle that is taken, wherever it is read: a boat of 50 transducers with 200 readings each takes 8 MB, as many
 * photographs as it may have the rest.
 */
export const largestBundleBytes = 34 * 1024 * 1024;

/** One boat as a file: its plan and the catalogue entries it was equipped from. */
export const bundleSchema = z.strictObject({
  format: z.literal('grey-keel-bundle'),
  version: z.literal(bundleVersion),
  exportedAt: instantSchema,
  plan: planSchema,
  catalogue: z
    .array(catalogueEntrySchema)
    .max(500)
    .refine((entries) => new Set(entries.map(({ id, version }) => `${id}/${version}`)).size === entries.length, {
      error: 'The same version of an entry stands twice.',
    }),
  /** The pictures its plan speaks of, JPEG; left out where there are none. */
  photographs: recordById(z.base64().max(Math.ceil((largestPhotographBytes * 4) / 3) + 4), mostPhotographs).optional(),
});
export type Bundle = z.output<typeof bundleSchema>;

/** What the import of a bundle made: the boat, and the catalogue entries that came in beside others of their id. */
export const importedBundleSchema = openedBoatSchema.extend({
  beside: z.array(z.strictObject({ id: idSchema, name: z.string() })),
});
export type ImportedBundle = z.output<typeof importedBundleSchema>;
