import * as z from 'zod';
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
  name: nameSchema,
  lengthM: z.number().min(2).max(60).nullable(),
  beamM: z.number().min(0.5).max(20).nullable(),
  /** The keel's lowest point below the waterline as she floats when calibrated. */
  draughtM: z.number().min(0.05).max(10).nullable(),
  hullForm: z.enum(hullForms),
  /** Rise of the bottom at the transom from the level, to each side; left out or null where not measured. */
  deadriseDeg: z.number().min(0).max(45).nullable().optional(),
  /** How far the bow rises when running; left out or null where not measured. */
  runningTrimDeg: z.number().min(0).max(15).nullable().optional(),
  hullMaterial: z.enum(hullMaterials),
  propulsion: z.enum(propulsions),
  cruiseSpeedMps: z.number().min(0).max(60).nullable(),
  topSpeedMps: z.number().min(0).max(60).nullable(),
  systemVoltageV: z.number().min(6).max(60).nullable(),
  notes: z.string().max(4000),
});
export type Boat = z.output<typeof boatSchema>;
