import {
  type AsFound,
  type AsLeft,
  type CalibrationKind,
  calibrationParts,
  type EnteredCalibration,
  isNoted,
  type MeasuredEntry,
  type NotedKind,
  type Plan,
  type SettingKind,
  type SettingValue,
} from '@grey-keel/model';
import { sameValue } from './same-value.ts';
import { settingsFor } from './settings-for.ts';
import { setUpIn } from './read-at.ts';

/** What is known of one setting of one device. */
export interface HeldLine<K extends SettingKind = SettingKind> {
  readonly asFound: AsFound<K> | null;
  readonly asLeft: AsLeft<K> | null;
}

type Lines<K extends SettingKind> = Readonly<Record<string, HeldLine<K>>>;

/** What was read off a device and entered in it, of one setting; null where nobody said anything of it. */
export const heldLine = <K extends SettingKind>(
  plan: Plan,
  deviceId: string,
  kind: K,
  ofId = deviceId,
): HeldLine<K> | null => (plan.held[deviceId]?.[kind] as Lines<K> | undefined)?.[ofId] ?? null;

/** The later of what was found and what was entered; what was found where both are of one moment. */
const last = <K extends SettingKind>(line: HeldLine<K> | null): AsFound<K> | null => {
  const { asFound = null, asLeft = null } = line ?? {};
  if (!asFound || !asLeft) return asFound ?? asLeft;
  return (asFound.at ?? '') >= (asLeft.at ?? '') ? asFound : asLeft;
};

/**
 * What a device holds, as far as anybody said: a display's settings by its station, a sensor's own by the sensor. `ofId` is
 * what the setting is of where that is not the device: the transducer of a depth offset. Null where nobody said, or noted
 * no figure. The one way to ask it: where it is stored is nobody else's business.
 */
export const heldBy = <K extends SettingKind>(
  plan: Plan,
  deviceId: string,
  kind: K,
  ofId = deviceId,
): SettingValue<K> | null => last(heldLine(plan, deviceId, kind, ofId))?.value ?? null;

/** Two records of one line that say different things. */
export interface RecordsApart {
  readonly deviceId: string;
  readonly kind: SettingKind;
  readonly ofId: string;
  readonly undated: SettingValue;
  readonly dated: { readonly at: string; readonly value: SettingValue };
}

/**
 * Lines of which two records of before they were one say different things, where nobody looked since: which of the two the
 * device holds cannot be told, for one of them has no date. An entry of then carries no parts of what it rests on.
 */
export const recordsApart = (plan: Plan): RecordsApart[] =>
  Object.entries(plan.held).flatMap(([deviceId, kinds]) =>
    Object.entries(kinds).flatMap(([kind, lines]) =>
      Object.entries(lines as Lines<SettingKind>).flatMap(([ofId, { asFound, asLeft }]) => {
        const undated = asFound?.at === null ? asFound.value : null;
        const { at = null, value = null, measured, seenAgainAt } = asLeft ?? {};
        const isOfThen = measured !== undefined && Object.keys(measured.parts).length === 0;
        return undated === null ||
          at === null ||
          value === null ||
          !isOfThen ||
          seenAgainAt ||
          sameValue(undated, value)
          ? []
          : [{ deviceId, kind: kind as SettingKind, ofId, undated, dated: { at, value } }];
      }),
    ),
  );

/** Whether anybody set it, noted to what or not. */
export const isSet = (plan: Plan, deviceId: string, kind: SettingKind, ofId = deviceId): boolean =>
  last(heldLine(plan, deviceId, kind, ofId)) !== null;

/** At what a display calls: the depth it shows, the voltage it sees, what the engine says. Null where off, left out where nobody said. */
export interface AlarmsHeld {
  readonly shallowM?: number | null;
  readonly lowVoltageV?: number | null;
  readonly engineTemperatureC?: number | null;
}

export const alarmKinds = {
  shallowM: 'shallow-alarm',
  lowVoltageV: 'low-voltage-alarm',
  engineTemperatureC: 'engine-alarm',
} as const satisfies Record<keyof AlarmsHeld, SettingKind>;

export const alarmsHeld = (plan: Plan, stationId: string): AlarmsHeld =>
  Object.fromEntries(
    Object.entries(alarmKinds).flatMap(([key, kind]) => {
      const value = heldBy(plan, stationId, kind);
      return value === null ? [] : [[key, value === 'off' ? null : value]];
    }),
  );

/** Whether a display draws port on port, of all that look aside: swapped where one is; null where nobody looked at one. */
export const sidesHeld = (plan: Plan, stationId: string): 'right' | 'swapped' | null => {
  const sides = Object.keys(plan.transducers).flatMap((id) => heldBy(plan, stationId, 'sides', id) ?? []);
  if (sides.includes('swapped')) return 'swapped';
  return sides.length > 0 ? 'right' : null;
};

/** The offset in the display a transducer's depth is read on, m; null where nobody said. */
export const offsetHeldM = (plan: Plan, transducerId: string): number | null =>
  heldBy(plan, setUpIn(plan, transducerId), 'depth-offset', transducerId)?.offsetM ?? null;

