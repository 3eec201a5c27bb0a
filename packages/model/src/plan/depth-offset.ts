import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { depthPairSchema } from '../readings/depth-pair.ts';
import { waves } from './calibration-parts.ts';
import { recordById } from './id.ts';
import { displayWaters } from './source.ts';

export const depthReferences = ['waterline', 'keel'] as const;
export const depthReferenceSchema = z.enum(depthReferences);
export type DepthReference = z.output<typeof depthReferenceSchema>;

/** The water a set of readings was taken in: it sets the speed of sound they are worked out with. */
export const readingWaterSchema = z.strictObject({
  temperatureC: z.number().min(0).max(40).register(fieldWords, { label: 'Water was', quantity: 'temperature' }),
  salinityPpt: z.number().min(0).max(40).register(fieldWords, { label: 'with salt', quantity: 'salinity' }),
});
export type ReadingWater = z.output<typeof readingWaterSchema>;

/** How one transducer's depth is calibrated. */
export const depthOffsetSchema = z.strictObject({
  reference: depthReferenceSchema.clone().register(fieldWords, { label: 'Counted from' }),
  /** The offset already set in the display while the readings were taken. */
  offsetSetM: z
    .number()
    .min(-20)
    .max(20)
    .register(fieldWords, { label: 'Offset set in the display', quantity: 'length', signed: true }),
  /** What the display was set to while these were read; left out for what Sources says it is set to. */
  displaySetTo: z.enum([...displayWaters, 'own figure']).optional(),
  /** The speed of sound it used then, where that is a figure of its own; null for what a water type or Sources gives. */
  soundSpeedAssumedMps: z
    .number()
    .min(1300)
    .max(1700)
    .nullable()
    .register(fieldWords, { label: 'Its speed of sound', quantity: 'soundSpeed' }),
  /** Left out or null where nobody said: then the working water of the brief is taken. */
  takenIn: readingWaterSchema.nullable().optional(),
  toleranceM: z.number().min(0.01).max(5).register(fieldWords, { label: 'Your tolerance', quantity: 'length' }),
  /** The smallest step the display shows. */
  displayResolutionM: z.number().min(0.001).max(2).register(fieldWords, { label: 'Display steps', quantity: 'length' }),
  /** Swell that was not waited out, crest to trough; left out or null in flat water. */
  swellM: z
    .number()
    .min(0)
    .max(10)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Swell, crest to trough', quantity: 'length' }),
  /** What its marks and the eye at them are off by, 95 times of 100; 0.05 m where left out or null. */
  leadLineByM: z
    .number()
    .min(0)
    .max(2)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Lead line off by up to', quantity: 'length' }),
  ...waves,
  /** Of a face on a pole or a shaft: how deep it hangs below the water as it is used; null while nobody measured. */
  immersionM: z
    .number()
    .min(0)
    .max(10)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'Face below the water, as used', quantity: 'length' }),
  readings: recordById(depthPairSchema, 400),
});
export type DepthOffset = z.output<typeof depthOffsetSchema>;
