import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { nameSchema } from './id.ts';

/** The boat with people, fuel and catch aboard: how deep the keel's lowest point lies then. */
export const loadingSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Loaded with' }),
  draughtM: z.number().min(0.05).max(10).register(fieldWords, { label: 'Draught then', quantity: 'length' }),
});
export type Loading = z.output<typeof loadingSchema>;
