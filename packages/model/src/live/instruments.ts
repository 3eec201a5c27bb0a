import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { instantSchema, idSchema, nameSchema } from '../plan/id.ts';

/** What instruments measure, by names that say the unit; angles are in degrees. */
export const liveQuantities = [
  'depthM',
  'temperatureC',
  'logMps',
  'compassDeg',
  'headingMagneticDeg',
  'headingTrueDeg',
  'cogDeg',
  'sogMps',
  'latitudeDeg',
  'longitudeDeg',
  'variationDeg',
  'voltageV',
  'windAngleDeg',
  'windMps',
] as const;
export const liveQuantitySchema = z.enum(liveQuantities);
export type LiveQuantity = z.output<typeof liveQuantitySchema>;

const byte = '(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)';
const privateAddress = new RegExp(
  `^(?:127(?:\\.${byte}){3}|10(?:\\.${byte}){3}|192\\.168(?:\\.${byte}){2}|172\\.(?:1[6-9]|2\\d|3[01])(?:\\.${byte}){2}|169\\.254(?:\\.${byte}){2})$`,
);

/** An address of this machine or of the boat's own network: nothing beyond it is ever called. */
export const privateAddressSchema = z
  .string()
  .regex(
    privateAddress,
    'An address of the boat’s own network is needed, such as 192.168.1.20 or 127.0.0.1. Names and public addresses are not called.',
  );
const portSchema = z
  .number({ error: 'A port is a whole number from 1024 to 65535.' })
  .int('A port is a whole number from 1024 to 65535.')
  .min(1024, 'A port is a whole number from 1024 to 65535.')
  .max(65_535, 'A port is a whole number from 1024 to 65535.');

/** Where sentences come from: the simulated boat, a gateway that is called, or a port that is listened to. */
export const connectionSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('simulated boat'),
    seed: z
      .number({ error: 'The sea and boat are a whole number from 1 to 1000000.' })
      .int('The sea and boat are a whole number from 1 to 1000000.')
      .min(1, 'The sea and boat are a whole number from 1 to 1000000.')
      .max(1_000_000, 'The sea and boat are a whole number from 1 to 1000000.'),
    /** How many times as fast as ours its time runs: a shop has less patience than a lake. */
    pace: z.number().int().min(1).max(10),
  }),
  z.strictObject({ by: z.literal('tcp'), address: privateAddressSchema, port: portSchema }),
  z.strictObject({ by: z.literal('udp'), port: portSchema }),
]);
export type Connection = z.output<typeof connectionSchema>;

export const instrumentSourceSchema = z.strictObject({ name: nameSchema, connection: connectionSchema });
export type InstrumentSource = z.output<typeof instrumentSourceSchema>;

export const sourceStates = ['off', 'connecting', 'open', 'silent', 'closed by the other side', 'failed'] as const;

/** A live recording: whether it has ended, and what of it is not stored yet. */
export const recordingUnderWaySchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  ended: z.boolean(),
  /** Nothing could be stored when that was last tried; it is tried again by itself. */
  waitsForRoom: z.boolean(),
  samplesInMemory: z.number(),
  /** Dropped for the memory was full. */
  dropped: z.number(),
});
export type RecordingUnderWay = z.output<typeof recordingUnderWaySchema>;

/** How a source stands, and what has come over it since it was opened. */
export const sourceStatusSchema = instrumentSourceSchema.extend({
  id: idSchema,
  state: z.enum(sourceStates),
  /** Opened by the user: it is opened again when the program starts, and called again when it is lost. */
  wanted: z.boolean(),
  /** The simulated boat speaks there, by whatever way it came: what is read from it is no boat's. */
  simulated: z.boolean(),
  /** Why it failed, in words; null where it did not. */
  problem: z.string().nullable(),
  sentences: z.number(),
  perSecond: z.number(),
  /** What could not be used, by kind. */
  wrongChecksum: z.number(),
  noSentence: z.number(),
  notRead: z.number(),
  lastAt: instantSchema.nullable(),
});
export type SourceStatus = z.output<typeof sourceStatusSchema>;

/** One thing that one talker of one source says: two talkers of one type are two channels. */
export const channelSchema = z.strictObject({
  id: z.number().int(),
  sourceId: idSchema,
  talker: z.string(),
  type: z.string(),
  quantity: liveQuantitySchema,
});
export type Channel = z.output<typeof channelSchema>;

/** The newest of each channel that has something new: its number, its value, and how many milliseconds ago it came. */
export const liveSamplesSchema = z.strictObject({
  at: z.number(),
  values: z.array(z.tuple([z.number().int(), z.number(), z.number()])),
});
export type LiveSamples = z.output<typeof liveSamplesSchema>;

/** Runs that the simulated helm makes by itself, one leg after the other, and then stops. */
export const helmScripts = ['there and back', 'two pairs', 'swing of eight'] as const;

/** What the person at the simulated helm does: the wheel from hard to port to hard to starboard, or a true heading to steer. */
export const helmSchema = z.strictObject({
  wheel: z.number().min(-1).max(1),
  throttle: z.number().min(0).max(1),
  steerDeg: z.number().min(0).max(360).nullable(),
  engineOn: z.boolean(),
  /** The run that is under way by itself; left out or null where a hand steers. */
  script: z.enum(helmScripts).nullable().optional(),
  /** Its sentences leave the variation out, as many instruments do; left out where they tell it. */
  variationUnsaid: z.boolean().optional(),
  /** What was entered in its instruments: they show it from then on, so that a calibration can be checked. */
  entered: z.strictObject({
    headingDeg: z
      .number()
      .min(-180)
      .max(180)
      .register(fieldWords, { label: 'Heading offset', quantity: 'angle', signed: true }),
    logFactor: z
      .number()
      .min(0.3)
      .max(3)
      .register(fieldWords, { label: 'Log factor', quantity: 'fraction', decimals: 1 }),
    temperatureByC: z.number().min(-20).max(20).register(fieldWords, {
      label: 'Temperature offset',
      quantity: 'temperatureDifference',
      decimals: 2,
      signed: true,
    }),
  }),
});

export const helmAtRest: z.output<typeof helmSchema> = {
  wheel: 0,
  throttle: 0,
  steerDeg: null,
  engineOn: true,
  entered: { headingDeg: 0, logFactor: 1, temperatureByC: 0 },
};
export type HelmState = z.output<typeof helmSchema>;

/** What is known of all sources: sent whenever it changes, and once a second. */
export const instrumentsSchema = z.strictObject({
  sources: z.array(sourceStatusSchema),
  channels: z.array(channelSchema),
  recordings: z.array(recordingUnderWaySchema),
  /** The simulated boat while it runs: who steers, and where other programs of this machine can hear it. */
  simulator: z
    .strictObject({ helm: helmSchema, address: z.string(), tcpPort: z.number(), udpPort: z.number() })
    .nullable(),
});
export type Instruments = z.output<typeof instrumentsSchema>;
