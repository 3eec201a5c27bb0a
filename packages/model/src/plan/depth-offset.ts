import * as z from 'zod';
import { depthPairSchema } from '../readings/depth-pair.ts';
import { idSchema, instantSchema } from './id.ts';

export const depthReferences = ['waterline', 'keel'] as const;
export const depthReferenceSchema = z.enum(depthReferences);
export type DepthReference = z.output<typeof depthReferenceSchema>;

/** What was entered on the display, and what it was worked out from. */
export const enteredOffsetSchema = z.strictObject({
  offsetM: z.number().min(-20).max(20),
  standardErrorM: z.number().min(0).nullable(),
  at: instantSchema,
  /** Fingerprint of everything the result depended on, at that moment. */
  fingerprint: z.string().regex(/^[0-9a-f]{64}$/),
  /** The same things themselves, so that it can be said what has changed since. */
  inputs: z.json(),
});
export type EnteredOffset = z.output<typeof enteredOffsetSchema>;

/** The putting right of one transducer's depth. */
export const depthOffsetSchema = z.strictObject({
  reference: depthReferenceSchema,
  /** The offset already set in the display while the readings were taken. */
  offsetSetM: z.number().min(-20).max(20),
  /** The speed of sound the display reckons with. */
  soundSpeedAssumedMps: z.number().min(1300).max(1700),
  toleranceM: z.number().min(0.01).max(5),
  /** The smallest step the display shows. */
  displayResolutionM: z.number().min(0.001).max(2),
  readings: z.record(idSchema, depthPairSchema),
  entered: enteredOffsetSchema.nullable(),
});
export type DepthOffset = z.output<typeof depthOffsetSchema>;
