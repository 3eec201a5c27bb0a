import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import { takenFromSchema } from './taken-from.ts';

const onRecord = {
  /** Stays on record, but is left out. */
  leftOut: z.boolean().register(fieldWords, { label: 'left out' }),
  /** Left out where it was typed. */
  from: takenFromSchema.optional(),
};

const depth = (label: string) =>
  z.number().min(0).max(500).nullable().register(fieldWords, { label, quantity: 'depth', decimals: 2 });
const distance = (label: string, most: number) =>
  z.number().min(0).max(most).nullable().register(fieldWords, { label, quantity: 'length', decimals: 1 });
const offTheBow = (label: string) =>
  z
    .number()
    .min(-180)
    .max(180)
    .nullable()
    .register(fieldWords, { label, quantity: 'angle', decimals: 1, signed: true });

export const boatSides = ['port', 'starboard'] as const;
const side = (label: string) => z.enum(boatSides).nullable().register(fieldWords, { label });

/** What the water was at one depth. */
export const waterSampleSchema = z.strictObject({
  depthM: depth('At depth'),
  temperatureC: z
    .number()
    .min(0)
    .max(40)
    .nullable()
    .register(fieldWords, { label: 'Thermometer', quantity: 'temperature', decimals: 1 }),
  salinityPpt: z.number().min(0).max(40).nullable().register(fieldWords, { label: 'Salt', quantity: 'salinity' }),
  ...onRecord,
});

/** One flat bottom as two units show it at one moment, each with what is set in it. */
export const bottomPairSchema = z.strictObject({
  thisM: depth('This one shows'),
  otherM: depth('The other shows'),
  ...onRecord,
});

/** Something that is on one side for certain, and the side on which the picture has it. */
export const sideSeenSchema = z.strictObject({
  known: side('It lies to'),
  shown: side('The picture has it to'),
  ...onRecord,
});

/** A target's bearing off the bow, as it is known and as the picture has it; starboard positive. */
export const targetBearingSchema = z.strictObject({
  knownDeg: offTheBow('Target off the bow'),
  shownDeg: offTheBow('Shown off the bow'),
  ...onRecord,
});

/** A target at a known distance over the ground, and the range that is shown. */
export const targetRangeSchema = z.strictObject({
  knownM: distance('Known distance', 500),
  shownM: distance('Shown range', 600),
  /** Of the face over the bottom there. */
  heightM: distance('Face over the bottom', 300),
  /** Of what answers: a wall answers at the height of the face, a stone at the bottom's. */
  targetHeightM: distance('Target over the bottom', 300),
  ...onRecord,
});

/** The tilt of a unit against the level, bow up positive. */
export const tiltSchema = z.strictObject({
  tiltDeg: z
    .number()
    .min(-90)
    .max(90)
    .nullable()
    .register(fieldWords, { label: 'Tilt, bow up', quantity: 'angle', decimals: 1, signed: true }),
  ...onRecord,
});

/** A mark set when a buoy was straight over the face, and the heading it was passed on. */
export const buoyMarkSchema = z.strictObject({
  headingDeg: z
    .number()
    .min(0)
    .max(360)
    .nullable()
    .register(fieldWords, { label: 'Heading, true', quantity: 'angle', decimals: 0 }),
  latitudeDeg: z
    .number()
    .min(-80)
    .max(80)
    .nullable()
    .register(fieldWords, { label: 'Mark, latitude', quantity: 'angle', decimals: 6, signed: true }),
  longitudeDeg: z
    .number()
    .min(-180)
    .max(180)
    .nullable()
    .register(fieldWords, { label: 'Mark, longitude', quantity: 'angle', decimals: 6, signed: true }),
  ...onRecord,
});

/** A battery's voltage at one moment of a day: how much had been taken from it, and the current at that moment. */
export const batteryReadingSchema = z.strictObject({
  /** Counted from 1: what it loses from trip to trip is told from several. */
  trip: z.number().int().min(1).max(1000).nullable().register(fieldWords, { label: 'Trip', quantity: 'count' }),
  usedAh: z
    .number()
    .min(0)
    .max(2000)
    .nullable()
    .register(fieldWords, { label: 'Taken since full', quantity: 'charge', decimals: 1 }),
  currentA: z.number().min(0).max(2000).nullable().register(fieldWords, { label: 'Current then', quantity: 'current' }),
  voltsV: z
    .number()
    .min(3)
    .max(70)
    .nullable()
    .register(fieldWords, { label: 'Voltage', quantity: 'voltage', decimals: 2 }),
  ...onRecord,
});

export const lostThings = ['bottom', 'sinker', 'lure'] as const;

/** Where something was lost from the picture: at so much under the face, at that speed. */
export const lostTargetSchema = z.strictObject({
  lost: z.enum(lostThings).nullable().register(fieldWords, { label: 'What was lost' }),
  depthM: depth('Under the face'),
  speedMps: z
    .number()
    .min(0)
    .max(40)
    .nullable()
    .register(fieldWords, { label: 'Boat’s speed', quantity: 'speed', decimals: 1 }),
  /** The sinker's diameter or the lure's length; of no account for the bottom. */
  sizeCm: z
    .number()
    .min(0)
    .max(60)
    .nullable()
    .register(fieldWords, { label: 'Its size', quantity: 'fishLength', decimals: 1 }),
  ...onRecord,
});

export type WaterSample = z.output<typeof waterSampleSchema>;
export type BottomPair = z.output<typeof bottomPairSchema>;
export type SideSeen = z.output<typeof sideSeenSchema>;
export type TargetBearing = z.output<typeof targetBearingSchema>;
export type TargetRange = z.output<typeof targetRangeSchema>;
export type Tilt = z.output<typeof tiltSchema>;
export type BuoyMark = z.output<typeof buoyMarkSchema>;
export type BatteryReading = z.output<typeof batteryReadingSchema>;
export type LostTarget = z.output<typeof lostTargetSchema>;
