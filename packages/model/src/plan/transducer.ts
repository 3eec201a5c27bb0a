import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { idSchema, nameSchema } from './id.ts';
import { waySetSchema } from './ways.ts';

export const sonarKinds = ['sounder', 'side-scan', 'down fan', 'forward-facing', 'sector'] as const;
export const sonarKindSchema = z.enum(sonarKinds);
export type SonarKind = z.output<typeof sonarKindSchema>;

export const mountings = ['through-hull', 'transom', 'shoot-through-hull', 'bow motor', 'pole'] as const;
export const mountingSchema = z.enum(mountings);
export type Mounting = z.output<typeof mountingSchema>;

/** One beam of an element: what it sounds at and how wide, with the level the width is quoted at. */
export const beamSchema = z.strictObject({
  frequencyHz: z
    .number()
    .min(10_000)
    .max(3_000_000)
    .register(fieldWords, { label: 'Frequency', quantity: 'frequency' }),
  /** Width of the chirp band about the frequency; null for a single-frequency pulse. */
  bandwidthHz: z
    .number()
    .min(100)
    .max(1_000_000)
    .nullable()
    .register(fieldWords, { label: 'Chirp bandwidth', quantity: 'frequency' }),
  /** Full one-way beamwidth; for a fan, the wide one across the boat. */
  beamwidthDeg: z.number().min(0.1).max(170).register(fieldWords, { label: 'Beamwidth, full', quantity: 'angle' }),
  /** The level at which the sheet measures the width: usually -3 or -10 dB. */
  levelDb: z.number().min(-20).max(-1).register(fieldWords, { label: 'Measured at', quantity: 'level' }),
  /** For a fan beam, its narrow width along the boat at the same level; null for a cone. */
  alongDeg: z
    .number()
    .min(0.1)
    .max(170)
    .nullable()
    .register(fieldWords, { label: 'Width along the boat', quantity: 'angle' }),
  /** Source level on the axis as the sheet gives it, dB re 1 µPa at 1 m; without one it is derived from power and cone. */
  sourceLevelDb: z
    .number()
    .min(120)
    .max(250)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Source level', quantity: 'level' }),
});
export type Beam = z.output<typeof beamSchema>;

/** What an element is, by its physics. Shared by the catalogue and by the boat that carries it. */
export const elementSchema = z.strictObject({
  name: nameSchema.clone().register(fieldWords, { label: 'Name' }),
  kind: sonarKindSchema,
  beams: z.array(beamSchema).min(1, 'At least one beam is needed.').max(6),
  /** Diameter of the face of a disc; null where unknown or where the face is no disc. */
  apertureM: z
    .number()
    .min(0.002)
    .max(2)
    .nullable()
    .register(fieldWords, { label: 'Face diameter', quantity: 'length', decimals: 3 }),
  /** The same cone over the whole band: aperture and frequency do not check such a one. */
  constantBeamwidth: z.boolean(),
  electricalPowerW: z
    .number()
    .min(1)
    .max(10_000)
    .nullable()
    .register(fieldWords, { label: 'Electrical power', quantity: 'power' }),
  /** Sound out for power in. This and the pulse lengths are left out where the sheet is silent. */
  efficiency: z
    .number()
    .min(0.01)
    .max(1)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Efficiency', quantity: 'fraction' }),
  shortestPulseS: z
    .number()
    .min(0.000_001)
    .max(0.1)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Shortest pulse', quantity: 'duration', decimals: 3 }),
  longestPulseS: z
    .number()
    .min(0.000_001)
    .max(0.1)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Longest pulse', quantity: 'duration', decimals: 3 }),
});
export type Element = z.output<typeof elementSchema>;

export const transducerSchema = elementSchema.extend({
  catalogue: z.strictObject({ entryId: idSchema, version: z.number().int().min(1) }).nullable(),
  mounting: mountingSchema,
  /** The face in boat coordinates: forward of the transom, starboard of the centreline, above the keel's lowest point. */
  forwardM: z.number().min(-5).max(60).register(fieldWords, { label: 'Forward of transom', quantity: 'length' }),
  starboardM: z.number().min(-10).max(10).register(fieldWords, { label: 'Starboard of centre', quantity: 'length' }),
  aboveKeelM: z.number().min(-5).max(10).register(fieldWords, { label: 'Face above keel', quantity: 'length' }),
  /** Which of its beams the drawing and the card show. */
  workingBeam: z.number().int().min(0).max(5),
  transmitsIn: waySetSchema,
  /** The ways of working it is down in the water in, for what hangs on a motor or a pole; left out for the usual ones. */
  loweredIn: waySetSchema.optional(),
  /** How far a fairing block or a bracket brings the face back to the level; left out where it lies with the hull. */
  fairingDeg: z
    .number()
    .min(0)
    .max(45)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Levelled by a fairing', quantity: 'angle' }),
});
export type Transducer = z.output<typeof transducerSchema>;
