import * as z from 'zod';

/** What a number measures. The view chooses the unit; the number itself is always SI (angles in degrees at this boundary). */
export const quantitySchema = z.enum([
  'length', // metres: boat, positions, offsets, footprints
  'depth', // metres: depth of water, positive down
  'area', // square metres
  'speed', // metres per second, of a boat
  'soundSpeed', // metres per second, of sound
  'temperature', // degrees Celsius
  'temperatureDifference', // kelvin
  'frequency', // hertz
  'angle', // degrees
  'salinity', // parts per thousand
  'level', // decibels
  'absorption', // decibels per kilometre
  'fishLength', // centimetres
  'duration', // seconds
  'rate', // per second
  'voltage', // volts
  'current', // amperes
  'charge', // ampere hours
  'resistance', // ohms
  'hours', // hours of a day
  'wait', // seconds, shown in seconds
  'fraction', // 1, shown as per cent
  'visualAngle', // minutes of arc
  'digitHeight', // metres, shown in millimetres
  'pixels', // on a screen
  'pixelSize', // metres of water or ground a pixel
  'power', // watts
  'count', // whole things
]);
export type Quantity = z.output<typeof quantitySchema>;

/** A number that knows what it measures. */
export const figureSchema = z.strictObject({ value: z.number(), quantity: quantitySchema });
export type Figure = z.output<typeof figureSchema>;

/** A sentence whose numbers are shown in the reader's own units. */
export const sentenceSchema = z.array(z.union([z.string(), figureSchema]));
export type Sentence = z.output<typeof sentenceSchema>;
