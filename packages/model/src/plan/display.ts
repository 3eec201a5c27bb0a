import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { idSchema, lineSchema, nameSchema } from './id.ts';

/** A screen by what decides what can be read and done on it. Shared by the catalogue and by the boat that carries it. */
export const screenSchema = z.strictObject({
  name: nameSchema,
  screenDiagonalM: z.number().min(0.05).max(1).register(fieldWords, { label: 'Screen, diagonal', quantity: 'length' }),
  pixelsWide: z.number().int().min(160).max(8000).register(fieldWords, { label: 'Pixels across', quantity: 'pixels' }),
  pixelsHigh: z.number().int().min(120).max(8000).register(fieldWords, { label: 'Pixels down', quantity: 'pixels' }),
  /** Programmable keys, each with so many ways of pressing it. */
  keys: z.number().int().min(0).max(40).register(fieldWords, { label: 'Shortcut keys', quantity: 'count' }),
  pressesPerKey: z.number().int().min(1).max(3).register(fieldWords, { label: 'Presses a key', quantity: 'count' }),
  /** Which side of the glass they are on; left out where it is not known. */
  keysAt: z.enum(['below', 'beside']).optional(),
  /** Whether a key opens a page whatever its place, or whatever page stands at a place of the list. */
  keysBindTo: z.enum(['page', 'place']),
  panesPerPage: z.number().int().min(1).max(12).register(fieldWords, { label: 'Panes a page', quantity: 'count' }),
});
export type Screen = z.output<typeof screenSchema>;

/** The display of a station, and how it is looked at there. */
export const fittedDisplaySchema = screenSchema.extend({
  catalogue: z.strictObject({ entryId: idSchema, version: z.number().int().min(1) }).nullable(),
  /** Eye to screen when seated, where the station is used both ways; the station's own distance is then the standing one. */
  seatedDistanceM: z
    .number()
    .min(0.2)
    .max(5)
    .nullable()
    .register(fieldWords, { label: 'Eye to screen, seated', quantity: 'length' }),
  readAtNight: z.boolean(),
  /** Settings that travel between displays which both have them here: a fact of its make. Left out where not known. */
  travels: z.array(lineSchema(60)).max(30).optional(),
});
export type FittedDisplay = z.output<typeof fittedDisplaySchema>;
