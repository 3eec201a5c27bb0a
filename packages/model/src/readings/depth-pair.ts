import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';

/** One lead-line reading and what the display showed at that moment. Either half may still be missing. */
export const depthPairSchema = z.strictObject({
  /** From the water's surface to the bottom. */
  leadLineM: z.number().min(0.1).max(500).nullable().register(fieldWords, { label: 'Lead line', quantity: 'depth' }),
  /** As read off the display, with whatever offset was set in it. */
  displayedM: z.number().min(0).max(500).nullable().register(fieldWords, { label: 'Displayed', quantity: 'depth' }),
  /** Stays on record, but is left out. */
  leftOut: z.boolean().register(fieldWords, { label: 'left out' }),
});
export type DepthPair = z.output<typeof depthPairSchema>;
