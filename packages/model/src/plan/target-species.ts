import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { nameSchema } from './id.ts';

export const bottoms = ['open water', 'mud', 'sand', 'gravel', 'rock', 'weed', 'ledges', 'wreck'] as const;

/** A fish or a thing that is looked for. */
export const targetSpeciesSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Species or object' }),
  lengthCm: z
    .number()
    .min(1)
    .max(1500)
    .nullable()
    .register(fieldWords, { label: 'Its length', quantity: 'fishLength' }),
  shallowestM: z.number().min(0).max(11000).nullable().register(fieldWords, { label: 'Shallowest', quantity: 'depth' }),
  deepestM: z.number().min(0).max(11000).nullable().register(fieldWords, { label: 'down to', quantity: 'depth' }),
  /** Every ground it is looked for over, in no order. */
  over: z.array(z.enum(bottoms)).min(1).max(bottoms.length),
});
export type TargetSpecies = z.output<typeof targetSpeciesSchema>;
