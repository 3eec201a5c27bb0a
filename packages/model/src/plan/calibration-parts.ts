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

export const shownRanges = ['by triangle', 'less the water column', 'as shown'] as const;

const tolerance = (quantity: 'angle' | 'length' | 'fraction' | 'soundSpeed' | 'level', least: number, most: number) =>
  z
    .number()
    .min(least)
    .max(most)
    .register(fieldWords, { label: 'Your tolerance', quantity, decimals: 1, role: 'tolerance' });

/** What a calibration of a kind is made of. */
interface Parts<S extends z.ZodObject, R extends z.ZodType> {
  /** What is set and wanted: the role on a field says which of it may be off by how much, and which is set in a device. */
  readonly settings: S;
  /** One reading. */
  readonly reading: R;
  /** What stands in it before anybody said anything. */
  readonly begins: z.output<S>;
}
const kind = <S extends z.ZodObject, R extends z.ZodType>(parts: Parts<S, R>): Parts<S, R> => parts;

/** Every kind of calibration, in the order in which they are told. */
export const calibrationParts = {
  'sound speed': kind({
    settings: z.strictObject({
      setMps: z
        .number()
        .min(1300)
        .max(1700)
        .register(fieldWords, { label: 'Set in the display', quantity: 'soundSpeed', decimals: 0, role: 'set' }),
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
    begins: { setMps: 1500, toleranceMps: 8, thermometerByC: 0.5, saltByPpt: 0.5 },
  }),
  speed: kind({
    settings: z.strictObject({
      setFactor: z
        .number()
        .min(0.3)
        .max(3)
        .register(fieldWords, { label: 'Factor set in the display', quantity: 'fraction', decimals: 1, role: 'set' }),
      toleranceFactor: z
        .number()
        .min(0.002)
        .max(0.2)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'fraction', decimals: 1, role: 'tolerance' }),
      lagS: lag('Display averages over'),
      correctionIn,
      ...north,
    }),
    reading: speedRunSchema,
    begins: { setFactor: 1, toleranceFactor: 0.03, lagS: 10, north: 'true', variationDeg: null },
  }),
  temperature: kind({
    settings: z.strictObject({
      setByC: z.number().min(-20).max(20).register(fieldWords, {
        label: 'Offset set in the display',
        quantity: 'temperatureDifference',
        decimals: 2,
        signed: true,
        role: 'set',
      }),
      toleranceByC: z.number().min(0.02).max(5).register(fieldWords, {
        label: 'Your tolerance',
        quantity: 'temperatureDifference',
        decimals: 2,
        role: 'tolerance',
      }),
      lagS: lag('Sensor follows within'),
      correctionIn,
    }),
    reading: temperaturePairSchema,
    begins: { setByC: 0, toleranceByC: 0.3, lagS: 60 },
  }),
  heading: kind({
    settings: z.strictObject({
      setDeg: z.number().min(-180).max(180).register(fieldWords, {
        label: 'Offset set in the display',
        quantity: 'angle',
        decimals: 1,
        signed: true,
        role: 'set',
      }),
      toleranceDeg: z
        .number()
        .min(0.2)
        .max(20)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'angle', decimals: 1, role: 'tolerance' }),
      lagS: lag('Compass follows within'),
      correctionIn,
      ...north,
    }),
    reading: headingRunSchema,
    begins: { setDeg: 0, toleranceDeg: 2, lagS: 3, north: 'true', variationDeg: null },
  }),
  deviation: kind({
    settings: z.strictObject({
      toleranceDeg: z
        .number()
        .min(0.2)
        .max(20)
        .register(fieldWords, { label: 'Your tolerance', quantity: 'angle', decimals: 1, role: 'tolerance' }),
      heldAgainst: z.enum(swingReferences).optional().register(fieldWords, { label: 'Held against' }),
    }),
    reading: swingHeadingSchema,
    begins: { toleranceDeg: 2 },
  }),
  step: kind({
    settings: z.strictObject({
      /** The unit it is held against; null for the first of the boat. */
      otherId: idSchema.nullable(),
      setM: z
        .number()
        .min(-20)
        .max(20)
        .register(fieldWords, { label: 'Offset set in this one', quantity: 'length', signed: true, role: 'set' }),
      toleranceM: tolerance('length', 0.01, 5),
    }),
    reading: bottomPairSchema,
    begins: { otherId: null, setM: 0, toleranceM: 0.1 },
  }),
  sides: kind({ settings: z.strictObject({}), reading: sideSeenSchema, begins: {} }),
  pointing: kind({
    settings: z.strictObject({
      setDeg: z.number().min(-180).max(180).register(fieldWords, {
        label: 'Set in the display',
        quantity: 'angle',
        decimals: 1,
        signed: true,
        role: 'set',
      }),
      toleranceDeg: tolerance('angle', 0.2, 30),
      ...waves,
    }),
    reading: targetBearingSchema,
    begins: { setDeg: 0, toleranceDeg: 3 },
  }),
  range: kind({
    settings: z.strictObject({
      way: z.enum(shownRanges).register(fieldWords, { label: 'Distance is read' }),
      toleranceFactor: tolerance('fraction', 0.005, 0.5),
    }),
    reading: targetRangeSchema,
    begins: { way: 'by triangle', toleranceFactor: 0.05 },
  }),
  tilt: kind({
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
    begins: { changesAtDeg: null, toleranceDeg: 2 },
  }),
  antenna: kind({
    settings: z.strictObject({
      setForwardM: z
        .number()
        .min(-60)
        .max(60)
        .register(fieldWords, { label: 'Forward, set in it', quantity: 'length', signed: true, role: 'set' }),
      setStarboardM: z
        .number()
        .min(-20)
        .max(20)
        .register(fieldWords, { label: 'Starboard, set in it', quantity: 'length', signed: true, role: 'set' }),
      toleranceM: tolerance('length', 0.1, 20),
    }),
    reading: buoyMarkSchema,
    begins: { setForwardM: 0, setStarboardM: 0, toleranceM: 1 },
  }),
  battery: kind({
    settings: z.strictObject({ toleranceFactor: tolerance('fraction', 0.02, 0.5) }),
    reading: batteryReadingSchema,
    begins: { toleranceFactor: 0.1 },
  }),
  noise: kind({
    settings: z.strictObject({
      toleranceDb: tolerance('level', 0.5, 20),
      /** Under where the bottom was lost; left out while nobody said. */
      bottom: z.enum(bottomKinds).optional().register(fieldWords, { label: 'Bottom there' }),
    }),
    reading: lostTargetSchema,
    begins: { toleranceDb: 10 },
  }),
} as const;
export type CalibrationKind = keyof typeof calibrationParts;
export const calibrationKinds = Object.keys(calibrationParts) as readonly CalibrationKind[] as readonly [
  CalibrationKind,
  ...CalibrationKind[],
];
export const calibrationKindSchema = z.enum(calibrationKinds);

export type CalibrationSettings<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['settings']>;
export type CalibrationReading<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['reading']>;

/** What no device takes: it goes on the card or into the plan, and what is noted of it stands with the calibration. */
export const notedKinds = [
  'deviation',
  'range',
  'tilt',
  'battery',
  'noise',
] as const satisfies readonly CalibrationKind[];
export type NotedKind = (typeof notedKinds)[number];
export const isNoted = (kind: CalibrationKind): kind is NotedKind => (notedKinds as readonly string[]).includes(kind);
