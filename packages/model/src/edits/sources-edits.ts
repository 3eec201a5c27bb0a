import * as z from 'zod';
import { idSchema } from '../plan/id.ts';
import { fedQuantitySchema, feedSchema, sourceSchema, unitSettingsSchema } from '../plan/source.ts';

/** Changes of sources: names, feeds and what each display is set to. */
export const sourcesEditSchemas = {
  /** Of a transducer or a piece of equipment. */
  describeSource: z.strictObject({ type: z.literal('describeSource'), id: idSchema, changes: sourceSchema.partial() }),
  feed: z.strictObject({
    type: z.literal('feed'),
    stationId: idSchema,
    quantity: fedQuantitySchema,
    feed: feedSchema.nullable(),
  }),
  describeUnit: z.strictObject({
    type: z.literal('describeUnit'),
    stationId: idSchema,
    changes: unitSettingsSchema.partial(),
  }),
};
