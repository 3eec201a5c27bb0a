import { type AsLeft, isNoted, type Plan, type Sentence, type SettingKind } from '@grey-keel/model';
import { calibrationRows } from '../calibration/calibration-rows.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { fittedStations } from '../plan/fitted-stations.ts';
import type { Setting, SettingGroup, Wanted } from '../plan/define-setting.ts';
import { goesInto, type HeldLine, heldLine, type MeasuredKind } from '../plan/held-by.ts';
import { sameValue } from '../plan/same-value.ts';
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
  readonly deviceName: string;
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
  /** Somebody looked at it after power was off and on, or read it off the device, and it was not reset since. */
  readonly seen: boolean;
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

/** What the entry of a line rests on that has changed since; null where it was not measured, or all is as it was. */
const changedSince = (plan: Plan, asLeft: AsLeft | null, ofId: string): readonly string[] | null => {
  const { measured } = asLeft ?? {};
  if (!measured) return null;
  const result = measured.of === 'depth' ? measuredOffset : calibrationRows[measured.of].result;
  const { state, changed } = result.since(plan, ofId, measured);
  return state === 'stale' ? changed : null;
};

const lineOf = (plan: Plan, setting: Setting, deviceId: string, ofId: string): EnteredLine => {
  const { kind, group, word, inWords, bears = sameValue } = setting;
  const wanted = setting.wanted(plan, deviceId, ofId);
  const line = heldLine(plan, deviceId, kind, ofId);
  const { asFound = null, asLeft = null } = line ?? {};
  const foundLast = asFound !== null && (asLeft === null || (asFound.at ?? '') >= (asLeft.at ?? ''));
  const last = foundLast ? asFound : asLeft;
  const held = last?.value ?? null;
  const looked = [asFound?.at, asLeft?.at, asLeft?.seenAgainAt].reduce<string>((a, b) => (b && b > a ? b : a), '');
  const reset = lastReset(plan, deviceId);
  const will = held === null || !('value' in wanted) || bears(held, wanted.value, plan, deviceId, ofId);
  const changed = foundLast ? null : changedSince(plan, asLeft, ofId);
  const stood = (): { standing: LineStanding; because: readonly string[] } => {
    if (!last) return { standing: 'value' in wanted ? 'to enter' : 'unknown', because: [] };
    if (reset && reset.at > looked) return { standing: 'look again', because: [resetWords[reset.why]] };
    if (!will) return { standing: foundLast ? 'to enter' : 'differs', because: [] };
    if (changed) return { standing: 'changed', because: changed };
    if (foundLast) return { standing: 'value' in wanted ? 'right as found' : 'unknown', because: [] };
    return { standing: asLeft?.seenAgainAt ? 'seen' : 'entered', because: [] };
  };
  const how = stood();
  return {
    deviceId,
    deviceName: nameOf(plan, deviceId),
    kind,
    ofId,
    group,
    word,
    name: ofId === deviceId ? null : nameOf(plan, ofId),
    wanted,
    wantedInWords: 'value' in wanted ? inWords(wanted.value) : null,
    heldInWords: held === null ? null : inWords(held),
    line,
    ...how,
    seen: how.standing !== 'look again' && (foundLast ? asFound.at : asLeft?.seenAgainAt) != null,
  };
};

const rows = Object.values(settings) as unknown as readonly Setting[];

/** All settings of a device, in the order in which they are keyed. */
export const linesOf = (plan: Plan, deviceId: string): EnteredLine[] =>
  rows.flatMap((setting) => setting.of(plan, deviceId).map((ofId) => lineOf(plan, setting, deviceId, ofId)));

/** The line a procedure's result is keyed into; null for what no device takes. */
export const lineOfProcedure = (plan: Plan, of: MeasuredKind, id: string): EnteredLine | null => {
  if (of !== 'depth' && isNoted(of)) return null;
  const { kind, deviceOf } = goesInto[of];
  return lineOf(plan, settings[kind], deviceOf(plan, id), id);
};

/** The stations' displays, then the sensors that hold settings of their own. */
export const devicesWithSettings = (plan: Plan): Device[] => {
  const displays = fittedStations(plan).map(({ id, station: { name } }) => ({ id, name }));
  const sensors = [...inOrder(plan.transducers), ...inOrder(plan.equipment)].map(([id, { name }]) => ({ id, name }));
  return [...displays, ...sensors.filter(({ id }) => rows.some((setting) => setting.of(plan, id).length > 0))];
};
