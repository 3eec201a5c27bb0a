import * as z from 'zod';
import { nameSchema } from './id.ts';

export const bottoms = ['open water', 'mud', 'sand', 'gravel', 'rock', 'weed', 'ledges', 'wreck'] as const;

/** A fish or a thing that is looked for. */
export const soughtSchema = z.strictObject({
  name: nameSchema,
  lengthCm: z.number().min(1).max(1500).nullable(),
  shallowestM: z.number().min(0).max(11000).nullable(),
  deepestM: z.number().min(0).max(11000).nullable(),
  over: z.enum(bottoms),
});
export type Sought = z.output<typeof soughtSchema>;
