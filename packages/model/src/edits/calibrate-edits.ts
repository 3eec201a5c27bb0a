import * as z from 'zod';
import { depthOffsetSchema, enteredOffsetSchema } from '../plan/depth-offset.ts';
import { idSchema } from '../plan/id.ts';
import { depthPairSchema } from '../readings/depth-pair.ts';

const depthOffsetSettings = depthOffsetSchema.omit({ readings: true, entered: true });

/** Changes of calibrate: depth readings and what was entered. */
export const calibrateEditSchemas = {
  describeDepthOffset: z.strictObject({
    type: z.literal('describeDepthOffset'),
    transducerId: idSchema,
    changes: depthOffsetSettings.partial(),
  }),
  recordReading: z.strictObject({
    type: z.literal('recordReading'),
    transducerId: idSchema,
    readingId: idSchema,
    reading: depthPairSchema,
  }),
  correctReading: z.strictObject({
    type: z.literal('correctReading'),
    transducerId: idSchema,
    readingId: idSchema,
    changes: depthPairSchema.partial(),
  }),
  removeReading: z.strictObject({ type: z.literal('removeReading'), transducerId: idSchema, readingId: idSchema }),
  enterDepthOffset: z.strictObject({
    type: z.literal('enterDepthOffset'),
    transducerId: idSchema,
    entered: enteredOffsetSchema,
  }),
};
