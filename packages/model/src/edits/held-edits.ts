import * as z from 'zod';
import {
  asFoundOf,
  asLeftOf,
  type ChosenKind,
  chosenKinds,
  chosenValues,
  resetSchema,
  type SettingKind,
  settingKinds,
  settingValues,
} from '../plan/held.ts';
import { idSchema, instantSchema } from '../plan/id.ts';

/** The line an edit is about: of a device, a kind, and what it is of. */
const line = { deviceId: idSchema, ofId: idSchema };
const kindOfSetting = z.enum(settingKinds as [SettingKind, ...SettingKind[]]);

type AsFoundEdit<K extends SettingKind> = (typeof settingValues)[K] extends infer V extends z.ZodType
  ? z.ZodObject<
      {
        type: z.ZodLiteral<'readAsFound'>;
        kind: z.ZodLiteral<K>;
        deviceId: typeof idSchema;
        ofId: typeof idSchema;
        asFound: ReturnType<typeof asFoundOf<V>>;
      },
      z.core.$strict
    >
  : never;
type AsLeftEdit<K extends SettingKind> = (typeof settingValues)[K] extends infer V extends z.ZodType
  ? z.ZodObject<
      {
        type: z.ZodLiteral<'enterSetting'>;
        kind: z.ZodLiteral<K>;
        deviceId: typeof idSchema;
        ofId: typeof idSchema;
        asLeft: ReturnType<typeof asLeftOf<V>>;
      },
      z.core.$strict
    >
  : never;
type ChooseEdit<K extends ChosenKind> = (typeof chosenValues)[K] extends infer V extends z.ZodType
  ? z.ZodObject<
      {
        type: z.ZodLiteral<'chooseSetting'>;
        kind: z.ZodLiteral<K>;
        line: z.ZodNullable<z.ZodObject<typeof line, z.core.$strict>>;
        value: z.ZodNullable<V>;
      },
      z.core.$strict
    >
  : never;

/** One of those of every kind, told apart by the kind. */
const ofEach = <K extends string, Of extends Readonly<Record<K, z.core.$ZodTypeDiscriminable>>>(
  kinds: readonly K[],
  of: (kind: K) => Of[K],
) => z.discriminatedUnion('kind', kinds.map(of) as unknown as [Of[K], ...Of[K][]]);

/** Changes of what devices hold, of every kind: read off them, keyed into them, lost by them, and chosen for them. */
export const heldEditSchemas = {
  /** Read off the device, before anything is changed in it. */
  readAsFound: ofEach<SettingKind, { [K in SettingKind]: AsFoundEdit<K> }>(
    settingKinds,
    (kind) =>
      z.strictObject({
        type: z.literal('readAsFound'),
        kind: z.literal(kind),
        ...line,
        asFound: asFoundOf(settingValues[kind] as z.ZodType),
      }) as never,
  ),
  /** Keyed into the device. */
  enterSetting: ofEach<SettingKind, { [K in SettingKind]: AsLeftEdit<K> }>(
    settingKinds,
    (kind) =>
      z.strictObject({
        type: z.literal('enterSetting'),
        kind: z.literal(kind),
        ...line,
        asLeft: asLeftOf(settingValues[kind] as z.ZodType),
      }) as never,
  ),
  /** It was looked at again after power was off and on. */
  seeAgain: z.strictObject({ type: z.literal('seeAgain'), kind: kindOfSetting, ...line, at: instantSchema }),
  /** Nothing is known of the line any more. */
  forgetSetting: z.strictObject({ type: z.literal('forgetSetting'), kind: kindOfSetting, ...line }),
  resetDevice: z.strictObject({ type: z.literal('resetDevice'), deviceId: idSchema, id: idSchema, reset: resetSchema }),
  /** Chosen for the whole boat, or for one line; null takes the choice back. */
  chooseSetting: ofEach<ChosenKind, { [K in ChosenKind]: ChooseEdit<K> }>(
    chosenKinds,
    (kind) =>
      z.strictObject({
        type: z.literal('chooseSetting'),
        kind: z.literal(kind),
        line: z.strictObject(line).nullable(),
        value: (chosenValues[kind] as z.ZodType).nullable(),
      }) as never,
  ),
};
