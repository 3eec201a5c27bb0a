import * as z from 'zod';
import { idSchema } from '../plan/id.ts';
import { fedQuantitySchema, feedSchema, sourceSchema, timeToActSchema } from '../plan/source.ts';

/** Changes of sources: names, tags, feeds and the time to act. */
export const sourcesEditSchemas = {
  /** Of a transducer or a piece of equipment. */
  describeSource: z.strictObject({ type: z.literal('describeSource'), id: idSchema, changes: sourceSchema.partial() }),
  feed: z.strictObject({
    type: z.literal('feed'),
    stationId: idSchema,
    quantity: fedQuantitySchema,
    feed: feedSchema.nullable(),
  }),
  setTimeToAct: z.strictObject({
    type: z.literal('setTimeToAct'),
    stationId: idSchema,
    actInS: timeToActSchema.nullable(),
  }),
};
