import * as z from 'zod';

/**
 * Ids sort by time of making, so a collection listed by id stands in the order it was made. "constructor" is what every
 * object inherits: a collection would seem to hold it.
 */
export const idSchema = z
  .string()
  .regex(
    /^(?!constructor$)[a-z0-9][a-z0-9-]{0,47}$/,
    'An id is 1 to 48 small letters, digits or hyphens, and not "constructor".',
  );
export type Id = z.output<typeof idSchema>;

/** What no line of text may hold: control and line-breaking characters, what turns its direction, and halves of letters. */
const oneLine = /^[^\p{Cc}\p{Cs}\u2028\u2029\u202a-\u202e\u2066-\u2069]*$/u;
const oneLineSays = 'Control characters, line breaks and marks that turn the direction of text are not taken here.';

/** A short text on one line; may be empty. */
export const lineSchema = (most: number) => z.string().max(most).regex(oneLine, oneLineSays);

export const nameSchema = z
  .string()
  .min(1, 'A name is needed.')
  .max(80, 'A name has at most 80 characters.')
  .regex(/[^\s\p{C}]/u, 'A name needs a letter or a figure that can be seen.')
  .regex(oneLine, oneLineSays);
export const instantSchema = z.iso.datetime({ message: 'A time is written like 2026-05-01T09:30:00Z.' });

/** A collection by id, of so many things at most: what is judged in pairs has to stay few. */
export const recordById = <T extends z.ZodType>(schema: T, most: number) =>
  z
    .record(idSchema, schema)
    .refine((record) => Object.keys(record).length <= most, { error: `At most ${most} of these fit into one plan.` })
    .meta({ maxProperties: most });
