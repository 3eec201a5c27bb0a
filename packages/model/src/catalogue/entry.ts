import * as z from 'zod';
import { screenSchema } from '../plan/display.ts';
import { idSchema, lineSchema } from '../plan/id.ts';
import { mostSockets, namedSocketSchema } from '../plan/network.ts';
import { elementSchema, mountingSchema } from '../plan/transducer.ts';

export const transducerEntrySchema = z.strictObject({
  type: z.literal('transducer'),
  element: elementSchema,
  mountings: z.array(mountingSchema).min(1).max(20),
  temperatureSensor: z.enum(['none', 'built in', 'on a lead']),
  socket: lineSchema(40),
});
export type TransducerEntry = z.output<typeof transducerEntrySchema>;

export const displayEntrySchema = screenSchema.extend({
  type: z.literal('display'),
  sockets: z.array(namedSocketSchema).max(mostSockets),
  travellingSettings: z.array(lineSchema(60)).max(30),
});
export type DisplayEntry = z.output<typeof displayEntrySchema>;

export const catalogueItemSchema = z.discriminatedUnion('type', [transducerEntrySchema, displayEntrySchema]);
export type CatalogueItem = z.output<typeof catalogueItemSchema>;

/** Several of the shop's own at once, as an import brings them. */
export const catalogueImportSchema = z.strictObject({
  items: z
    .array(z.strictObject({ id: idSchema, item: catalogueItemSchema }))
    .min(1)
    .max(10_000)
    .refine((items) => new Set(items.map(({ id }) => id)).size === items.length, {
      error: 'Two entries have the same id; each needs one of its own.',
    }),
});
export type CatalogueImport = z.output<typeof catalogueImportSchema>;

/** One version of one thing that can be fitted. `shipped` ones come with the program; the shop adds its own. */
export const catalogueEntrySchema = z.strictObject({
  id: idSchema,
  version: z.number().int().min(1),
  shipped: z.boolean(),
  item: catalogueItemSchema,
});
export type CatalogueEntry = z.output<typeof catalogueEntrySchema>;
