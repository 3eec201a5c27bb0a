import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { ofOneBoat } from '../fields/of-one-boat.ts';
import { nameSchema } from './id.ts';

export const hullForms = ['planing monohull', 'displacement', 'catamaran', 'flat-bottomed'] as const;
export const hullMaterials = ['aluminium', 'solid laminate', 'cored composite', 'wood', 'steel'] as const;
export const propulsions = [
  'single outboard',
  'twin outboards',
  'inboard shaft',
  'sterndrive',
  'jet',
  'electric',
  'oars',
] as const;

export const boatSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Name' }),
  lengthM: z.number().min(2).max(60).nullable().register(fieldWords, { label: 'Length', quantity: 'length' }),
  beamM: z.number().min(0.5).max(20).nullable().register(fieldWords, { label: 'Beam', quantity: 'length' }),
  /** The keel's lowest point below the waterline as it floats when calibrated. */
  draughtM: z
    .number()
    .min(0.05)
    .max(10)
    .nullable()
    .register(fieldWords, { label: 'Draught to the keel', quantity: 'length' }),
  hullForm: z.enum(hullForms).register(fieldWords, { label: 'Hull form' }),
  /** Rise of the bottom at the transom from the level, to each side; left out or null where not measured. */
  deadriseDeg: z
    .number()
    .min(0)
    .max(45)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Deadrise of the bottom', quantity: 'angle' }),
  /** How far the bow rises when running; left out or null where not measured. */
  runningTrimDeg: z
    .number()
    .min(0)
    .max(15)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Bow up when running', quantity: 'angle' }),
  /** The bow's highest point ahead, above the water at rest; left out or null where not measured. */
  bowHeightM: z
    .number()
    .min(0.1)
    .max(12)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Bow above the water', quantity: 'length' }),
  hullMaterial: z.enum(hullMaterials).register(fieldWords, { label: 'Material' }),
  propulsion: z.enum(propulsions).register(fieldWords, { label: 'Propulsion' }),
  cruiseSpeedMps: z
    .number()
    .min(0)
    .max(60)
    .nullable()
    .register(fieldWords, { label: 'Cruise speed', quantity: 'speed' }),
  topSpeedMps: z.number().min(0).max(60).nullable().register(fieldWords, { label: 'Top speed', quantity: 'speed' }),
  systemVoltageV: z
    .number()
    .min(6)
    .max(60)
    .nullable()
    .register(fieldWords, { label: 'Electrical system', quantity: 'voltage' }),
  /** An electric motor at the bow, that a unit can hang on; left out where it was not asked. */
  bowMotor: z.boolean().optional().register(fieldWords, { label: 'electric bow motor' }),
  /**
   * What the boat's own electrics put into a sonar receiver at rest, dB re 1 µPa in a band of 1 kHz, as the sea trial
   * found it; left out or null while it is taken from supply and engine.
   */
  electricalFloorDb: z
    .number()
    .min(20)
    .max(130)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Electrical noise in 1 kHz', quantity: 'level' })
    .register(ofOneBoat, {}),
  /** By how much the boat is louder under way than the round figure for its mounting and speed; left out or null while not measured. */
  ownNoiseByDb: z
    .number()
    .min(-40)
    .max(40)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Louder under way by', quantity: 'level', signed: true })
    .register(ofOneBoat, {}),
  /** Whose it is, and how to reach them; left out where it was not asked. */
  owner: z.string().max(120).optional().register(fieldWords, { label: 'Owner' }).register(ofOneBoat, {}),
  contact: z.string().max(200).optional().register(fieldWords, { label: 'Contact' }).register(ofOneBoat, {}),
  hullNumber: z.string().max(60).optional().register(fieldWords, { label: 'Hull number' }).register(ofOneBoat, {}),
  engine: z.string().max(120).optional().register(fieldWords, { label: 'Engine' }),
  /** Who fitted it, and the shop they did it for. */
  installer: z.string().max(120).optional().register(fieldWords, { label: 'Installer' }),
  shop: z.string().max(120).optional().register(fieldWords, { label: 'Shop' }),
  notes: z.string().max(4000).register(fieldWords, { label: 'Notes' }),
});
/** What of the hull the places on it were chosen for. */
export const fittedHullSchema = boatSchema.pick({ lengthM: true, beamM: true, draughtM: true, hullForm: true });
export type FittedHull = z.output<typeof fittedHullSchema>;
export type Boat = z.output<typeof boatSchema>;
