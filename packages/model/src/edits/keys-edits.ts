import * as z from 'zod';
import { idSchema } from '../plan/id.ts';
import { keyActionSchema, keySlotSchema } from '../plan/key.ts';

/** Changes of keys. */
export const keysEditSchemas = {
  bindKey: z.strictObject({
    type: z.literal('bindKey'),
    stationId: idSchema,
    slot: keySlotSchema,
    action: keyActionSchema.nullable(),
  }),
};
