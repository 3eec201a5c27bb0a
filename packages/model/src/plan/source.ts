import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { ofOneBoat } from '../fields/of-one-boat.ts';
import { idSchema, lineSchema } from './id.ts';

/** What a station shows that some sensor has to feed. */
export const fedQuantities = [
  'depth',
  'water temperature',
  'heading',
  'speed through water',
  'position',
  'voltage',
  'engine',
] as const;
export const fedQuantitySchema = z.enum(fedQuantities);
export type FedQuantity = z.output<typeof fedQuantitySchema>;

export const temperatureSensors = ['none', 'built in', 'on a lead'] as const;

/** A source as the network knows it: a transducer or a sensor, by its id in the plan. */
export const sourceSchema = z.strictObject({
  /** As the displays shall list it; empty while it has not been named. */
  name: lineSchema(40),
  /** The type as printed on the tag of its cable; empty while not read. */
  tag: lineSchema(60).register(ofOneBoat, { begins: '' }),
  temperature: z.enum(temperatureSensors),
  /** How long it takes to appear after power is on. */
  appearsAfterS: z
    .number()
    .min(0)
    .max(1800)
    .nullable()
    .register(fieldWords, { label: 'Appears after', quantity: 'wait' }),
});
export type Source = z.output<typeof sourceSchema>;

export const feedSchema = z.strictObject({ sourceId: idSchema, fallbackId: idSchema.nullable() });
export type Feed = z.output<typeof feedSchema>;

/** The time whoever hears the shallow alarm needs to act, for what each speed costs in it. */
export const timeToActSchema = z
  .number()
  .min(1)
  .max(120)
  .register(fieldWords, { label: 'Time to act', quantity: 'wait' });

export const displayWaters = ['fresh', 'brackish', 'salt'] as const;
export const displayDepthUnits = ['m', 'ft', 'fathom'] as const;
