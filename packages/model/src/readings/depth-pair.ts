import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { instantSchema } from '../plan/id.ts';
import { takenFromSchema } from './taken-from.ts';

/** One lead-line reading and what the display showed at that moment. Either half may still be missing. */
export const depthPairSchema = z.strictObject({
  /** From the water's surface to the bottom. */
  leadLineM: z.number().min(0.1).max(500).nullable().register(fieldWords, { label: 'Lead line', quantity: 'depth' }),
  /** As read off the display, with whatever offset was set in it. */
  displayedM: z.number().min(0).max(500).nullable().register(fieldWords, { label: 'Displayed', quantity: 'depth' }),
  /** How much the water rose from the cast of the lead line to the reading of the display; left out where both are of one moment. */
  riseM: z
    .number()
    .min(-15)
    .max(15)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Water rose since', quantity: 'length', signed: true }),
  /** How deep the keel's lowest point lay then; left out where the boat floated as in the brief. */
  draughtM: z
    .number()
    .min(0.05)
    .max(10)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Draught then', quantity: 'length' }),
  /** Of a face on a pole or a shaft: how deep it hung below the water; left out where it hung as it is used. */
  immersionM: z
    .number()
    .min(0)
    .max(10)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Face below the water', quantity: 'length' }),
  /** When it was taken down; left out on what is older than that. */
  at: instantSchema.optional(),
  /** Where the display's half was taken from the instruments; left out where it was read off and typed. */
  from: takenFromSchema.optional(),
  /** Stays on record, but is left out. */
  leftOut: z.boolean().register(fieldWords, { label: 'left out' }),
});
export type DepthPair = z.output<typeof depthPairSchema>;
