import type { Edit, MeasuredEntry, NotedKind, Plan, SettingValue } from '@grey-keel/model';
import { measuredEntry } from '../calibration/keyed-in.ts';
import { measurementOf } from '../calibration/measured-by-kind.ts';
import type { Setting } from '../plan/define-setting.ts';
import { goesInto, heldBy } from '../plan/held-by.ts';
import { sameValue } from '../plan/same-value.ts';
import type { EnteredLine } from './entered-lines.ts';
import { settings } from './settings.ts';

/** When something was done to a line, and by whom; null where nobody said. */
export interface DoneBy {
  readonly at: string;
  readonly by: string | null;
}

const settingOf = ({ kind }: EnteredLine): Setting => settings[kind];

/** What a value rests on, where it is what a procedure found and not said otherwise; a depth offset as its display takes it. */
const restsOn = (plan: Plan, of: Exclude<MeasuredEntry['of'], NotedKind>, ofId: string, value: SettingValue) => {
  if (of === 'depth') return measuredEntry(plan, of, ofId);
  const it = measurementOf(plan, of, ofId);
  const figures = it?.known ? it.enter.map((figure) => figure.value) : null;
  return figures && sameValue(goesInto[of].value(figures, plan, ofId), value) ? measuredEntry(plan, of, ofId) : null;
};

/** The edits that say a line has been keyed in as it is wanted; none where nobody can say what that is. */
export const enterLine = (plan: Plan, line: EnteredLine, done: DoneBy): Edit[] => {
  const { deviceId, kind, ofId, wanted } = line;
  if (!('value' in wanted)) return [];
  const { measured: of } = settingOf(line);
  const measured = of === undefined ? null : restsOn(plan, of, ofId, wanted.value);
  const asLeft = { value: wanted.value, ...done, seenAgainAt: null, ...(measured ? { measured } : {}) };
  return [{ type: 'enterSetting', kind, deviceId, ofId, asLeft } as Edit];
};

/** The edits that take back that a line was entered; what was found before stays. */
export const takeBackLine = ({ deviceId, kind, ofId, line }: EnteredLine): Edit[] => [
  { type: 'forgetSetting', deviceId, kind, ofId },
  ...(line?.asFound ? [{ type: 'readAsFound', deviceId, kind, ofId, asFound: line.asFound } as Edit] : []),
];

/** The edits that say a line was looked at after power was off and on; one that was never entered is read again. */
export const seeLine = ({ deviceId, kind, ofId, line }: EnteredLine, { at, by }: DoneBy): Edit[] => {
  if (line?.asLeft) return [{ type: 'seeAgain', deviceId, kind, ofId, at }];
  return line?.asFound
    ? [{ type: 'readAsFound', deviceId, kind, ofId, asFound: { ...line.asFound, at, by } } as Edit]
    : [];
};

/** The edit that makes what a device holds what is wanted of it; null where that is no choice, or is so already. */
export const keepAsItIs = (plan: Plan, line: EnteredLine): Edit | null => {
  const { deviceId, kind, ofId, wanted } = line;
  const { chosenFor } = settingOf(line);
  const value = heldBy(plan, deviceId, kind, ofId);
  if (chosenFor === undefined || value === null || ('value' in wanted && sameValue(wanted.value, value))) return null;
  return { type: 'chooseSetting', kind, line: chosenFor === 'boat' ? null : { deviceId, ofId }, value } as Edit;
};
