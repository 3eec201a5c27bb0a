import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { instantSchema } from './id.ts';

/** Of one boat. */
export const mostPhotographs = 20;
/** Of the longer side, as it is stored. */
export const photographPx = 1400;
/** As it is stored: a JPEG of that size takes less. */
export const largestPhotographBytes = 900_000;

const side = (label: string) =>
  z.number().int().min(1).max(photographPx).register(fieldWords, { label, quantity: 'pixels' });

/** What the plan says of a photograph; the picture itself is stored beside the plans, by the same id, and never changes. */
export const photographSchema = z.strictObject({
  caption: z.string().max(200).register(fieldWords, { label: 'What it shows' }),
  widthPx: side('Width of the picture'),
  heightPx: side('Height of the picture'),
  at: instantSchema,
});
export type Photograph = z.output<typeof photographSchema>;
