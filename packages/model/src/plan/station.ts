import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { placeSchema } from './equipment.ts';
import { nameSchema } from './id.ts';

export const postures = ['seated', 'standing', 'both'] as const;

/** How a screen is held: what stays, what swings out of the way, what is taken off and stowed. */
export const displayMounts = ['fixed', 'swings away', 'taken off'] as const;

export const stationSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Station' }),
  /** Eye to screen, as the user stands or sits when the number has to be read. */
  viewingDistanceM: z
    .number()
    .min(0.2)
    .max(5)
    .nullable()
    .register(fieldWords, { label: 'Eye to screen', quantity: 'length' }),
  posture: z.enum(postures).register(fieldWords, { label: 'Posture' }),
  /** Where its screen stands; left out until the boat is fitted. */
  place: placeSchema.nullable().optional(),
  /** The eye of who stands or sits there, for what is seen over the screen. */
  eyeAboveKeelM: z
    .number()
    .min(0.3)
    .max(30)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Eye above the keel', quantity: 'length' }),
  mount: z.enum(displayMounts).optional().register(fieldWords, { label: 'Mount' }),
});
export type Station = z.output<typeof stationSchema>;
