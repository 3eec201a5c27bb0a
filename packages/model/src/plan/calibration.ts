import * as z from 'zod';
import {
  calibrationKinds,
  type CalibrationKind,
  calibrationParts,
  type CalibrationReading,
  isNoted,
  type NotedKind,
} from './calibration-parts.ts';
import { instantSchema, lineSchema, recordById } from './id.ts';

/** What was noted of a calibration that no device takes: it goes on the card or into the plan. */
export const enteredCalibrationSchema = z.strictObject({
  /** The figure entered; of a deviation curve its coefficients, A first. */
  values: z.array(z.number().min(-1000).max(1000)).min(1).max(5),
  halfInterval95: z.number().min(0).nullable(),
  at: instantSchema,
  by: lineSchema(80),
  /** Fingerprint of everything the result depended on, at that moment. */
  fingerprint: z.string().regex(/^[0-9a-f]{64}$/),
  /** The same things themselves, so that it can be said what has changed since. */
  inputs: z.json(),
});
export type EnteredCalibration = z.output<typeof enteredCalibrationSchema>;

const made = (kind: CalibrationKind) => {
  const parts: { readonly settings: z.ZodObject; readonly reading: z.ZodType } = calibrationParts[kind];
  return z.strictObject({
    ...parts.settings.shape,
    readings: recordById(parts.reading, 200),
    ...(isNoted(kind) ? { entered: enteredCalibrationSchema.nullable() } : {}),
  });
};

/** An object with a part for each kind. */
const eachKind = <Of extends Readonly<Record<CalibrationKind, unknown>>>(
  of: (kind: CalibrationKind) => Of[CalibrationKind],
): Of => Object.fromEntries(calibrationKinds.map((kind) => [kind, of(kind)])) as Of;

type RecordById<T extends z.ZodType> = ReturnType<typeof recordById<T>>;
type Made<K extends CalibrationKind> = (typeof calibrationParts)[K] extends {
  readonly settings: z.ZodObject<infer S>;
  readonly reading: infer R extends z.ZodType;
}
  ? z.ZodObject<
      S & { readings: RecordById<R> } & (K extends NotedKind
          ? { entered: z.ZodNullable<typeof enteredCalibrationSchema> }
          : unknown),
      z.core.$strict
    >
  : never;

/** By kind, then by what it is of: a transducer, a piece of equipment, a station or a battery. */
export const calibrationsSchema = z.strictObject(
  eachKind<{ [K in CalibrationKind]: RecordById<Made<K>> }>((kind) => recordById(made(kind), 60) as never),
);
export type Calibrations = z.output<typeof calibrationsSchema>;
export type CalibrationOf<K extends CalibrationKind> = Calibrations[K][string];

/** Of a boat on which nothing was calibrated yet. */
export const noCalibrations = (): Calibrations => eachKind<Calibrations>(() => ({}));

type AnyReading = CalibrationReading<CalibrationKind>;
/** Whatever it is of, a calibration has readings. */
type WithReadings = Readonly<Record<string, { readonly readings: Readonly<Record<string, AnyReading>> }>>;

/** All readings of all kinds. */
export const readingsOf = (calibrations: Calibrations): readonly AnyReading[] =>
  Object.values(calibrations).flatMap((ofKind: WithReadings) =>
    Object.values(ofKind).flatMap(({ readings }) => Object.values(readings)),
  );
