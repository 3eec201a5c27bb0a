import {
  type Alarms,
  type CalibrationKind,
  calibrationParts,
  type displayWaters,
  type EnteredCalibration,
  type EnteredOffset,
  type Plan,
  type UnitSettings,
} from '@grey-keel/model';
import { settingsFor } from './settings-for.ts';

type Water = (typeof displayWaters)[number];

/** What the displays of a boat have been set to, by kind; each asked of one station, and of a transducer where it is one's. */
interface Kinds {
  /** A type of water, or a speed of sound of its own; null where nobody looked. */
  readonly sound: { readonly waterType: Water } | { readonly soundSpeedMps: number } | null;
  readonly north: 'true' | 'magnetic' | null;
  readonly sides: 'right' | 'swapped' | null;
  /** The antenna's distance to the transducer is in it. */
  readonly 'antenna-offset': boolean;
  readonly 'depth-display': { readonly unit: NonNullable<UnitSettings['depthUnit']>; readonly step: number } | null;
  readonly alarms: Alarms;
  /** What has been seen to in it, item by item. */
  readonly housekeeping: UnitSettings['done'];
  /** The offset in whatever display reads a transducer; null where none of its was spoken of. */
  readonly 'depth-offset': number | null;
  /** The type that is selected for a transducer; null where none is. */
  readonly type: string | null;
}
export type HeldKind = keyof Kinds;

type EnteredById = Readonly<Record<string, { readonly entered: EnteredCalibration | null }>>;

/** The depth offset entered last for a transducer, with when, by whom and from what; null where none was. */
export const enteredOffset = (plan: Plan, transducerId: string): EnteredOffset | null =>
  plan.depthOffsets[transducerId]?.entered ?? null;

/** What was entered last of a kind of calibration, with when, by whom and from what; null where nothing was. */
export const enteredCalibration = (plan: Plan, kind: CalibrationKind, id: string): EnteredCalibration | null =>
  (plan.calibrations[kind] as EnteredById)[id]?.entered ?? null;

const figureAt = (part: unknown, name: string): number | null => {
  const value: unknown = new Map(Object.entries(typeof part === 'object' && part !== null ? part : {})).get(name);
  return typeof value === 'number' ? value : null;
};

/** What was entered, until another was set while new readings were taken: the entry remembers what was set then. */
const newest = (setNow: number, entered: number, setThen: number | null): number =>
  setThen !== null && Math.abs(setThen - setNow) > 1e-6 ? setNow : entered;

const offsetOf = (plan: Plan, transducerId: string): number | null => {
  const offset = plan.depthOffsets[transducerId];
  const entered = enteredOffset(plan, transducerId);
  if (!offset || !entered) return offset?.offsetSetM ?? null;
  return newest(offset.offsetSetM, entered.offsetM, figureAt(entered.inputs, 'offsetSetM'));
};

/**
 * What a device holds of a kind of calibration, in the unit of its first figure: what was entered last, until something
 * else was set while new readings were taken; what was set then where nothing was entered; null where nothing is set.
 */
export const heldCalibration = (plan: Plan, kind: CalibrationKind, id: string): number | null => {
  const calibration: unknown = plan.calibrations[kind][id] ?? calibrationParts[kind].begins;
  const name = settingsFor(kind, 'set')[0]?.[0] ?? '';
  const setNow = figureAt(calibration, name);
  const entered = enteredCalibration(plan, kind, id);
  if (!entered) return setNow;
  const [first = setNow] = entered.values;
  return setNow === null || first === null ? first : newest(setNow, first, figureAt(entered.inputs, name));
};

const soundOf = (unit: UnitSettings | undefined): Kinds['sound'] => {
  if (unit?.ownSoundSpeedMps != null) return { soundSpeedMps: unit.ownSoundSpeedMps };
  return unit?.waterType ? { waterType: unit.waterType } : null;
};

const readers: { readonly [K in HeldKind]: (plan: Plan, stationId: string, ofId: string) => Kinds[K] } = {
  sound: (plan, id) => soundOf(plan.units[id]),
  north: (plan, id) => plan.units[id]?.north ?? null,
  sides: (plan, id) => {
    const sides = plan.units[id]?.sidesRight;
    return sides === undefined || sides === 'not looked at' ? null : sides;
  },
  'antenna-offset': (plan, id) => plan.units[id]?.antennaOffsetSet === true,
  'depth-display': (plan, id) => {
    const unit = plan.units[id];
    return unit?.depthUnit === undefined ? null : { unit: unit.depthUnit, step: unit.depthStep ?? 0.1 };
  },
  alarms: (plan, id) => plan.units[id]?.alarms ?? {},
  housekeeping: (plan, id) => plan.units[id]?.done ?? {},
  'depth-offset': (plan, _, ofId) => offsetOf(plan, ofId),
  type: (plan, _, ofId) => plan.sources[ofId]?.selected || null,
};

/**
 * What a station's display holds, as far as anybody said. The one way to ask it: where a setting is stored is nobody else's
 * business. `ofId` is the transducer of a depth offset or a type, whose display need not be said.
 */
export const heldBy = <K extends HeldKind>(plan: Plan, stationId: string, kind: K, ofId = ''): Kinds[K] =>
  readers[kind](plan, stationId, ofId);
