import * as z from 'zod';
import { idSchema, instantSchema, nameSchema } from '../plan/id.ts';
import { channelSchema } from './instruments.ts';

/** One that waits for room has ended; what is in memory of it is stored when there is some. */
export const recordingStates = ['queued', 'importing', 'recording', 'waiting for room', 'ready'] as const;

export type RecordingState = (typeof recordingStates)[number];

/** Where samples of a live recording were dropped, for there was no room to store or hold them; seconds since it began. */
export const recordingGapSchema = z.strictObject({ fromS: z.number(), toS: z.number(), samples: z.number() });
export type RecordingGap = z.output<typeof recordingGapSchema>;
export const recordingGapsSchema = z.array(recordingGapSchema);

/** What is known of a recording; its values are asked for by channel and time. */
export const recordingSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** The file or the sources it came from. */
  cameFrom: z.string(),
  state: z.enum(recordingStates),
  simulated: z.boolean(),
  /** Where its times are from: tags of the lines, the clock the sentences tell, when they arrived, or taken as evenly spaced. */
  timesKnown: z.enum(['tags', 'clock', 'arrival', 'assumed']),
  startedAt: instantSchema.nullable(),
  lastedS: z.number(),
  sentences: z.number(),
  wrongChecksum: z.number(),
  noSentence: z.number(),
  notRead: z.number(),
  /** Times of a log that were no times: not a number, or outside the years 1970 to 9999. */
  badTimes: z.number(),
  gaps: recordingGapsSchema,
  /** What it takes in the database. */
  bytes: z.number(),
  channels: z.array(channelSchema.omit({ sourceId: true }).extend({ samples: z.number() })),
});
export type Recording = z.output<typeof recordingSchema>;
export const recordingsSchema = z.array(recordingSchema);

/** One channel between two times, seconds since the recording began, thinned to so many points that its peaks stay. */
export const recordingPartSchema = z.strictObject({
  timesS: z.array(z.number()),
  values: z.array(z.number()),
  /** How many there are without thinning. */
  samples: z.number(),
});
export type RecordingPart = z.output<typeof recordingPartSchema>;

export const recordingQuerySchema = z.strictObject({
  channel: z.coerce.number().int().min(0).max(10_000),
  fromS: z.coerce.number().min(0).default(0),
  toS: z.coerce.number().min(0).default(1e9),
  points: z.coerce.number().int().min(10).max(20_000).default(1200),
});
export type RecordingQuery = z.output<typeof recordingQuerySchema>;
