import {
  type CalibrationKind,
  type Edit,
  type EnteredCalibration,
  type Figure,
  isNoted,
  type Plan,
  type Sentence,
} from '@grey-keel/model';
import type { ResultStanding } from '../plan/define-result.ts';
import { settingsFor } from '../plan/settings-for.ts';
import { keyedIn, measuredEntry } from './keyed-in.ts';
import { capacityDiffers } from './battery-calibration.ts';
import { calibrationRows } from './calibration-rows.ts';
import { moreReadings } from './more-readings.ts';
import { calibrationOf, type Measured, type Measurement } from './sensor-calibration.ts';

export const measurementOf = (plan: Plan, kind: CalibrationKind, id: string): Measurement | null =>
  calibrationRows[kind].result.of(plan, id);

export const standingOf = (plan: Plan, kind: CalibrationKind, id: string): ResultStanding =>
  calibrationRows[kind].result.standing(plan, id);

/** What it may be off by, as the user said it; null for what is no measure, such as which side is which. */
export const toleranceOf = (plan: Plan, kind: CalibrationKind, id: string): Figure | null => {
  const [first] = settingsFor(kind, 'tolerance');
  if (!first) return null;
  const [name, words] = first;
  const value = (calibrationOf(plan, kind, id) as unknown as Readonly<Record<string, unknown>>)[name];
  return typeof value === 'number' ? { value, quantity: words.quantity ?? 'count' } : null;
};

/** Whether a device takes it, and may lose it with its power; a card and the plan do not. */
export const isHeld = (kind: CalibrationKind): boolean => calibrationRows[kind].heldByDevice;

/** How many more readings bring it within the tolerance; null where none say so, or too many would be needed. */
export const moreFor = (plan: Plan, kind: CalibrationKind, id: string, it: Measured): number | null => {
  const tolerance = toleranceOf(plan, kind, id);
  if (it.half === null || tolerance === null) return it.together;
  // What the instruments themselves may be off by does not shrink with more readings.
  if (it.fitted === 0) return it.half.value <= tolerance.value ? 0 : null;
  // Pairs are what scatters where readings come in pairs.
  const more = moreReadings({
    readings: it.readings / it.together,
    fitted: it.fitted,
    equations: it.equations,
    half: it.half.value,
    shared: it.sharedHalf ?? 0,
    tolerance: tolerance.value,
  });
  return more === null ? null : more * it.together;
};

/** The edit that enters a result: in the device that takes it, else on the card or in the plan. Null where there is none yet. */
export const entryOf = (
  plan: Plan,
  kind: CalibrationKind,
  id: string,
  { at, by }: Pick<EnteredCalibration, 'at' | 'by'>,
): Edit | null => {
  const { result } = calibrationRows[kind];
  const inputs = result.slice(plan, id);
  const it = measurementOf(plan, kind, id);
  if (!inputs || !it?.known) return null;
  const figures = it.enter.map(({ value }) => value);
  if (isNoted(kind)) {
    const whole = JSON.parse(JSON.stringify(inputs)) as EnteredCalibration['inputs'];
    const fingerprint = result.fingerprint(inputs as never);
    const entered = { values: figures, halfInterval95: it.half?.value ?? null, at, by, fingerprint, inputs: whole };
    return { type: 'noteCalibration', of: kind, sensorId: id, entered };
  }
  const measured = measuredEntry(plan, kind, id);
  return measured && keyedIn(plan, kind, id, figures, { at, by: by || null, seenAgainAt: null, measured });
};

/** What the readings give without those that stand apart, and which these are; null where none does, or too few are left. */
export const withoutApart = (
  plan: Plan,
  kind: CalibrationKind,
  id: string,
): { readonly it: Measured; readonly readingIds: readonly string[] } | null => {
  const { result } = calibrationRows[kind];
  const whole = measurementOf(plan, kind, id);
  const slice = result.slice(plan, id);
  if (!slice || !whole?.known || whole.apart.length === 0) return null;
  const readings = slice.readings.filter((reading) => !whole.apart.includes(reading.id));
  const it = result.compute({ ...slice, readings } as never);
  return it.known ? { it, readingIds: whole.apart } : null;
};

/** What follows from a result on this boat, besides what it says by itself. */
export const followsFrom = (plan: Plan, kind: CalibrationKind, id: string, it: Measured): readonly Sentence[] =>
  calibrationRows[kind].follows?.(plan, id, it) ?? it.also ?? [];

/**
 * What else an entry changes in the plan: what was a round figure there is the measured one from then on. A capacity that the
 * readings cannot tell from the one there is stays as it is.
 */
export const alsoEntered = (plan: Plan, id: string, it: Measured): Edit[] => [
  ...batteryEntered(plan, id, it),
  ...(it.inPlaceOf?.boat ? [{ type: 'describeBoat' as const, changes: it.inPlaceOf.boat }] : []),
];

const batteryEntered = (plan: Plan, id: string, it: Measured): Edit[] => {
  const changes = it.inPlaceOf?.battery;
  if (!changes) return [];
  const { capacityLeft, internalOhm } = changes;
  return [
    {
      type: 'describeBattery',
      id,
      changes: { internalOhm, ...(capacityDiffers(plan, id, it) ? { capacityLeft } : {}) },
    },
  ];
};
