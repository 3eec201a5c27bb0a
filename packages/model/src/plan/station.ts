import * as z from 'zod';
import { placeSchema } from './equipment.ts';
import { nameSchema } from './id.ts';

export const postures = ['seated', 'standing', 'both'] as const;

/** How a screen is held: what stays, what swings out of the way, what is taken off and stowed. */
export const displayMounts = ['fixed', 'swings away', 'taken off'] as const;

export const stationSchema = z.strictObject({
  name: nameSchema,
  /** Eye to screen, as the user stands or sits when the number has to be read. */
  viewingDistanceM: z.number().min(0.2).max(5).nullable(),
  posture: z.enum(postures),
  /** Where its screen stands; left out until the boat is fitted. */
  place: placeSchema.nullable().optional(),
  /** The eye of who stands or sits there, for what is seen over the screen. */
  eyeAboveKeelM: z.number().min(0.3).max(30).nullable().optional(),
  mount: z.enum(displayMounts).optional(),
});
export type Station = z.output<typeof stationSchema>;
