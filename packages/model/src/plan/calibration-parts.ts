import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import {
  headingRunSchema,
  speedRunSchema,
  swingHeadingSchema,
  temperaturePairSchema,
} from '../readings/calibration-readings.ts';
import {
  batteryReadingSchema,
  bottomPairSchema,
  buoyMarkSchema,
  lostTargetSchema,
  sideSeenSchema,
  targetBearingSchema,
  targetRangeSchema,
  tiltSchema,
  waterSampleSchema,
} from '../readings/sonar-readings.ts';
import { idSchema } from './id.ts';

const lag = (label: string) =>
  z.number().min(0).max(300).register(fieldWords, { label, quantity: 'wait', decimals: 0 });

/** Which north the heading is shown from, and what lies between the two there. */
const north = {
  north: z.enum(['true', 'magnetic']).register(fieldWords, { label: 'Heading is shown from' }),
  /** East positive; needed where the heading is shown from magnetic north. */
  variationDeg: z
    .number()
    .min(-180)
    .max(180)
    .nullable()
    .register(fieldWords, { label: 'Variation, east positive', quantity: 'angle', decimals: 1, signed: true }),
};

/** Where a correction is set decides whether what comes in from the instruments has it in; left out while nobody said. */
const correctionIn = z
  .enum(['display', 'sensor'])
  .optional()
  .register(fieldWords, { label: 'Correction is set in the' });

/** From the first reading to the last, and how long a wave takes: readings within waves are no independent ones. */
export const waves = {
  spanS: z
    .number()
    .min(0)
    .max(100_000)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'All read within', quantity: 'wait', decimals: 0 }),
  wavePeriodS: z
    .number()
    .min(1)
    .max(30)
    .nullable()
    .optional()
    .register(fieldWords, { label: 'A wave takes', quantity: 'wait', decimals: 0 }),
};

/** What the magnetic headings of a swing come from. */
export const swingReferences = [
  'a bearing far off',
  'the sun',
  'a heading that is right',
  'course over ground',
] as const;
export const bottomKinds = ['mud', 'sand', 'gravel', 'rock'] as const;

export const calibrationKinds = [
  'sound speed',
  'speed',
  'temperature',
  'heading',
  'deviation',
  'step',
  'sides',
  'pointing',
  'range',
  'tilt',
  'antenna',
  'battery',
  'noise',
] as const;
export const calibrationKindSchema = z.enum(calibrationKinds);
export type CalibrationKind = z.output<typeof calibrationKindSchema>;

export const shownRanges = ['by triangle', 'less the water column', 'as shown'] as const;

const tolerance = (quantity: 'angle' | 'length' | 'fraction' | 'soundSpeed' | 'level', least: number, most: number) =>
  z.number().min(least).max(most).register(fieldWords, { label: 'Your tolerance', quantity, decimals: 1 });

