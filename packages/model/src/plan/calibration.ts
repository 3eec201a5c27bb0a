import * as z from 'zod';
import { fieldWords } from '../fields/field-words.ts';
import {
  headingRunSchema,
  speedRunSchema,
  swingHeadingSchema,
  temperaturePairSchema,
} from '../readings/calibration-readings.ts';
import { instantSchema, lineSchema, recordById } from './id.ts';

/** What was entered on the display, by whom, and whether it was still there after power was off and on again. */
export const enteredCalibrationSchema = z.strictObject({
  /** The figure entered; of a deviation curve its coefficients, A first. */
  values: z.array(z.number().min(-1000).max(1000)).min(1).max(5),
  halfInterval95: z.number().min(0).nullable(),
  at: instantSchema,
  by: lineSchema(80),
  seenAgainAt: instantSchema.nullable(),
  /** Fingerprint of everything the result depended on, at that moment. */
  fingerprint: z.string().regex(/^[0-9a-f]{64}$/),
  /** The same things themselves, so that it can be said what has changed since. */
  inputs: z.json(),
});
export type EnteredCalibration = z.output<typeof enteredCalibrationSchema>;

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

export const calibrationKinds = ['speed', 'temperature', 'heading', 'deviation'] as const;
export const calibrationKindSchema = z.enum(calibrationKinds);
export type CalibrationKind = z.output<typeof calibrationKindSchema>;

/** Of each kind: what is set and wanted, and one reading. */
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
    }),
    reading: swingHeadingSchema,
  },
} as const;

const made = <S extends z.ZodRawShape, R extends z.ZodType>(parts: {
  readonly settings: z.ZodObject<S>;
  readonly reading: R;
}) =>
  z.strictObject({
    ...parts.settings.shape,
    readings: recordById(parts.reading, 200),
    entered: enteredCalibrationSchema.nullable(),
  });

/** By kind, then by the sensor: a transducer or a piece of equipment. */
export const calibrationsSchema = z.strictObject({
  speed: recordById(made(calibrationParts.speed), 60),
  temperature: recordById(made(calibrationParts.temperature), 60),
  heading: recordById(made(calibrationParts.heading), 60),
  deviation: recordById(made(calibrationParts.deviation), 60),
});
export type Calibrations = z.output<typeof calibrationsSchema>;
export type CalibrationOf<K extends CalibrationKind> = Calibrations[K][string];
export type CalibrationSettings<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['settings']>;
export type CalibrationReading<K extends CalibrationKind> = z.output<(typeof calibrationParts)[K]['reading']>;

type AnyReading = CalibrationReading<CalibrationKind>;
/** Whatever it is of, a calibration has readings. */
type WithReadings = Readonly<Record<string, { readonly readings: Readonly<Record<string, AnyReading>> }>>;

/** All readings of all kinds. */
export const readingsOf = ({ speed, temperature, heading, deviation }: Calibrations): readonly AnyReading[] =>
  [speed, temperature, heading, deviation].flatMap((ofKind: WithReadings) =>
    Object.values(ofKind).flatMap(({ readings }) => Object.values(readings)),
  );
