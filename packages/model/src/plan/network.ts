import * as z from 'zod';
import { idSchema } from './id.ts';

/** Where a transducer's cable ends: a socket of a display, or of a sounder module. */
export const linkSchema = z.strictObject({
  to: idSchema,
  /** What its plug is called; a socket of the same name takes it. */
  plug: z.string().max(40),
  /** A lead between the two that leaves one of its beams out, by its place in the list; null where none stands between. */
  adapterDisables: z.number().int().min(0).max(5).nullable(),
  cableM: z.number().min(0).max(60).nullable(),
});
export type Link = z.output<typeof linkSchema>;

/** What the network knows of a display (by station) or of a piece of equipment. */
export const networkDeviceSchema = z.strictObject({
  /** Each socket for a transducer, by the name of the plug it takes. */
  sockets: z.array(z.string().max(40)).max(12),
  onBackbone: z.boolean(),
  /** From the tee to the device. */
  dropM: z.number().min(0).max(60).nullable(),
  /** What it draws from the backbone, in loads of 50 mA. */
  loads: z.number().int().min(0).max(40),
});
export type NetworkDevice = z.output<typeof networkDeviceSchema>;

export const backboneSchema = z.strictObject({
  lengthM: z.number().min(0).max(300).nullable(),
  terminators: z.number().int().min(0).max(8),
  /** Where power is fed in. */
  supplies: z.number().int().min(0).max(8),
  /** What the fuse of that feed lets through. */
  supplyA: z.number().min(0.5).max(20),
});
export type Backbone = z.output<typeof backboneSchema>;

export const networkSchema = z.strictObject({
  /** By transducer. */
  links: z.record(idSchema, linkSchema),
  /** By station or piece of equipment. */
  devices: z.record(idSchema, networkDeviceSchema),
  backbone: backboneSchema,
});
export type Network = z.output<typeof networkSchema>;
