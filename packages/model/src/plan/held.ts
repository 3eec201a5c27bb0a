import * as z from 'zod';
import { fieldWords, type FieldWords } from '../fields/field-words.ts';
import { ofOneBoat } from '../fields/of-one-boat.ts';
import { calibrationKinds } from './calibration-parts.ts';
import { depthReferenceSchema } from './depth-offset.ts';
import { instantSchema, lineSchema, recordById } from './id.ts';
import { displayDepthUnits, displayWaters } from './source.ts';

const figure = (least: number, most: number, words: FieldWords) =>
  z.number().min(least).max(most).register(fieldWords, words);

/** A figure at which a display calls, or off. The words stand on both, as what is shown is the whole. */
const alarm = (least: number, most: number, words: FieldWords) =>
  z.union([figure(least, most, words), z.literal('off')]).register(fieldWords, words);

/**
 * What can be keyed into a device, by kind, each with what its value looks like: in SI, with its own bounds. A line is of a
 * device, a kind, and what the setting is of: a transducer, or the device itself.
 */
export const settingValues = {
  'depth-offset': z.strictObject({
    offsetM: figure(-20, 20, { label: 'Depth offset', quantity: 'length', signed: true }),
    reference: depthReferenceSchema.clone().register(fieldWords, { label: 'Counted from' }),
  }),
  /** A type of water, or a speed of sound of its own. */
  sound: z.union([
    z.strictObject({ waterType: z.enum(displayWaters).register(fieldWords, { label: 'Water' }) }),
    z.strictObject({ soundSpeedMps: figure(1300, 1700, { label: 'Speed of sound', quantity: 'soundSpeed' }) }),
  ]),
  'depth-display': z.strictObject({ unit: z.enum(displayDepthUnits), step: z.number().min(0.01).max(5) }),
  north: z.enum(['true', 'magnetic']).register(fieldWords, { label: 'North' }),
  sides: z.enum(['right', 'swapped']).register(fieldWords, { label: 'Port and starboard' }),
  'antenna-offset': z.strictObject({
    forwardM: figure(-60, 60, { label: 'Antenna to transducer, forward', quantity: 'length', signed: true }),
    starboardM: figure(-20, 20, { label: 'Antenna to transducer, starboard', quantity: 'length', signed: true }),
  }),
  /** The type of transducer that is selected, as its tag has it. */
  type: lineSchema(60).min(1).register(fieldWords, { label: 'Type selected' }),
  /** What a source is listed as. */
  name: lineSchema(40).min(1).register(fieldWords, { label: 'Listed as' }),
  speed: figure(0.1, 10, { label: 'Speed factor', quantity: 'fraction' }),
  temperature: figure(-20, 20, { label: 'Temperature offset', quantity: 'temperatureDifference', signed: true }),
  heading: figure(-180, 180, { label: 'Heading offset', quantity: 'angle', decimals: 1, signed: true }),
  pointing: figure(-180, 180, { label: 'Pointing', quantity: 'angle', decimals: 1, signed: true }),
  'shallow-alarm': alarm(0.1, 500, { label: 'Shallow water', quantity: 'depth', decimals: 1 }),
  'low-voltage-alarm': alarm(3, 60, { label: 'Low voltage', quantity: 'voltage', decimals: 1 }),
  'engine-alarm': alarm(20, 200, { label: 'Engine temperature', quantity: 'temperature', decimals: 1 }),
  'nuisance-alarms': z.literal('off'),
  'hiding-menus': z.literal('off'),
  'unused-pages': z.literal('hidden'),
  brightness: z.literal('set'),
  'blank-card': z.literal('in'),
  'chart-card': z.literal('in'),
} as const satisfies Record<string, z.ZodType>;

export const settingKinds = Object.keys(settingValues) as SettingKind[];
export type SettingKind = keyof typeof settingValues;
export type SettingValue<K extends SettingKind = SettingKind> = z.output<(typeof settingValues)[K]>;

const said = {
  /** Null where it is set and nobody noted to what. */
  at: instantSchema.nullable(),
  by: lineSchema(80).nullable(),
};

