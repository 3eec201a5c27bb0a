import * as z from 'zod';

/** One lead-line reading and what the display showed at that moment. Either half may still be missing. */
export const depthPairSchema = z.strictObject({
  /** From the water's surface to the bottom. */
  leadLineM: z.number().min(0.1).max(500).nullable(),
  /** As read off the display, with whatever offset was set in it. */
  displayedM: z.number().min(0).max(500).nullable(),
  /** Stays on record, but is left out. */
  leftOut: z.boolean(),
});
export type DepthPair = z.output<typeof depthPairSchema>;
