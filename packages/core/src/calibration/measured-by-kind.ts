import type { CalibrationKind, EnteredCalibration, Figure, Plan } from '@grey-keel/model';
import type { ResultStanding } from '../plan/define-result.ts';
import { measuredDeviation } from './deviation-calibration.ts';
import { measuredHeading } from './heading-calibration.ts';
import { moreReadings } from './more-readings.ts';
import { angle, calibrationOf, degrees, fraction, type Measured, type Measurement } from './sensor-calibration.ts';
import { measuredSpeed } from './speed-calibration.ts';
import { measuredTemperature } from './temperature-calibration.ts';

/** The measured results by their kind; all are asked and entered alike. */
export const measuredByKind = {
  speed: measuredSpeed,
  temperature: measuredTemperature,
  heading: measuredHeading,
  deviation: measuredDeviation,
} as const;

export const measurementOf = (plan: Plan, kind: CalibrationKind, id: string): Measurement | null =>
  measuredByKind[kind].of(plan, id);

export const standingOf = (plan: Plan, kind: CalibrationKind, id: string): ResultStanding =>
  measuredByKind[kind].standing(plan, id);

/** What a sensor may be off by, as the user said it. */
export const toleranceOf = (plan: Plan, kind: CalibrationKind, id: string): Figure => {
  switch (kind) {
    case 'speed':
      return fraction(calibrationOf(plan, kind, id).toleranceFactor);
    case 'temperature':
      return degrees(calibrationOf(plan, kind, id).toleranceByC);
    case 'heading':
    case 'deviation':
      return angle(calibrationOf(plan, kind, id).toleranceDeg);
  }
};

/** What was set in the display while the readings were taken; null for a curve, which no display is set to. */
const setWhileReading = (plan: Plan, kind: CalibrationKind, id: string): number | null => {
  switch (kind) {
    case 'speed':
      return calibrationOf(plan, kind, id).setFactor;
    case 'temperature':
      return calibrationOf(plan, kind, id).setByC;
    case 'heading':
      return calibrationOf(plan, kind, id).setDeg;
    case 'deviation':
      return null;
  }
};

const setThen = (inputs: unknown): number | null => {
  const then = inputs as { setFactor?: unknown; setByC?: unknown; setDeg?: unknown } | null;
  const set = then?.setFactor ?? then?.setByC ?? then?.setDeg;
  return typeof set === 'number' ? set : null;
};

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
  if (it.half === null) return it.together;
  // Pairs are what scatters where readings come in pairs.
  const more = moreReadings({
    readings: it.readings / it.together,
    fitted: it.fitted,
    equations: it.equations,
    half: it.half.value,
    tolerance: toleranceOf(plan, kind, id).value,
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
