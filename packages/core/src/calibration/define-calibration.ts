import type { CalibrationKind, Plan, Quantity, Sentence } from '@grey-keel/model';
import { enteredResult } from '../plan/held-by.ts';
import { defineResult, type Noted, type Result, type ResultParts, type ResultStanding } from '../plan/define-result.ts';
import type { CalibratedSensor } from './calibrated-sensors.ts';
import type { Measured, Measurement } from './sensor-calibration.ts';

/** What every kind is worked out from: the readings that count, among others. */
interface WithReadings {
  readonly readings: readonly { readonly id: string }[];
}

/** What is said of a kind of calibration beside what is worked out. */
interface Said<K extends CalibrationKind> {
  readonly kind: K;
  /** What is calibrated, as it begins a sentence. */
  readonly word: string;
  /** What of a boat is calibrated so. */
  readonly of: (plan: Plan) => CalibratedSensor[];
  /** A device takes it; a curve, a word or a figure for the card or the plan is taken by none. */
  readonly heldByDevice: boolean;
  /** What the figures that are entered measure, in their order, and what each is called where there are several. */
  readonly enters: readonly (readonly [Quantity, string?])[];
  /** What was entered, where its figures do not say it. */
  readonly inWords?: (values: readonly number[]) => Sentence;
  /** How it is told that it was entered, where no figure was. */
  readonly wasEntered?: string;
  /** What follows from a result on this boat, besides what it says by itself. */
  readonly follows?: (plan: Plan, id: string, it: Measured) => readonly Sentence[];
}

/** A kind of calibration as everybody sees it, whatever it is worked out from. */
export interface CalibrationRow<K extends CalibrationKind = CalibrationKind> extends Said<K> {
  readonly result: Result & {
    readonly of: (plan: Plan, id: string) => Measurement | null;
    readonly slice: (plan: Plan, id: string) => WithReadings | null;
    readonly fingerprint: (of: never) => string;
    readonly parts: (of: never) => Record<string, string>;
    readonly since: (plan: Plan, id: string, then: Noted | null) => ResultStanding;
    readonly compute: (of: never) => Measurement;
  };
}

type CalibrationDefinition<K extends CalibrationKind, S extends WithReadings> = Said<K> &
  Pick<ResultParts<S, Measurement>, 'slice' | 'version' | 'compute' | 'words'>;

/**
 * The one way in which a kind of calibration is defined. `slice` says what it is worked out from, and nothing else counts;
 * `version` goes up when the same slice gives another answer.
 */
export const defineCalibration = <K extends CalibrationKind, S extends WithReadings>({
  slice,
  version,
  compute,
  words,
  ...said
}: CalibrationDefinition<K, S>): CalibrationRow<K> => {
  const { kind, of } = said;
  return {
    ...(said as Said<K>),
    result: defineResult({
      keys: (plan) => of(plan).map(({ id }) => id),
      slice,
      version,
      compute,
      noted: (plan, id) => enteredResult(plan, kind, id),
      words,
    }),
  };
};
