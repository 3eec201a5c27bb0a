import * as z from 'zod';
import { adviceSchema } from '../plan/advice.ts';
import { idSchema } from '../plan/id.ts';
import { placedFishSchema, sceneSchema } from '../plan/scene.ts';
import { transducerSchema } from '../plan/transducer.ts';
import { waySchema } from '../plan/ways.ts';

/** Changes of beams: transducers, what they are weighed by, and the practice scene. */
export const beamsEditSchemas = {
  placeTransducer: z.strictObject({ type: z.literal('placeTransducer'), id: idSchema, transducer: transducerSchema }),
  describeTransducer: z.strictObject({
    type: z.literal('describeTransducer'),
    id: idSchema,
    changes: transducerSchema.partial(),
  }),
  removeTransducer: z.strictObject({ type: z.literal('removeTransducer'), id: idSchema }),
  transmitIn: z.strictObject({ type: z.literal('transmitIn'), id: idSchema, way: waySchema, transmits: z.boolean() }),
  weighBeams: z.strictObject({ type: z.literal('weighBeams'), changes: adviceSchema.partial() }),
  setScene: z.strictObject({ type: z.literal('setScene'), changes: sceneSchema.partial() }),
  placeFish: z.strictObject({ type: z.literal('placeFish'), id: idSchema, fish: placedFishSchema }),
  describeFish: z.strictObject({ type: z.literal('describeFish'), id: idSchema, changes: placedFishSchema.partial() }),
  removeFish: z.strictObject({ type: z.literal('removeFish'), id: idSchema }),
};
