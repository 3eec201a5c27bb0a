import type {
  Battery,
  Boat,
  CalibrationKind,
  CalibrationOf,
  CalibrationReading,
  Calibrations,
  Figure,
  Plan,
  Sentence,
  WorkingStep,
} from '@grey-keel/model';
import { newCalibration } from '../edits/new-parts.ts';
import { inOrder } from '../plan/working-water.ts';
import { findOutliers } from './outliers.ts';

/** What the readings of a sensor give, in the words and figures that every procedure has. */
export interface Measured {
  readonly known: true;
  /** What the sensor is off by: what has to be added to what it shows, or what that has to be multiplied by. */
  readonly measured: Figure;
  /** Half of its 95 % interval; null where the readings carry none. */
  readonly half: Figure | null;
  /** What of that all readings share: more of them do not make it less. Left out where nothing is. */
  readonly sharedHalf?: number;
  /** What is to be entered, with what is set there already; of a curve its coefficients. */
  readonly enter: readonly Figure[];
  /** Where more than one figure is entered: what each is called. */
  readonly enterWords?: readonly string[];
  /** Where the answer is a word and no number, and whether it is sure. */
  readonly says?: { readonly words: string; readonly sure: boolean };
  /** The round figures of the plan that it is entered in the place of. */
  readonly inPlaceOf?: {
    readonly battery?: Pick<Battery, 'capacityLeft' | 'internalOhm'>;
    readonly boat?: Pick<Boat, 'electricalFloorDb' | 'ownNoiseByDb'>;
  };
  /** What follows from it besides. */
  readonly also?: readonly Sentence[];
  /** What the display shows then, so that the sign is not left to be guessed. */
  readonly sign: Sentence;
  /** Of each reading, by its id: what is left over once the result is taken out. */
  readonly residuals: readonly { readonly id: string; readonly left: Figure }[];
  /** The ids of readings that stand apart; they stay in until they are left out. */
  readonly apart: readonly string[];
  readonly current: { readonly eastMps: number; readonly northMps: number } | null;
  /** What the usual short way would have given, and why it is not taken; null where there is none. */
  readonly naive: Sentence | null;
  readonly readings: number;
  /** Values worked out from them, how many equations one reading gives for these, and how many readings come at once. */
  readonly fitted: number;
  readonly equations: number;
  readonly together: number;
  readonly flags: readonly string[];
  readonly working: readonly WorkingStep[];
}
/** Of what one value is worked out from readings that come one by one, and no current with it. */
export const ofOneValue = {
  known: true,
  current: null,
  naive: null,
  fitted: 1,
  equations: 1,
  together: 1,
} as const satisfies Partial<Measured>;

export interface NotMeasured {
  readonly known: false;
  readonly wanting: string;
}
export type Measurement = Measured | NotMeasured;

export const notMeasured = (wanting: string): NotMeasured => ({ known: false, wanting });

/** How a sensor is calibrated: as it stands in the plan, or as it would begin. */
export const calibrationOf = <K extends CalibrationKind>(plan: Plan, kind: K, sensorId: string): CalibrationOf<K> =>
  (plan.calibrations[kind] as Readonly<Record<string, CalibrationOf<K>>>)[sensorId] ?? newCalibration(kind);

/** The ids of readings that stand apart from the others, by what each leaves over; `step` is that of its figures. */
export const standApart = (
  readings: readonly { readonly id: string }[],
  left: readonly number[],
  step: number,
): string[] => (readings.length < 3 ? [] : findOutliers(left, step).flagged.flatMap((i) => readings[i]?.id ?? []));

/** Where the sensor is: a move or another one asks for new readings even though the old ones still give a number. */
export const sensorOf = (plan: Plan, sensorId: string) => {
  const found = plan.transducers[sensorId] ?? plan.equipment[sensorId];
  return (
    found && {
      name: found.name,
      forwardM: found.forwardM,
      starboardM: found.starboardM,
      aboveKeelM: found.aboveKeelM,
    }
  );
};
export type SensorPlace = NonNullable<ReturnType<typeof sensorOf>>;

/** The readings that count, in their order, of which every part is there. */
export const wholeReadings = <K extends CalibrationKind>(
  readings: Calibrations[K][string]['readings'],
): (WholeReading<CalibrationReading<K>> & { readonly id: string })[] =>
  inOrder(readings as Readonly<Record<string, CalibrationReading<K>>>).flatMap(
    ([id, { leftOut, from: _, ...parts }]) =>
      leftOut || Object.values(parts).includes(null)
        ? []
        : [{ id, ...parts } as unknown as WholeReading<CalibrationReading<K>> & { readonly id: string }],
  );

/** A reading without what is said about it, no part missing. */
export type WholeReading<R> = {
  readonly [P in keyof Omit<R, 'leftOut' | 'from'>]: NonNullable<R[P]>;
};

export const angle = (value: number): Figure => ({ value, quantity: 'angle' });
export const speed = (value: number): Figure => ({ value, quantity: 'speed' });
export const fraction = (value: number): Figure => ({ value, quantity: 'fraction' });
export const level = (value: number): Figure => ({ value, quantity: 'level' });
export const length = (value: number): Figure => ({ value, quantity: 'length' });
export const soundSpeedOf = (value: number): Figure => ({ value, quantity: 'soundSpeed' });
export const degrees = (value: number): Figure => ({ value, quantity: 'temperatureDifference' });
