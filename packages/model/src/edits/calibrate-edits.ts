import * as z from 'zod';
import { enteredCalibrationSchema } from '../plan/calibration.ts';
import {
  type CalibrationKind,
  calibrationKinds,
  calibrationKindSchema,
  calibrationParts,
  notedKinds,
} from '../plan/calibration-parts.ts';
import { depthOffsetSchema } from '../plan/depth-offset.ts';
import { idSchema } from '../plan/id.ts';
import { depthPairSchema } from '../readings/depth-pair.ts';

const depthOffsetSettings = depthOffsetSchema.omit({ readings: true });

const described = <K extends CalibrationKind>(of: K) =>
  z.strictObject({
    type: z.literal('describeCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    changes: calibrationParts[of].settings.partial() as unknown as Changed<(typeof calibrationParts)[K]['settings']>,
  });
const recorded = <K extends CalibrationKind>(of: K) =>
  z.strictObject({
    type: z.literal('recordCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    readingId: idSchema,
    reading: calibrationParts[of].reading,
  });
const corrected = <K extends CalibrationKind>(of: K) =>
  z.strictObject({
    type: z.literal('correctCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    readingId: idSchema,
    changes: calibrationParts[of].reading.partial() as unknown as Changed<(typeof calibrationParts)[K]['reading']>,
  });
/** An object of which any part may be left out. */
type Changed<S> =
  S extends z.ZodObject<infer Shape> ? z.ZodObject<{ [P in keyof Shape]: z.ZodOptional<Shape[P]> }> : never;

/** One of those of every kind, told apart by the kind. */
const ofEachKind = <Of extends Readonly<Record<CalibrationKind, z.core.$ZodTypeDiscriminable>>>(
  of: (kind: CalibrationKind) => Of[CalibrationKind],
) => {
  const [first, ...rest] = calibrationKinds;
  return z.discriminatedUnion('of', [of(first), ...rest.map(of)]);
};

/** Changes of calibrate: readings, and what is noted of them. */
export const calibrateEditSchemas = {
  describeDepthOffset: z.strictObject({
    type: z.literal('describeDepthOffset'),
    transducerId: idSchema,
    changes: depthOffsetSettings.partial(),
  }),
  recordReading: z.strictObject({
    type: z.literal('recordReading'),
    transducerId: idSchema,
    readingId: idSchema,
    reading: depthPairSchema,
  }),
  correctReading: z.strictObject({
    type: z.literal('correctReading'),
    transducerId: idSchema,
    readingId: idSchema,
    changes: depthPairSchema.partial(),
  }),
  removeReading: z.strictObject({ type: z.literal('removeReading'), transducerId: idSchema, readingId: idSchema }),
  describeCalibration: ofEachKind<{ [K in CalibrationKind]: ReturnType<typeof described<K>> }>(
    described as (kind: CalibrationKind) => never,
  ),
  recordCalibration: ofEachKind<{ [K in CalibrationKind]: ReturnType<typeof recorded<K>> }>(
    recorded as (kind: CalibrationKind) => never,
  ),
  correctCalibration: ofEachKind<{ [K in CalibrationKind]: ReturnType<typeof corrected<K>> }>(
    corrected as (kind: CalibrationKind) => never,
  ),
  removeCalibrationReading: z.strictObject({
    type: z.literal('removeCalibrationReading'),
    of: calibrationKindSchema,
    sensorId: idSchema,
    readingId: idSchema,
  }),
  /** What no device takes: it goes on the card or into the plan. */
  noteCalibration: z.strictObject({
    type: z.literal('noteCalibration'),
    of: z.enum(notedKinds),
    sensorId: idSchema,
    entered: enteredCalibrationSchema,
  }),
};
