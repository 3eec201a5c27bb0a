import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { nameSchema } from './id.ts';
import { waySetSchema } from './ways.ts';

/** Where something is in boat coordinates: forward of the transom, starboard of the centreline, above the keel's lowest point. */
export const placeSchema = z.strictObject({
  forwardM: z.number().min(-5).max(60).register(fieldWords, { label: 'Forward of transom', quantity: 'length' }),
  starboardM: z.number().min(-10).max(10).register(fieldWords, { label: 'Starboard of centre', quantity: 'length' }),
  aboveKeelM: z.number().min(-5).max(30).register(fieldWords, { label: 'Above the keel', quantity: 'length' }),
});
export type Place = z.output<typeof placeSchema>;

export const equipmentKinds = [
  'propeller',
  'bow motor',
  'position antenna',
  'heading sensor',
  'speed and temperature sensor',
  'temperature sensor',
  'engine gateway',
  'sounder module',
  'battery box',
  'strake or fitting',
  'cable run',
] as const;
export const equipmentKindSchema = z.enum(equipmentKinds);
export type EquipmentKind = z.output<typeof equipmentKindSchema>;

/** What is aboard besides transducers and displays, where it stands. */
export const equipmentSchema = placeSchema.extend({
  name: nameSchema.clone().register(fieldWords, { label: 'Name' }),
  kind: equipmentKindSchema,
  /** Of a propeller or a bow motor's; null for what has none. */
  propellerDiameterM: z
    .number()
    .min(0.05)
    .max(3)
    .nullable()
    .register(fieldWords, { label: 'Propeller, diameter', quantity: 'length' }),
  /** Of an engine's leg: how far its skeg ends under the blades, 0 for none; left out or null while nobody measured. */
  skegBelowBladesM: z
    .number()
    .min(0)
    .max(0.6)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Skeg below the blades', quantity: 'length' }),
  /** How far it runs forward from there, for a strake or a cable; left out or null for what stands in one place. */
  runsForwardM: z
    .number()
    .min(0)
    .max(60)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Runs forward from there', quantity: 'length' }),
  /** The ways of working it is down in the water in, for what is raised; left out where it is as such things usually are. */
  loweredIn: waySetSchema.optional(),
});
export type Equipment = z.output<typeof equipmentSchema>;
