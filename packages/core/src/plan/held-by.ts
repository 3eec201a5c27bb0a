import type { Alarms, displayWaters, Plan, UnitSettings } from '@grey-keel/model';

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
  /** The offset in whatever display reads a transducer; null where none of its was spoken of. */
  readonly 'depth-offset': number | null;
  /** The offset of a heading sensor, wherever it is set. */
  readonly 'heading-offset': number;
}
export type HeldKind = keyof Kinds;

const soundOf = (unit: UnitSettings | undefined): Kinds['sound'] => {
  if (unit?.ownSoundSpeedMps != null) return { soundSpeedMps: unit.ownSoundSpeedMps };
  return unit?.waterType ? { waterType: unit.waterType } : null;
};

/** What was entered, until another was set while new readings were taken: the entry remembers what was set then. */
const newest = (set: number, entered: number, setThen: unknown): number =>
  typeof setThen === 'number' && Math.abs(setThen - set) > 1e-6 ? set : entered;

const offsetOf = (plan: Plan, transducerId: string): number | null => {
  const offset = plan.depthOffsets[transducerId];
  if (!offset) return null;
  const { entered, offsetSetM } = offset;
  if (!entered) return offsetSetM;
  return newest(offsetSetM, entered.offsetM, (entered.inputs as { offsetSetM?: unknown } | null)?.offsetSetM);
};

const headingOffsetOf = (plan: Plan, sensorId: string): number => {
  const heading = plan.calibrations.heading[sensorId];
  if (!heading) return 0;
  const { entered, setDeg } = heading;
  if (!entered) return setDeg;
  return newest(setDeg, entered.values[0] ?? setDeg, (entered.inputs as { setDeg?: unknown } | null)?.setDeg);
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
  'depth-offset': (plan, _, ofId) => offsetOf(plan, ofId),
  'heading-offset': (plan, _, ofId) => headingOffsetOf(plan, ofId),
};

/**
 * What a station's display holds, as far as anybody said. The one way to ask it: where a setting is stored is nobody else's
 * business. `ofId` is the transducer of a depth offset, whose display need not be said.
 */
export const heldBy = <K extends HeldKind>(plan: Plan, stationId: string, kind: K, ofId = ''): Kinds[K] =>
  readers[kind](plan, stationId, ofId);
