import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { instantSchema, nameSchema } from './id.ts';

/** A state of the boat that was given a name, to be gone back to: the revision it was at. */
export const restorePointSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Name of this state' }),
  number: z.number().int().min(0).max(10_000_000).register(fieldWords, { label: 'Revision', quantity: 'count' }),
  at: instantSchema,
});
export type RestorePoint = z.output<typeof restorePointSchema>;
