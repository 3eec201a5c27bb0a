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
  /** As the displays list it; empty while it has not been named. */
  name: lineSchema(40),
  /** The type as printed on the tag of its cable, and the type selected on the display; empty while not read, not selected. */
  tag: lineSchema(60).register(ofOneBoat, { begins: '' }),
  selected: lineSchema(60).register(ofOneBoat, { begins: '' }),
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

export const housekeeping = [
  'engine temperature alarm',
  'low voltage alarm',
  'shallow alarm',
  'nuisance alarms off',
  'menus that hide off',
  'unused pages hidden',
  'brightness set',
  'blank card in',
  'chart card in',
] as const;
export const housekeepingSchema = z.enum(housekeeping);
export type Housekeeping = z.output<typeof housekeepingSchema>;

/** At what a display calls: the depth it shows, the voltage it sees, what the engine says. Left out or null where off. */
export const alarmsSchema = z.strictObject({
  shallowM: z
    .number()
    .min(0.1)
    .max(500)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Shallow water', quantity: 'depth', decimals: 1 }),
  lowVoltageV: z
    .number()
    .min(3)
    .max(60)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Low voltage', quantity: 'voltage', decimals: 1 }),
  engineTemperatureC: z
    .number()
    .min(20)
    .max(200)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Engine temperature', quantity: 'temperature', decimals: 1 }),
  /** The time whoever hears the shallow alarm needs to act, for what each speed costs in it; 10 s where left out. */
  actInS: z.number().min(1).max(120).optional().register(fieldWords, { label: 'Time to act', quantity: 'wait' }),
});
export type Alarms = z.output<typeof alarmsSchema>;

export const displayWaters = ['fresh', 'brackish', 'salt'] as const;
export const displayDepthUnits = ['m', 'ft', 'fathom'] as const;

/** What each display keeps for itself. */
export const unitSettingsSchema = z.strictObject({
  waterType: z.enum(displayWaters).nullable(),
  /** A figure of its own that the display uses in place of a water type; left out or null where it has none. */
  ownSoundSpeedMps: z
    .number()
    .min(1300)
    .max(1700)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Speed of sound', quantity: 'soundSpeed' }),
  /** The unit it shows depth in and alarms by, and its smallest step in that unit; left out where not looked at. */
  depthUnit: z.enum(displayDepthUnits).optional(),
  depthStep: z.number().min(0.01).max(5).optional(),
  /** The distance from its antenna to the transducer is entered in it, so that marks lie where they were seen. */
  antennaOffsetSet: z.boolean().optional(),
  north: z.enum(['true', 'magnetic']).nullable(),
  /** The display's side-scan shows port on its left, and forward-facing points ahead: looked at, not taken for granted. */
  sidesRight: z.enum(['right', 'swapped', 'not looked at']),
  done: z.partialRecord(housekeepingSchema, z.literal(true)),
  alarms: alarmsSchema.optional(),
});
export type UnitSettings = z.output<typeof unitSettingsSchema>;
