import * as z from 'zod';

/** Ids sort by time of making, so a collection listed by id stands in the order it was made. */
export const idSchema = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,47}$/, 'An id is 1 to 48 small letters, digits or hyphens.');
export type Id = z.output<typeof idSchema>;

export const nameSchema = z.string().min(1, 'A name is needed.').max(80, 'A name has at most 80 characters.');
export const instantSchema = z.iso.datetime({ message: 'A time is written like 2026-05-01T09:30:00Z.' });