/** What an entry came from, where it was measured: whose result, what that rested on, and how sure it was. */
export const measuredEntrySchema = z.strictObject({
  of: z.enum(['depth', ...calibrationKinds]),
  /** Fingerprint of everything the result depended on, at that moment. */
  fingerprint: z.string().regex(/^[0-9a-f]{64}$/),
  /** The same of each part of it by itself, so that it can be said what has changed since. */
  parts: z.record(z.string().max(40), z.string().max(64)),
  /** Half of its 95 % interval, and its standard error, in the unit of the value's first figure. */
  half95: z.number().min(0).nullable(),
  standardError: z.number().min(0).nullable(),
  /** All it depended on; only where an older entry brought it. */
  inputs: z.json().optional(),
});
export type MeasuredEntry = z.output<typeof measuredEntrySchema>;

export const asFoundOf = <T extends z.ZodType>(value: T) => z.strictObject({ value: value.nullable(), ...said });
/** What is said of an entry beside its value. */
export const asLeftShape = {
  ...said,
  /** When it was looked at again after power was off and on; null while nobody did. */
  seenAgainAt: instantSchema.nullable(),
  /** Why it was entered although something spoke against it; left out where nothing did. */
  reason: z.string().min(3, 'Say in a few words why it is entered all the same.').max(300).optional(),
  measured: measuredEntrySchema.optional(),
};
export const asLeftOf = <T extends z.ZodType>(value: T) => z.strictObject({ value: value.nullable(), ...asLeftShape });

/** What was read off a device before anything was changed, and what was entered last. */
const lineOf = <T extends z.ZodType>(value: T) =>
  z.strictObject({ asFound: asFoundOf(value).nullable(), asLeft: asLeftOf(value).nullable() });

type LinesOf<V> = V extends z.ZodType
  ? z.ZodOptional<ReturnType<typeof recordById<ReturnType<typeof lineOf<V>>>>>
  : never;
type OfEach = { readonly [K in SettingKind]: LinesOf<(typeof settingValues)[K]> };
const ofEach = Object.fromEntries(
  settingKinds.map((kind) => [kind, recordById(lineOf(settingValues[kind] as z.ZodType), 60).optional()]),
) as unknown as OfEach;

/** By device, kind of setting, and what the setting is of. */
export const heldSchema = recordById(z.strictObject(ofEach), 220);
export type Held = z.output<typeof heldSchema>;
export interface AsFound<K extends SettingKind = SettingKind> {
  readonly value: SettingValue<K> | null;
  readonly at: string | null;
  readonly by: string | null;
}
export interface AsLeft<K extends SettingKind = SettingKind> extends AsFound<K> {
  readonly seenAgainAt: string | null;
  readonly reason?: string | undefined;
  readonly measured?: MeasuredEntry | undefined;
}

export const resetReasons = ['reset', 'update', 'replaced'] as const;
/** When a device lost, or may have lost, what it held. */
export const resetSchema = z.strictObject({
  at: instantSchema,
  by: lineSchema(80).nullable(),
  why: z.enum(resetReasons),
  firmware: lineSchema(60).optional(),
});
/** By device. */
export const resetsSchema = recordById(recordById(resetSchema, 60), 220);

/** What the user wants set, where that is a choice and not worked out: by kind, for the boat or for one device and of what. */
export const chosenValues = {
  north: settingValues.north,
  'depth-display': settingValues['depth-display'],
  'shallow-alarm': settingValues['shallow-alarm'],
  'low-voltage-alarm': settingValues['low-voltage-alarm'],
  'engine-alarm': settingValues['engine-alarm'],
} as const;
export type ChosenKind = keyof typeof chosenValues;
export const chosenKinds = Object.keys(chosenValues) as ChosenKind[];

const eachChosen = <T extends z.ZodType>(of: (kind: ChosenKind) => T) =>
  Object.fromEntries(chosenKinds.map((kind) => [kind, of(kind).optional()]));
type MaybeOne<V> = V extends z.ZodType ? z.ZodOptional<V> : never;
type MaybeMany<V> = V extends z.ZodType ? z.ZodOptional<ReturnType<typeof recordById<V>>> : never;
type OneOfEach = { readonly [K in ChosenKind]: MaybeOne<(typeof chosenValues)[K]> };
type ManyOfEach = { readonly [K in ChosenKind]: MaybeMany<(typeof chosenValues)[K]> };
export const chosenSchema = z.strictObject({
  /** What holds for the whole boat where nothing is chosen for a device. */
  boat: z.strictObject(eachChosen((kind) => chosenValues[kind]) as unknown as OneOfEach),
  devices: recordById(
    z.strictObject(eachChosen((kind) => recordById(chosenValues[kind] as z.ZodType, 60)) as unknown as ManyOfEach),
    220,
  ).register(ofOneBoat, { begins: {} }),
});
