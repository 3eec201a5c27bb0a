import * as z from 'zod';

export const waysOfWorking = [
  'running',
  'searching',
  'approaching',
  'on the spot',
  'casting',
  'trolling',
  'drifting',
  'anchored',
  'trailer',
] as const;
export const waySchema = z.enum(waysOfWorking);
export type Way = z.output<typeof waySchema>;

/** A set of ways of working; a record, so that two people can each add one without meeting. */
export const waySetSchema = z.partialRecord(waySchema, z.literal(true));
export type WaySet = z.output<typeof waySetSchema>;
