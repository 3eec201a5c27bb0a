import type { Edit, Plan, SettingKind, SettingValue } from '@grey-keel/model';
import { alarmKinds, type AlarmsHeld } from '../plan/held-by.ts';
import { setUpIn } from '../plan/read-at.ts';

const at = '2026-05-01T08:00:00Z';

/** A line of a device, entered. */
export const enters = <K extends SettingKind>(
  deviceId: string,
  kind: K,
  value: SettingValue<K> | null,
  ofId = deviceId,
  when = at,
): Edit =>
  ({
    type: 'enterSetting',
    deviceId,
    kind,
    ofId,
    asLeft: { value, at: when, by: 'Installer', seenAgainAt: null },
  }) as Edit;

/** The same, read off before anything was changed. */
export const finds = <K extends SettingKind>(
  deviceId: string,
  kind: K,
  value: SettingValue<K> | null,
  ofId = deviceId,
  when: string | null = at,
): Edit => ({ type: 'readAsFound', deviceId, kind, ofId, asFound: { value, at: when, by: null } }) as Edit;

export const forgets = (deviceId: string, kind: SettingKind, ofId = deviceId): Edit => ({
  type: 'forgetSetting',
  deviceId,
  kind,
  ofId,
});

/** A station's alarms, off where null. */
export const calls = (stationId: string, alarms: AlarmsHeld): Edit[] =>
  (Object.keys(alarms) as (keyof AlarmsHeld)[]).map((key) => enters(stationId, alarmKinds[key], alarms[key] ?? 'off'));

/** The type selected for a transducer or a sensor. */
export const selects = (plan: Plan, id: string, type: string): Edit => enters(setUpIn(plan, id), 'type', type, id);
