import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { ofOneBoat } from '../fields/of-one-boat.ts';
import { idSchema, nameSchema, recordById } from './id.ts';
import { waysOfWorking, waySetSchema } from './ways.ts';

/** Wire sizes that are sold: American gauges, and metric sections in square millimetres. */
export const gauges = [
  'AWG 18',
  'AWG 16',
  'AWG 14',
  'AWG 12',
  'AWG 10',
  'AWG 8',
  'AWG 6',
  'AWG 4',
  'AWG 2',
  'AWG 1',
  'AWG 1/0',
  'AWG 2/0',
  'AWG 3/0',
  'AWG 4/0',
  '0.75 mm2',
  '1 mm2',
  '1.5 mm2',
  '2.5 mm2',
  '4 mm2',
  '6 mm2',
  '10 mm2',
  '16 mm2',
  '25 mm2',
  '35 mm2',
  '50 mm2',
  '70 mm2',
  '95 mm2',
  '120 mm2',
] as const;
export const gaugeSchema = z.enum(gauges);
export type Gauge = z.output<typeof gaugeSchema>;

export const conductors = ['stranded-tinned', 'solid'] as const;
export const conductorSchema = z.enum(conductors);
export type Conductor = z.output<typeof conductorSchema>;

export const chemistries = ['lead-acid', 'lithium'] as const;
export const chemistrySchema = z.enum(chemistries);
export type Chemistry = z.output<typeof chemistrySchema>;

/** A lithium pack of iron-phosphate cells keeps its voltage; one of other cells falls with its charge. */
export const lithiumCurves = ['flat', 'sloping'] as const;

/** Rated temperatures of a wire's insulation that the tables of ampacity have a column for. */
export const insulationRatingsC = [60, 70, 85, 105, 125] as const;

export const batterySchema = z.strictObject({
  name: nameSchema,
  chemistry: chemistrySchema,
  /** Only for lithium; flat where left out. */
  curve: z.enum(lithiumCurves).optional(),
  /** In a row; left out or null where nobody counted: then they are guessed from the nominal voltage. */
  cells: z
    .number()
    .int()
    .min(1)
    .max(30)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Cells in a row', quantity: 'count', decimals: 0 }),
  nominalV: z.number().min(6).max(60).register(fieldWords, { label: 'Nominal', quantity: 'voltage', decimals: 0 }),
  capacityAh: z.number().min(1).max(2000).register(fieldWords, { label: 'Capacity', quantity: 'charge', decimals: 0 }),
  /** What is left of that capacity with age, as the last visit found it. */
  capacityLeft: z
    .number()
    .min(0.1)
    .max(1)
    .register(fieldWords, { label: 'State of health', quantity: 'fraction', decimals: 0 })
    .register(ofOneBoat, { begins: 1 }),
  /** Only for lead-acid: 1.1 to 1.3 for most. */
  peukert: z
    .number()
    .min(1)
    .max(1.6)
    .register(fieldWords, { label: 'Peukert, lead-acid', quantity: 'count', decimals: 2 }),
  internalOhm: z
    .number()
    .min(0)
    .max(0.5)
    .register(fieldWords, { label: 'Inner resistance', quantity: 'resistance', decimals: 1 }),
  /** What an engine's starter takes from it; 0 where it starts none. */
  crankingA: z
    .number()
    .min(0)
    .max(2000)
    .register(fieldWords, { label: 'Starter current', quantity: 'current', decimals: 0 }),
  /** What it is charged at, at the most. */
  chargingV: z.number().min(6).max(70).register(fieldWords, { label: 'Charged at', quantity: 'voltage', decimals: 1 }),
  /** What its maker's sheet allows at the most; left out or null where it is not at hand. */
  highestChargingV: z
    .number()
    .min(6)
    .max(70)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Bears at most, by its sheet', quantity: 'voltage', decimals: 1 }),
});
export type Battery = z.output<typeof batterySchema>;

export const loadSchema = z.strictObject({
  name: nameSchema,
  currentA: z.number().min(0).max(500).register(fieldWords, { label: 'Current', quantity: 'current' }),
  /** What the device stands, from its sheet; null where it is silent. */
  lowestV: z.number().min(3).max(60).nullable().register(fieldWords, { label: 'Lowest', quantity: 'voltage' }),
  highestV: z.number().min(6).max(80).nullable().register(fieldWords, { label: 'Highest', quantity: 'voltage' }),
  runsIn: waySetSchema,
  /** The station whose screen it is, or the piece of equipment; left out or null for what is neither. */
  deviceId: idSchema.nullable().optional(),
});
export type Load = z.output<typeof loadSchema>;

/** One pair of wires from a battery, with its fuse and what hangs on it. */
export const circuitSchema = z.strictObject({
  name: nameSchema,
  batteryId: idSchema.nullable(),
  oneWayLengthM: z.number().min(0.1).max(60).register(fieldWords, { label: 'Length, one way', quantity: 'length' }),
  gauge: gaugeSchema,
  conductor: conductorSchema,
  /** Of the air the wire runs through: an engine space is warm. */
  temperatureC: z.number().min(-20).max(90).register(fieldWords, { label: 'Around the wire', quantity: 'temperature' }),
  /** As printed on the cable; left out or null where nothing is printed or nobody looked. */
  insulationC: z.literal(insulationRatingsC).nullable().optional(),
  fuseA: z.number().min(0.5).max(600).nullable().register(fieldWords, { label: 'Fuse', quantity: 'current' }),
  /** Along the wire from the battery's positive post. */
  fuseFromPostM: z.number().min(0).max(20).register(fieldWords, { label: 'Fuse from the post', quantity: 'length' }),
  loads: recordById(loadSchema, 60),
});
export type Circuit = z.output<typeof circuitSchema>;

export const powerSchema = z.strictObject({
  batteries: recordById(batterySchema, 20),
  circuits: recordById(circuitSchema, 80),
  /** Hours a day in each way of working. */
  hours: z.partialRecord(
    z.enum(waysOfWorking),
    z.number().min(0).max(24).register(fieldWords, { label: 'Hours a day', quantity: 'hours' }),
  ),
});
export type Power = z.output<typeof powerSchema>;
