import type { MeasuredEntry, NotedKind, Plan, Sentence, SettingKind, SettingValue } from '@grey-keel/model';

/** Under what a display's settings are listed, in the order in which they are keyed. */
export const settingGroups = ['Units and water', 'Types and names', 'Offsets', 'Alarms', 'Seen to once'] as const;
export type SettingGroup = (typeof settingGroups)[number];

/** What a device should hold, or why nobody can say yet. */
export type Wanted<K extends SettingKind = SettingKind> =
  { readonly value: SettingValue<K> } | { readonly reason: string };

/** One kind of setting, whole: where it is, what it should be, and how it is told. */
export interface Setting<K extends SettingKind = SettingKind> {
  readonly kind: K;
  readonly group: SettingGroup;
  /** As it is listed. */
  readonly word: string;
  /** What it is of in a device, in the order it is keyed: transducers, or the device itself; none where it has no such. */
  readonly of: (plan: Plan, deviceId: string) => readonly string[];
  readonly wanted: (plan: Plan, deviceId: string, ofId: string) => Wanted<K>;
  /** Whether what is held will do: by the device's own step, a tolerance, how a text is written. Alike where left out. */
  readonly bears?: (
    held: SettingValue<K>,
    wanted: SettingValue<K>,
    plan: Plan,
    deviceId: string,
    ofId: string,
  ) => boolean;
  readonly inWords: (value: SettingValue<K>) => Sentence;
  /** Where it is the user's choice: whether one stands for the whole boat, or each device has its own. */
  readonly chosenFor?: 'boat' | 'device';
  /** Whose result is entered in it, where it is measured. */
  readonly measured?: Exclude<MeasuredEntry['of'], NotedKind>;
}

/** A setting as it is registered: of any kind, told from the others by its own. */
export const defineSetting = <K extends SettingKind>(setting: Setting<K>): Setting<K> => setting;
