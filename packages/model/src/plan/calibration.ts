import * as z from 'zod';
import { type CalibrationKind, calibrationParts, type CalibrationReading } from './calibration-parts.ts';
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

const made = <S extends z.ZodRawShape, R extends z.ZodType>(parts: {
  readonly settings: z.ZodObject<S>;
  readonly reading: R;
}) =>
  z.strictObject({
    ...parts.settings.shape,
    readings: recordById(parts.reading, 200),
    entered: enteredCalibrationSchema.nullable(),
  });

/** By kind, then by what it is of: a transducer, a piece of equipment, a station or a battery. */
export const calibrationsSchema = z.strictObject({
  'sound speed': recordById(made(calibrationParts['sound speed']), 60),
  speed: recordById(made(calibrationParts.speed), 60),
  temperature: recordById(made(calibrationParts.temperature), 60),
  heading: recordById(made(calibrationParts.heading), 60),
  deviation: recordById(made(calibrationParts.deviation), 60),
  step: recordById(made(calibrationParts.step), 60),
  sides: recordById(made(calibrationParts.sides), 60),
  pointing: recordById(made(calibrationParts.pointing), 60),
  range: recordById(made(calibrationParts.range), 60),
  tilt: recordById(made(calibrationParts.tilt), 60),
  antenna: recordById(made(calibrationParts.antenna), 60),
  battery: recordById(made(calibrationParts.battery), 60),
  noise: recordById(made(calibrationParts.noise), 60),
});
export type Calibrations = z.output<typeof calibrationsSchema>;
export type CalibrationOf<K extends CalibrationKind> = Calibrations[K][string];

/** Of a boat on which nothing was calibrated yet. */
export const noCalibrations = (): Calibrations => ({
  'sound speed': {},
  speed: {},
  temperature: {},
  heading: {},
  deviation: {},
  step: {},
  sides: {},
  pointing: {},
  range: {},
  tilt: {},
  antenna: {},
  battery: {},
  noise: {},
});

type AnyReading = CalibrationReading<CalibrationKind>;
/** Whatever it is of, a calibration has readings. */
type WithReadings = Readonly<Record<string, { readonly readings: Readonly<Record<string, AnyReading>> }>>;

/** All readings of all kinds. */
export const readingsOf = (calibrations: Calibrations): readonly AnyReading[] =>
  Object.values(calibrations).flatMap((ofKind: WithReadings) =>
    Object.values(ofKind).flatMap(({ readings }) => Object.values(readings)),
  );
