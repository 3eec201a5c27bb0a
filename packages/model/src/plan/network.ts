import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { idSchema, lineSchema, recordById } from './id.ts';
import { sonarKindSchema } from './transducer.ts';

/** One socket for transducers: the plug it takes, the kinds of sonar it drives, and how many at once through a splitter. */
export const socketSchema = z.strictObject({
  plug: lineSchema(40).min(1, 'A plug has a name.'),
  drives: z.array(sonarKindSchema).min(1, 'It drives at least one kind of sonar.').max(5),
  atOnce: z.number().int().min(1).max(4).register(fieldWords, { label: 'Beams at once', quantity: 'count' }),
});
export type Socket = z.output<typeof socketSchema>;

/** By its plug's name alone where nothing else is known of it: it drives any sonar, one at once. */
export const namedSocketSchema = z.union([lineSchema(40), socketSchema]);
export type NamedSocket = z.output<typeof namedSocketSchema>;

/** Where a transducer's cable ends: a socket of a display, or of a sounder module. */
export const linkSchema = z.strictObject({
  to: idSchema,
  /** What its plug is called; a socket of the same name takes it. */
  plug: lineSchema(40),
  /** A lead between the two that leaves one of its beams out, by its place in the list; null where none stands between. */
  adapterDisables: z
    .number()
    .int()
    .min(0)
    .max(5)
    .nullable()
    .register(fieldWords, { label: 'Beam that its adapter disables', quantity: 'count' }),
  cableM: z
    .number()
    .min(0)
    .max(60)
    .nullable()
    .register(fieldWords, { label: 'Cable', quantity: 'length', decimals: 1 }),
});
export type Link = z.output<typeof linkSchema>;

export const mostSockets = 12;

/** What the network knows of a display (by station) or of a piece of equipment. */
export const networkDeviceSchema = z.strictObject({
  sockets: z.array(namedSocketSchema).max(mostSockets),
  onBackbone: z.boolean(),
  /** From the tee to the device. */
  dropM: z.number().min(0).max(60).nullable().register(fieldWords, { label: 'Drop', quantity: 'length', decimals: 1 }),
  /** Where its tee stands on the backbone, from one end; left out or null while not said. */
  teeAtM: z
    .number()
    .min(0)
    .max(300)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Tee, from the end', quantity: 'length', decimals: 1 }),
  /** What it draws from the backbone, in loads of 50 mA. */
  loads: z.number().int().min(0).max(40).register(fieldWords, { label: 'Load equivalency number', quantity: 'count' }),
});
export type NetworkDevice = z.output<typeof networkDeviceSchema>;

export const backboneCables = ['light', 'heavy'] as const;

export const backboneSchema = z.strictObject({
  lengthM: z
    .number()
    .min(0)
    .max(300)
    .nullable()
    .register(fieldWords, { label: 'Backbone, end to end', quantity: 'length', decimals: 1 }),
  terminators: z.number().int().min(0).max(8).register(fieldWords, { label: 'Terminators', quantity: 'count' }),
  /** Where power is fed in. */
  supplies: z.number().int().min(0).max(8).register(fieldWords, { label: 'Supplies', quantity: 'count' }),
  /** What the fuse of each side of that feed lets through. */
  supplyA: z.number().min(0.5).max(20).register(fieldWords, { label: 'Fuse of each side', quantity: 'current' }),
  /** Where power is fed in, from the same end as the tees; left out or null while not said. */
  supplyAtM: z
    .number()
    .min(0)
    .max(300)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Supply, from the end', quantity: 'length', decimals: 1 }),
  /** Light where left out: most boats have it. */
  cable: z.enum(backboneCables).optional().register(fieldWords, { label: 'Cable' }),
  /** From the cable's own sheet; left out or null where the usual figures of its kind are taken. */
  cableBearsA: z
    .number()
    .min(0.5)
    .max(20)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'It bears, by its sheet', quantity: 'current' }),
  cablePerMetreOhm: z
    .number()
    .min(0.001)
    .max(0.5)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'A metre of a conductor, by its sheet', quantity: 'resistance', decimals: 0 }),
  cableLongestM: z
    .number()
    .min(1)
    .max(300)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Longest, by its sheet', quantity: 'length', decimals: 0 }),
});
export type Backbone = z.output<typeof backboneSchema>;

export const networkSchema = z.strictObject({
  /** By transducer. */
  links: recordById(linkSchema, 60),
  /** By station or piece of equipment. */
  devices: recordById(networkDeviceSchema, 150),
  backbone: backboneSchema,
});
export type Network = z.output<typeof networkSchema>;
