import {
  calibrationParts,
  type CalibrationKind,
  type Edit,
  type EnteredCalibration,
  type Figure,
  type Plan,
  type Sentence,
  wordsOf,
} from '@grey-keel/model';
import type * as z from 'zod';
import type { ResultStanding } from '../plan/define-result.ts';
import { hoursUntilOut } from '../power/hours-until-out.ts';
import { measuredAntenna } from './antenna-calibration.ts';
import { measuredBattery } from './battery-calibration.ts';
import { measuredDeviation } from './deviation-calibration.ts';
import { measuredHeading } from './heading-calibration.ts';
import { moreReadings } from './more-readings.ts';
import { measuredOwnNoise } from './noise-calibration.ts';
import { measuredPointing } from './pointing-calibration.ts';
import { measuredRange } from './range-calibration.ts';
import { calibrationOf, type Measured, type Measurement } from './sensor-calibration.ts';
import { measuredSides } from './sides-calibration.ts';
import { measuredSoundSpeed } from './sound-speed-calibration.ts';
import { measuredSpeed } from './speed-calibration.ts';
import { measuredStep } from './step-calibration.ts';
import { measuredTemperature } from './temperature-calibration.ts';
import { measuredTilt } from './tilt-calibration.ts';

/** The measured results by their kind; all are asked and entered alike. */
export const measuredByKind = {
  'sound speed': measuredSoundSpeed,
  speed: measuredSpeed,
  temperature: measuredTemperature,
  heading: measuredHeading,
  deviation: measuredDeviation,
  step: measuredStep,
  sides: measuredSides,
  pointing: measuredPointing,
  range: measuredRange,
  tilt: measuredTilt,
  antenna: measuredAntenna,
  battery: measuredBattery,
  noise: measuredOwnNoise,
} as const;

export const measurementOf = (plan: Plan, kind: CalibrationKind, id: string): Measurement | null =>
  measuredByKind[kind].of(plan, id);

export const standingOf = (plan: Plan, kind: CalibrationKind, id: string): ResultStanding =>
  measuredByKind[kind].standing(plan, id);

/** A setting of a kind whose name begins so, as a figure; null where there is none, or it is not set. */
const settingOf = (plan: Plan, kind: CalibrationKind, id: string, begins: string): Figure | null => {
  const shape: Readonly<Record<string, z.ZodType>> = calibrationParts[kind].settings.shape;
  const found = Object.entries(shape).find(([name]) => name.startsWith(begins));
  if (!found) return null;
  const [name, schema] = found;
  const value = (calibrationOf(plan, kind, id) as unknown as Readonly<Record<string, unknown>>)[name];
  return typeof value === 'number' ? { value, quantity: wordsOf(schema)?.quantity ?? 'count' } : null;
};

/** What it may be off by, as the user said it; null for what is no measure, such as which side is which. */
export const toleranceOf = (plan: Plan, kind: CalibrationKind, id: string): Figure | null =>
  settingOf(plan, kind, id, 'tolerance');

/** What was set in the display while the readings were taken; null for what no display is set to. */
const setWhileReading = (plan: Plan, kind: CalibrationKind, id: string): number | null =>
  settingOf(plan, kind, id, 'set')?.value ?? null;

const setThen = (inputs: unknown): number | null => {
  const set = Object.entries(typeof inputs === 'object' && inputs !== null ? inputs : {}).find(([name]) =>
    name.startsWith('set'),
  )?.[1] as unknown;
  return typeof set === 'number' ? set : null;
};

/** What no display takes: a curve, a word, a figure for the card or for the plan. */
const heldByNone: readonly CalibrationKind[] = ['deviation', 'sides', 'range', 'tilt', 'battery', 'noise'];
export const isHeld = (kind: CalibrationKind): boolean => !heldByNone.includes(kind);

/**
 * What the display holds now: what was entered, until something else was set in it while new readings were taken. The
 * entry remembers what was set when it was worked out.
 */
export const heldValue = (plan: Plan, kind: CalibrationKind, id: string): number | null => {
  const set = setWhileReading(plan, kind, id);
  const { entered } = calibrationOf(plan, kind, id);
  if (!entered) return set;
  const then = setThen(entered.inputs);
  return set !== null && then !== null && Math.abs(then - set) > 1e-6 ? set : (entered.values[0] ?? set);
};

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

/** What is entered of a result: the figures, and all they depended on. */
export const entryOf = (
  plan: Plan,
  kind: CalibrationKind,
  id: string,
  { at, by }: Pick<EnteredCalibration, 'at' | 'by'>,
): EnteredCalibration | null => {
  const result: { slice: (plan: Plan, key: string) => object | null; fingerprint: (of: never) => string } =
    measuredByKind[kind];
  const inputs = result.slice(plan, id);
  const it = measurementOf(plan, kind, id);
  if (!inputs || !it?.known) return null;
  return {
    values: it.enter.map(({ value }) => value),
    halfInterval95: it.half?.value ?? null,
    at,
    by,
    seenAgainAt: null,
    fingerprint: result.fingerprint(inputs as never),
    inputs: JSON.parse(JSON.stringify(inputs)) as EnteredCalibration['inputs'],
  };
};

/** What the readings give without those that stand apart, and which these are; null where none does, or too few are left. */
export const withoutApart = (
  plan: Plan,
  kind: CalibrationKind,
  id: string,
): { readonly it: Measured; readonly readingIds: readonly string[] } | null => {
  const result: {
    slice: (plan: Plan, key: string) => { readonly readings: readonly { readonly id: string }[] } | null;
    compute: (of: never) => Measurement;
  } = measuredByKind[kind];
  const whole = measurementOf(plan, kind, id);
  const slice = result.slice(plan, id);
  if (!slice || !whole?.known || whole.apart.length === 0) return null;
  const readings = slice.readings.filter((reading) => !whole.apart.includes(reading.id));
  const it = result.compute({ ...slice, readings } as never);
  return it.known ? { it, readingIds: whole.apart } : null;
};

/** What follows from a result on this boat, besides what it says by itself. */
export const followsFrom = (plan: Plan, kind: CalibrationKind, id: string, it: Measured): readonly Sentence[] => {
  const battery = kind === 'battery' ? plan.power.batteries[id] : undefined;
  const out = battery && hoursUntilOut(plan, id, { ...battery, ...it.inPlaceOf?.battery });
  return [
    ...(battery && !capacityDiffers(plan, id, it)
      ? [
          [
            'The plan has ',
            { value: battery.capacityLeft, quantity: 'fraction' as const },
            ', which is within that: its capacity stays, the inner resistance is taken.',
          ],
        ]
      : []),
    ...(it.also ?? []),
    ...(out
      ? [
          [
            out.deviceFirst ? 'The first device goes out after ' : 'Empty after ',
            { value: out.hours, quantity: 'hours' as const },
            ' at ',
            { value: out.currentA, quantity: 'current' as const },
            ', the heaviest of your ways of working.',
          ],
        ]
      : []),
  ];
};

/** Whether a battery's capacity as measured is another than the plan has: within its interval there is nothing to replace. */
export const capacityDiffers = (plan: Plan, id: string, { inPlaceOf, half }: Measured): boolean => {
  const held = plan.power.batteries[id]?.capacityLeft;
  const measured = inPlaceOf?.battery?.capacityLeft;
  return held !== undefined && measured !== undefined && half !== null && Math.abs(held - measured) > half.value;
};

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