/** The type that is selected for a transducer or a sensor; null where none is. */
export const typeHeld = (plan: Plan, id: string): string | null => heldBy(plan, setUpIn(plan, id), 'type', id);

/** Where the result of a procedure is keyed in, and how its figures make a value there. */
interface GoesInto<K extends SettingKind> {
  readonly kind: K;
  readonly deviceOf: (plan: Plan, id: string) => string;
  readonly value: (figures: readonly number[], plan: Plan, id: string) => SettingValue<K> | null;
  readonly figures: (value: SettingValue<K>) => readonly number[];
}
const into = <K extends SettingKind>(row: GoesInto<K>): GoesInto<SettingKind> => row;
const itself = (_: Plan, id: string): string => id;
const oneFigure = (kind: 'speed' | 'temperature' | 'heading' | 'pointing') =>
  into({ kind, deviceOf: itself, value: ([first]) => first ?? null, figures: (value) => [value] });

/** What a lead line or another unit found goes into the same line of a display. */
const depthOffset = into({
  kind: 'depth-offset',
  deviceOf: setUpIn,
  value: ([offsetM], plan, id) =>
    offsetM === undefined ? null : { offsetM, reference: plan.depthOffsets[id]?.reference ?? 'waterline' },
  figures: ({ offsetM }) => [offsetM],
});

export type MeasuredKind = MeasuredEntry['of'];

/** The procedures whose result a device takes, by a calibration of that kind. */
export type HeldCalibrationKind = Exclude<CalibrationKind, NotedKind>;

export const goesInto: Readonly<Record<HeldCalibrationKind | 'depth', GoesInto<SettingKind>>> = {
  depth: depthOffset,
  step: depthOffset,
  'sound speed': into({
    kind: 'sound',
    deviceOf: itself,
    value: ([soundSpeedMps]) => (soundSpeedMps === undefined ? null : { soundSpeedMps }),
    figures: (value) => ('soundSpeedMps' in value ? [value.soundSpeedMps] : []),
  }),
  speed: oneFigure('speed'),
  temperature: oneFigure('temperature'),
  heading: oneFigure('heading'),
  pointing: oneFigure('pointing'),
  antenna: into({
    kind: 'antenna-offset',
    deviceOf: itself,
    value: ([forwardM, starboardM]) =>
      forwardM === undefined || starboardM === undefined ? null : { forwardM, starboardM },
    figures: ({ forwardM, starboardM }) => [forwardM, starboardM],
  }),
  sides: into({
    kind: 'sides',
    deviceOf: setUpIn,
    // 1 is right, -1 is swapped; 0 where the readings say both.
    value: ([first = 0]) => (first === 0 ? null : first > 0 ? 'right' : 'swapped'),
    figures: (value) => [value === 'right' ? 1 : -1],
  }),
};

/** What a procedure's result was entered as last, with when, by whom and from what; null where it was not. */
export interface EnteredResult {
  readonly values: readonly number[];
  readonly at: string;
  readonly by: string | null;
  /** Null where nobody looked, or no device keeps it. */
  readonly seenAgainAt: string | null;
  readonly reason: string | null;
  readonly fingerprint: string;
  readonly parts: Readonly<Record<string, string>>;
  readonly half95: number | null;
  readonly standardError: number | null;
  readonly inputs: unknown;
}

const noted = (entered: EnteredCalibration): EnteredResult => ({
  ...entered,
  half95: entered.halfInterval95,
  seenAgainAt: null,
  reason: null,
  parts: {},
  standardError: null,
});

export const enteredResult = (plan: Plan, of: MeasuredKind, id: string): EnteredResult | null => {
  if (of !== 'depth' && isNoted(of)) {
    const entered = plan.calibrations[of][id]?.entered;
    return entered ? noted(entered) : null;
  }
  const { kind, deviceOf, figures } = goesInto[of];
  const left = heldLine(plan, deviceOf(plan, id), kind, id)?.asLeft;
  if (left?.value == null || left.measured?.of !== of) return null;
  const { at, by, seenAgainAt, reason = null, measured, value } = left;
  return { inputs: undefined, ...measured, values: figures(value), at: at ?? '', by, seenAgainAt, reason };
};

/** What was set in the device while the readings were taken; null for what no device takes. */
const setWhileReading = (plan: Plan, of: CalibrationKind, id: string): number | null => {
  const calibration: unknown = plan.calibrations[of][id] ?? calibrationParts[of].begins;
  const set = new Map(Object.entries(calibration as object)).get(settingsFor(of, 'set')[0]?.[0] ?? '') as unknown;
  return typeof set === 'number' ? set : null;
};

/**
 * What a device holds of a kind of calibration, in the unit of its first figure: what is known of it, else what was set
 * while readings were taken; null where neither is said, or no device takes it.
 */
export const heldCalibration = (plan: Plan, of: CalibrationKind, id: string): number | null => {
  if (isNoted(of)) return null;
  const { kind, deviceOf, figures } = goesInto[of];
  const value = heldBy(plan, deviceOf(plan, id), kind, id);
  return (value === null ? null : figures(value)[0]) ?? setWhileReading(plan, of, id);
};
