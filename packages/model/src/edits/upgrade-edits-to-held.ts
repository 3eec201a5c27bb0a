import { alarmKinds, leftAs, leftUntimed, ticks, untimed } from '../plan/upgrade-to-held.ts';

/**
 * Plan version 12 to 13: edits of what stood in seven places, as edits of the one register. Plain JSON in and out, and none
 * of this may be changed afterwards. Null where it takes the plan to say which device was meant.
 */
type Raw = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
/** What was keyed into the very thing that was calibrated. */
const inItself = ['speed', 'temperature', 'heading', 'pointing'];
const noted = ['deviation', 'range', 'tilt', 'battery', 'noise'];

const line = (deviceId: unknown, kind: string): Raw => ({ kind, deviceId, ofId: deviceId });
const forget = (deviceId: unknown, kind: string): Raw => ({ type: 'forgetSetting', ...line(deviceId, kind) });
const find = (deviceId: unknown, kind: string, value: unknown): Raw =>
  value === null
    ? forget(deviceId, kind)
    : { type: 'readAsFound', ...line(deviceId, kind), asFound: untimed(value, null) };
const enter = (deviceId: unknown, kind: string, asLeft: Raw): Raw => ({
  type: 'enterSetting',
  ...line(deviceId, kind),
  asLeft,
});
const set = (deviceId: unknown, kind: string, value: unknown): Raw => enter(deviceId, kind, leftUntimed(value));

const ofAlarms = (deviceId: unknown, { actInS, ...alarms }: Raw): Raw[] => [
  ...Object.entries(alarmKinds).flatMap(([key, kind]) => {
    if (alarms[key] === undefined) return [];
    const value = alarms[key] ?? 'off';
    return [
      set(deviceId, kind, value),
      { type: 'chooseSetting', kind, line: { deviceId, ofId: deviceId }, value } satisfies Raw,
    ];
  }),
  ...(actInS === undefined ? [] : [{ type: 'setTimeToAct', stationId: deviceId, actInS } satisfies Raw]),
];

const ofUnit = (deviceId: unknown, changes: Raw): Raw[] | null => {
  const { waterType, ownSoundSpeedMps, depthUnit, depthStep, antennaOffsetSet, north, sidesRight, done, alarms } =
    changes;
  // Which of its transducers look aside, and the unit that a step is in, only the plan knows.
  if (sidesRight === 'right' || sidesRight === 'swapped') return null;
  if (depthStep !== undefined && depthUnit === undefined) return null;
  const sound =
    typeof ownSoundSpeedMps === 'number'
      ? { soundSpeedMps: ownSoundSpeedMps }
      : typeof waterType === 'string'
        ? { waterType }
        : null;
  const ticked = isObject(done) ? done : {};
  return [
    ...(waterType === undefined && ownSoundSpeedMps === undefined ? [] : [find(deviceId, 'sound', sound)]),
    ...(depthUnit === undefined ? [] : [find(deviceId, 'depth-display', { unit: depthUnit, step: depthStep ?? 0.1 })]),
    ...(north === undefined ? [] : [find(deviceId, 'north', north)]),
    ...(antennaOffsetSet === undefined
      ? []
      : [antennaOffsetSet === true ? set(deviceId, 'antenna-offset', null) : forget(deviceId, 'antenna-offset')]),
    ...(done === undefined
      ? []
      : Object.entries(ticks).map(([item, [kind, value]]) =>
          item in ticked ? set(deviceId, kind, value) : forget(deviceId, kind),
        )),
    ...(isObject(alarms) ? ofAlarms(deviceId, alarms) : []),
  ];
};

const ofEntry = (sensorId: unknown, of: string, entered: Raw): Raw[] | null => {
  const values = Array.isArray(entered['values']) ? (entered['values'] as unknown[]) : [];
  const asLeft = (value: unknown): Raw => leftAs(value, of, entered, entered['halfInterval95'] ?? null);
  const { seenAgainAt: _seenAgainAt, ...once } = entered;
  if (inItself.includes(of)) return [enter(sensorId, of, asLeft(values[0]))];
  if (of === 'sound speed') return [enter(sensorId, 'sound', asLeft({ soundSpeedMps: values[0] }))];
  if (of === 'antenna')
    return [enter(sensorId, 'antenna-offset', asLeft({ forwardM: values[0], starboardM: values[1] ?? 0 }))];
  return noted.includes(of) ? [{ type: 'noteCalibration', of, sensorId, entered: once }] : null;
};

const ofSeenAgain = (sensorId: unknown, of: string, at: unknown): Raw[] | null => {
  const kinds: Raw = { 'sound speed': 'sound', antenna: 'antenna-offset' };
  const kind = inItself.includes(of) ? of : kinds[of];
  if (typeof kind === 'string') return [{ type: 'seeAgain', ...line(sensorId, kind), at }];
  return noted.includes(of) ? [] : null;
};

/** Whether a patch says nothing of what moved: such a one is the same in both versions. */
const staysAsItIs = (patch: unknown): boolean => {
  if (!isObject(patch) || !Array.isArray(patch['path'])) return true;
  const [top] = patch['path'] as unknown[];
  if (top === 'sources') return !patch['path'].includes('selected') && !says(patch['value'], ['selected']);
  if (top === 'calibrations' || top === 'depthOffsets')
    return !patch['path'].includes('entered') && !says(patch['value'], ['entered']);
  return top !== 'units';
};
const says = (value: unknown, keys: readonly string[]): boolean =>
  isObject(value) && Object.entries(value).some(([key, part]) => keys.includes(key) || says(part, keys));

export const editToHeld = (edit: Raw): readonly Raw[] | null => {
  const { entered, changes } = edit;
  switch (edit['type']) {
    case 'describeUnit':
      return isObject(changes) ? ofUnit(edit['stationId'], changes) : [edit];
    case 'describeSource': {
      const { selected = '', ...others } = isObject(changes) ? changes : {};
      return selected === '' ? [{ ...edit, changes: others }] : null;
    }
    case 'enterCalibration':
      return isObject(entered) ? ofEntry(edit['sensorId'], String(edit['of']), entered) : [edit];
    case 'seeCalibrationAgain':
      return ofSeenAgain(edit['sensorId'], String(edit['of']), edit['at']);
    case 'enterDepthOffset':
    case 'seeOffsetAgain':
      return null;
    case 'restore':
      return Array.isArray(edit['patches']) && !edit['patches'].every(staysAsItIs) ? null : [edit];
    default:
      return [edit];
  }
};
