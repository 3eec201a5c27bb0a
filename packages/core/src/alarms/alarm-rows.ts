import type { ChosenKind, Plan, Quantity, SettingValue } from '@grey-keel/model';
import { defineSetting, type Setting, type Wanted } from '../plan/define-setting.ts';
import { depthDisplayOf, upToStepM } from '../sources/depth-display.ts';
import { itsOwn } from '../sources/display-rows.ts';
import { type AlarmLimits, shallowLimits, voltageLimits } from './alarm-limits.ts';

type AlarmKind = ChosenKind & ('shallow-alarm' | 'low-voltage-alarm' | 'engine-alarm');

const alarm = <K extends AlarmKind>(
  kind: K,
  word: string,
  quantity: Quantity,
  limits: (plan: Plan, stationId: string) => AlarmLimits | null,
  least: (plan: Plan, stationId: string, limit: AlarmLimits) => number,
): Setting<K> =>
  defineSetting<K>({
    kind,
    group: 'Alarms',
    word,
    of: itsOwn,
    chosenFor: 'device',
    wanted: (plan, deviceId): Wanted<K> => {
      const chosen = plan.chosen.devices[deviceId]?.[kind]?.[deviceId] ?? plan.chosen.boat[kind];
      if (chosen !== undefined) return { value: chosen as SettingValue<K> };
      const limit = limits(plan, deviceId);
      return limit
        ? { value: least(plan, deviceId, limit) as SettingValue<K> }
        : { reason: kind === 'engine-alarm' ? 'as the engine’s maker says' : 'the least is not known yet' };
    },
    // Over the least and under what would call all day anything will do.
    bears: (held, wanted, plan, deviceId) => {
      if (held === wanted) return true;
      const limit = limits(plan, deviceId);
      if (typeof held !== 'number' || !limit) return false;
      return held >= limit.least - 1e-3 && (limit.most === null || limit.most <= limit.least || held < limit.most);
    },
    inWords: (value) => (typeof value === 'number' ? ['', { value, quantity }] : [value]),
  });

export const alarmSettings = {
  'shallow-alarm': alarm('shallow-alarm', 'Shallow alarm', 'depth', shallowLimits, (plan, id, { least }) =>
    upToStepM(least, depthDisplayOf(plan, id)),
  ),
  'low-voltage-alarm': alarm(
    'low-voltage-alarm',
    'Low voltage alarm',
    'voltage',
    voltageLimits,
    (_plan, _id, { least }) => Math.ceil(10 * least - 1e-6) / 10,
  ),
  'engine-alarm': alarm(
    'engine-alarm',
    'Engine alarm',
    'temperature',
    () => null,
    (_plan, _id, { least }) => least,
  ),
};
