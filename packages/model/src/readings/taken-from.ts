import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { instantSchema, lineSchema } from '../plan/id.ts';

/** What a reading was taken from, where it was not typed: which instrument's words were averaged, when and how long. */
export const takenFromSchema = z.strictObject({
  /** As the instruments list it, with its talkers. */
  source: lineSchema(120),
  /** Of the simulated boat: says nothing about a real one. */
  simulated: z.boolean(),
  at: instantSchema,
  lastedS: z.number().min(0).max(86_400).register(fieldWords, { label: 'Lasted', quantity: 'wait' }),
  samples: z.number().int().min(1).max(1_000_000).register(fieldWords, { label: 'Samples', quantity: 'count' }),
});
export type TakenFrom = z.output<typeof takenFromSchema>;
