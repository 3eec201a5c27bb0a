import * as z from 'zod';

/** A place of the plan as one word: its path, joined by strokes. */
export const assumedPlaceSchema = z
  .string()
  .max(120)
  .regex(/^[a-z][A-Za-z]*(\/[A-Za-z0-9-]+)*$/, 'A place is a path joined by strokes, like boat/lengthM.');

/** The places whose values a template filled in as usual, until somebody confirms or changes them. */
export const assumedSchema = z
  .record(assumedPlaceSchema, z.literal(true))
  .refine((places) => Object.keys(places).length <= 100, 'At most 100 places can be assumed.');
export type Assumed = z.output<typeof assumedSchema>;
