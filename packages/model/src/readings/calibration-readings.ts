import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { takenFromSchema } from './taken-from.ts';

const onRecord = {
  /** Stays on record, but is left out. */
  leftOut: z.boolean().register(fieldWords, { label: 'left out' }),
  /** Left out where it was typed. */
  from: takenFromSchema.optional(),
};

const bearing = (label: string) =>
  z.number().min(0).max(360).nullable().register(fieldWords, { label, quantity: 'angle', decimals: 1 });
const boatSpeed = (label: string, least: number) =>
  z.number().min(least).max(45).nullable().register(fieldWords, { label, quantity: 'speed', decimals: 2 });
const water = (label: string) =>
  z.number().min(-5).max(45).nullable().register(fieldWords, { label, quantity: 'temperature', decimals: 2 });

/** One straight run: what the log and the heading showed, and how the boat went over ground. A part may still be missing. */
export const speedRunSchema = z.strictObject({
  logMps: boatSpeed('Log', 0),
  headingDeg: bearing('Heading shown'),
  sogMps: boatSpeed('Speed over ground', 0),
  cogDeg: bearing('Course over ground, true'),
  ...onRecord,
});

/** One straight run for the heading: runs one and two are a pair there and back, three and four the next. */
export const headingRunSchema = z.strictObject({
  headingDeg: bearing('Heading shown'),
  sogMps: boatSpeed('Speed over ground', 0.2),
  cogDeg: bearing('Course over ground, true'),
  ...onRecord,
});

/** What a thermometer that can be trusted said in the water beside the sensor, and what the display showed. */
export const temperaturePairSchema = z.strictObject({
  referenceC: water('Thermometer'),
  displayedC: water('Displayed'),
  ...onRecord,
});

/** One heading of a swing: what the compass showed, and what the magnetic heading was. */
export const swingHeadingSchema = z.strictObject({
  compassDeg: bearing('Compass shows'),
  magneticDeg: bearing('Magnetic heading'),
  ...onRecord,
});

export type SpeedRun = z.output<typeof speedRunSchema>;
export type HeadingRun = z.output<typeof headingRunSchema>;
export type TemperaturePair = z.output<typeof temperaturePairSchema>;
export type SwingHeading = z.output<typeof swingHeadingSchema>;
