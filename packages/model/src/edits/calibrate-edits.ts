import * as z from 'zod';
import { calibrationKindSchema, calibrationParts, enteredCalibrationSchema } from '../plan/calibration.ts';
import { depthOffsetSchema, enteredOffsetSchema } from '../plan/depth-offset.ts';
import { idSchema, instantSchema } from '../plan/id.ts';
import { depthPairSchema } from '../readings/depth-pair.ts';

const depthOffsetSettings = depthOffsetSchema.omit({ readings: true, entered: true });

const { speed, temperature, heading, deviation } = calibrationParts;

const described = <K extends string, S extends z.ZodRawShape>(of: K, settings: z.ZodObject<S>) =>
  z.strictObject({
    type: z.literal('describeCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    changes: settings.partial(),
  });
const recorded = <K extends string, R extends z.ZodType>(of: K, reading: R) =>
  z.strictObject({
    type: z.literal('recordCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    readingId: idSchema,
    reading,
  });
const corrected = <K extends string, S extends z.ZodRawShape>(of: K, reading: z.ZodObject<S>) =>
  z.strictObject({
    type: z.literal('correctCalibration'),
    of: z.literal(of),
    sensorId: idSchema,
    readingId: idSchema,
    changes: reading.partial(),
  });

/** Changes of calibrate: readings of depth, speed, temperature and heading, and what was entered. */
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
  enterDepthOffset: z.strictObject({
    type: z.literal('enterDepthOffset'),
    transducerId: idSchema,
    entered: enteredOffsetSchema,
  }),
  describeCalibration: z.discriminatedUnion('of', [
    described('speed', speed.settings),
    described('temperature', temperature.settings),
    described('heading', heading.settings),
    described('deviation', deviation.settings),
  ]),
  recordCalibration: z.discriminatedUnion('of', [
    recorded('speed', speed.reading),
    recorded('temperature', temperature.reading),
    recorded('heading', heading.reading),
    recorded('deviation', deviation.reading),
  ]),
  correctCalibration: z.discriminatedUnion('of', [
    corrected('speed', speed.reading),
    corrected('temperature', temperature.reading),
    corrected('heading', heading.reading),
    corrected('deviation', deviation.reading),
  ]),
  removeCalibrationReading: z.strictObject({
    type: z.literal('removeCalibrationReading'),
    of: calibrationKindSchema,
    sensorId: idSchema,
    readingId: idSchema,
  }),
  enterCalibration: z.strictObject({
    type: z.literal('enterCalibration'),
    of: calibrationKindSchema,
    sensorId: idSchema,
    entered: enteredCalibrationSchema,
  }),
  /** It was looked at again after power was off and on. */
  seeCalibrationAgain: z.strictObject({
    type: z.literal('seeCalibrationAgain'),
    of: calibrationKindSchema,
    sensorId: idSchema,
    at: instantSchema,
  }),
};
