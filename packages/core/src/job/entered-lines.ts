import type { Edit, MeasuredEntry, NotedKind, Plan, Sentence, SettingKind, SettingValue } from '@grey-keel/model';
import { measuredEntry } from '../calibration/keyed-in.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { measurementOf, standingOf } from '../calibration/measured-by-kind.ts';
import { fittedStations } from '../plan/fitted-stations.ts';
import type { Setting, SettingGroup, Wanted } from '../plan/define-setting.ts';
import { goesInto, heldBy, type HeldLine, heldLine } from '../plan/held-by.ts';
import { inOrder } from '../plan/working-water.ts';
import { settings } from './settings.ts';

/** How a line stands, the gravest first. */
export const lineStandings = [
  'look again',
  'differs',
  'changed',
  'to enter',
  'unknown',
  'right as found',
  'entered',
  'seen',
] as const;
export type LineStanding = (typeof lineStandings)[number];

/** Nothing more is to be done about it. */
export const isDone = (standing: LineStanding): boolean =>
  standing === 'right as found' || standing === 'entered' || standing === 'seen';

/** One setting of one device, as it is listed. */
export interface EnteredLine {
  readonly deviceId: string;
  readonly kind: SettingKind;
  readonly ofId: string;
  readonly group: SettingGroup;
  readonly word: string;
  /** What it is of, where that is not the device itself. */
  readonly name: string | null;
  readonly wanted: Wanted;
  readonly wantedInWords: Sentence | null;
  readonly heldInWords: Sentence | null;
  readonly line: HeldLine | null;
  readonly standing: LineStanding;
  /** What changed since it was entered, or why it has to be looked at again. */
  readonly because: readonly string[];
}

/** A device with settings of its own: a station's display, or a sensor. */
export interface Device {
  readonly id: string;
  readonly name: string;
}

const nameOf = (plan: Plan, id: string): string =>
  plan.sources[id]?.name || (plan.transducers[id]?.name ?? plan.equipment[id]?.name ?? plan.stations[id]?.name ?? id);

/** The last time a device was reset, updated or replaced; null where it never was. */
const lastReset = (plan: Plan, deviceId: string) =>
  Object.values(plan.resets[deviceId] ?? {}).sort((a, b) => (a.at < b.at ? 1 : -1))[0] ?? null;

const resetWords = { reset: 'was reset', update: 'was updated', replaced: 'was replaced' } as const;

/** What a measured entry rests on that has changed since. */
const changedSince = (plan: Plan, { measured }: Setting, ofId: string): readonly string[] | null => {
  if (measured === undefined) return null;
  const standing = measured === 'depth' ? measuredOffset.standing(plan, ofId) : standingOf(plan, measured, ofId);
  return standing.state === 'stale' ? standing.changed : null;
};

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const lineOf = (plan: Plan, setting: Setting, deviceId: string, ofId: string): EnteredLine => {
  const { kind, group, word, inWords, bears = alike } = setting;
  const wanted = setting.wanted(plan, deviceId, ofId);
  const line = heldLine(plan, deviceId, kind, ofId);
  const { asFound = null, asLeft = null } = line ?? {};
  const foundLast = asFound !== null && (asLeft === null || (asFound.at ?? '') >= (asLeft.at ?? ''));
  const last = foundLast ? asFound : asLeft;
  const held = last?.value ?? null;
  const looked = [asFound?.at, asLeft?.at, asLeft?.seenAgainAt].reduce<string>((a, b) => (b && b > a ? b : a), '');
  const reset = lastReset(plan, deviceId);
  const will = held === null || !('value' in wanted) || bears(held, wanted.value, plan, deviceId);
  const changed = changedSince(plan, setting, ofId);
  const stood = (): { standing: LineStanding; because: readonly string[] } => {
    if (!last) return { standing: 'value' in wanted ? 'to enter' : 'unknown', because: [] };
    if (reset && reset.at > looked) return { standing: 'look again', because: [resetWords[reset.why]] };
    if (!will) return { standing: foundLast ? 'to enter' : 'differs', because: [] };
    if (changed) return { standing: 'changed', because: changed };
    if (foundLast) return { standing: 'value' in wanted ? 'right as found' : 'unknown', because: [] };
    return { standing: asLeft?.seenAgainAt ? 'seen' : 'entered', because: [] };
  };
  return {
    deviceId,
    kind,
    ofId,
    group,
    word,
    name: ofId === deviceId ? null : nameOf(plan, ofId),
    wanted,
    wantedInWords: 'value' in wanted ? inWords(wanted.value) : null,
    heldInWords: held === null ? null : inWords(held),
    line,
    ...stood(),
  };
};

const rows = Object.values(settings) as unknown as readonly Setting[];

/** All settings of a device, in the order in which they are keyed. */
export const linesOf = (plan: Plan, deviceId: string): EnteredLine[] =>
  rows.flatMap((setting) => setting.of(plan, deviceId).map((ofId) => lineOf(plan, setting, deviceId, ofId)));

/** The stations' displays, then the sensors that hold settings of their own. */
export const devicesWithSettings = (plan: Plan): Device[] => {
  const displays = fittedStations(plan).map(({ id, station: { name } }) => ({ id, name }));
  const sensors = [...inOrder(plan.transducers), ...inOrder(plan.equipment)].map(([id, { name }]) => ({ id, name }));
  return [...displays, ...sensors.filter(({ id }) => rows.some((setting) => setting.of(plan, id).length > 0))];
};

/** What a value rests on, where it is what a procedure found and not said otherwise; a depth offset as its display takes it. */
const restsOn = (plan: Plan, of: Exclude<MeasuredEntry['of'], NotedKind>, ofId: string, value: SettingValue) => {
  if (of === 'depth') return measuredEntry(plan, of, ofId);
  const it = measurementOf(plan, of, ofId);
  const found = it?.known
    ? goesInto[of].value(
        it.enter.map((figure) => figure.value),
        plan,
        ofId,
      )
    : null;
  return found !== null && alike(found, value) ? measuredEntry(plan, of, ofId) : null;
};

/** The edit that says a line has been keyed in as it is wanted; null where nobody can say what that is. */
export const entryOfLine = (
  plan: Plan,
  { deviceId, kind, ofId, wanted }: Pick<EnteredLine, 'deviceId' | 'kind' | 'ofId' | 'wanted'>,
  { at, by }: { readonly at: string; readonly by: string | null },
): Edit | null => {
  if (!('value' in wanted)) return null;
  const { measured } = settings[kind] as unknown as Setting;
  const value: SettingValue = wanted.value;
  const from = measured === undefined ? null : restsOn(plan, measured, ofId, value);
  return {
    type: 'enterSetting',
    kind,
    deviceId,
    ofId,
    asLeft: { value, at, by, seenAgainAt: null, ...(from ? { measured: from } : {}) },
  } as Edit;
};

/** The edit that makes what a device holds what is wanted of it; null where that is no choice, or is so already. */
export const keepAsItIs = (plan: Plan, { deviceId, kind, ofId, wanted }: EnteredLine): Edit | null => {
  const { chosenFor } = settings[kind] as unknown as Setting;
  const value = heldBy(plan, deviceId, kind, ofId);
  if (chosenFor === undefined || value === null || ('value' in wanted && alike(wanted.value, value))) return null;
  return { type: 'chooseSetting', kind, line: chosenFor === 'boat' ? null : { deviceId, ofId }, value } as Edit;
};
