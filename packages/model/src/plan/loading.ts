import * as z from 'zod';
import { nameSchema } from './id.ts';

/** The boat with people, fuel and catch aboard: how deep the keel's lowest point lies then. */
export const loadingSchema = z.strictObject({
  name: nameSchema,
  draughtM: z.number().min(0.05).max(10),
});
export type Loading = z.output<typeof loadingSchema>;