/** Of each kind: what is set and wanted, and one reading. A setting that begins with "tolerance" is what may be off. */
export const calibrationParts = {
  speed: {
    settings: z.strictObject({
      setFactor: z
        .number()
        .min(0.3)
        .max(3)
        .register(fieldWords, { label: 'Factor set in the display', quantity: 'fraction', decimals: 1 }),
      toleranceFactor: z
        .number()
        .min(0.002)
        .max(0.2)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'fraction', decimals: 1 }),
      lagS: lag('Display averages over'),
      correctionIn,
      ...north,
    }),
    reading: speedRunSchema,
  },
  temperature: {
    settings: z.strictObject({
      setByC: z.number().min(-20).max(20).register(fieldWords, {
        label: 'Offset set in the display',
        quantity: 'temperatureDifference',
        decimals: 2,
        signed: true,
      }),
      toleranceByC: z
        .number()
        .min(0.02)
        .max(5)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'temperatureDifference', decimals: 2 }),
      lagS: lag('Sensor follows within'),
      correctionIn,
    }),
    reading: temperaturePairSchema,
  },
  heading: {
    settings: z.strictObject({
      setDeg: z
        .number()
        .min(-180)
        .max(180)
        .register(fieldWords, { label: 'Offset set in the display', quantity: 'angle', decimals: 1, signed: true }),
      toleranceDeg: z
        .number()
        .min(0.2)
        .max(20)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'angle', decimals: 1 }),
      lagS: lag('Compass follows within'),
      correctionIn,
      ...north,
    }),
    reading: headingRunSchema,
  },
  deviation: {
    settings: z.strictObject({
      toleranceDeg: z
        .number()
        .min(0.2)
        .max(20)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'angle', decimals: 1 }),
      heldAgainst: z.enum(swingReferences).optional().register(fieldWords, { label: 'Held against' }),
    }),
    reading: swingHeadingSchema,
  },
  'sound speed': {
    settings: z.strictObject({
      setMps: z
        .number()
        .min(1300)
        .max(1700)
        .register(fieldWords, { label: 'Set in the display', quantity: 'soundSpeed', decimals: 0 }),
      toleranceMps: tolerance('soundSpeed', 0.5, 100),
      /** What thermometer and salt may be off by, 95 times of 100: the interval is drawn from these. */
      thermometerByC: z.number().min(0.01).max(5).register(fieldWords, {
        label: 'Thermometer off by up to',
        quantity: 'temperatureDifference',
        decimals: 1,
      }),
      saltByPpt: z
        .number()
        .min(0)
        .max(10)
        .register(fieldWords, { label: 'Salt off by up to', quantity: 'salinity', decimals: 1 }),
    }),
    reading: waterSampleSchema,
  },
  step: {
    settings: z.strictObject({
      /** The unit it is held against; null for the first of the boat. */
      otherId: idSchema.nullable(),
      setM: z
        .number()
        .min(-20)
        .max(20)
        .register(fieldWords, { label: 'Offset set in this one', quantity: 'length', signed: true }),
      toleranceM: tolerance('length', 0.01, 5),
    }),
    reading: bottomPairSchema,
  },
  sides: { settings: z.strictObject({}), reading: sideSeenSchema },
  pointing: {
    settings: z.strictObject({
      setDeg: z
        .number()
        .min(-180)
        .max(180)
        .register(fieldWords, { label: 'Set in the display', quantity: 'angle', decimals: 1, signed: true }),
      toleranceDeg: tolerance('angle', 0.2, 30),
      ...waves,
    }),
    reading: targetBearingSchema,
  },
  range: {
    settings: z.strictObject({
      way: z.enum(shownRanges).register(fieldWords, { label: 'Distance is read' }),
      toleranceFactor: tolerance('fraction', 0.005, 0.5),
    }),
    reading: targetRangeSchema,
  },
  tilt: {
    settings: z.strictObject({
      /** From the maker: at which tilt the view changes by itself; null where it never does, or nobody looked it up. */
      changesAtDeg: z.number().min(-90).max(90).nullable().register(fieldWords, {
        label: 'View changes by itself at',
        quantity: 'angle',
        decimals: 1,
        signed: true,
      }),
      toleranceDeg: tolerance('angle', 0.2, 30),
      ...waves,
    }),
    reading: tiltSchema,
  },
  antenna: {
    settings: z.strictObject({
      setForwardM: z
        .number()
        .min(-60)
        .max(60)
        .register(fieldWords, { label: 'Forward, set in it', quantity: 'length', signed: true }),
      setStarboardM: z
        .number()
        .min(-20)
        .max(20)
        .register(fieldWords, { label: 'Starboard, set in it', quantity: 'length', signed: true }),
      toleranceM: tolerance('length', 0.1, 20),
    }),
    reading: buoyMarkSchema,
  },
  battery: {
    settings: z.strictObject({ toleranceFactor: tolerance('fraction', 0.02, 0.5) }),
    reading: batteryReadingSchema,
  },
  noise: {
    settings: z.strictObject({
      toleranceDb: tolerance('level', 0.5, 20),
      /** Under where the bottom was lost; left out while nobody said. */
      bottom: z.enum(bottomKinds).optional().register(fieldWords, { label: 'Bottom there' }),
    }),
    reading: lostTargetSchema,
  },
} as const;

export type CalibrationSettings<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['settings']>;
export type CalibrationReading<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['reading']>;
