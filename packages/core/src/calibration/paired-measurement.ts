import type { Figure } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { wrapped } from './bearings.ts';
import { stepOf } from './display-step.ts';
import { pairedOffset } from './paired-offset.ts';
import {
  angle,
  length,
  type Measured,
  type Measurement,
  notMeasured,
  ofOneValue,
  standApart,
} from './sensor-calibration.ts';

/** What is measured by pairs of what is known and what is shown, metres or degrees. */
export interface PairedMeasurement<R extends { readonly id: string }> {
  readonly unit: 'm' | 'deg';
  readonly readings: readonly R[];
  readonly pairOf: (reading: R) => { readonly known: number; readonly shown: number };
  /** The steps such figures are read in, from the coarsest on: which it is, is told from the readings. */
  readonly steps: readonly number[];
  /** What is shown is no reading but exact, such as the plumb. */
  readonly exact?: 'shown';
  readonly spanS?: number;
  readonly wavePeriodS?: number;
  /** Said while there is no reading. */
  readonly wanting: string;
  /** What is entered, and what it means, of the offset and half of its interval. */
  readonly says: (
    offset: number,
    half: number | null,
  ) => Pick<Measured, 'sign'> &
    Partial<Pick<Measured, 'also'>> & { readonly enter: number; readonly flags?: readonly string[] };
}

/** Over how long readings were taken, and how long a wave took then. */
export interface Waves {
  readonly spanS?: number;
  readonly wavePeriodS?: number;
}

/** What was said of them, for a slice; nothing where nothing was. */
export const wavesOf = ({
  spanS,
  wavePeriodS,
}: {
  readonly spanS?: number | null | undefined;
  readonly wavePeriodS?: number | null | undefined;
}): { readonly waves?: Waves } =>
  spanS == null ? {} : { waves: { spanS, ...(wavePeriodS == null ? {} : { wavePeriodS }) } };

/** The one way from such pairs to what is shown of them. */
export const pairedMeasurement = <R extends { readonly id: string }>({
  unit,
  readings,
  pairOf,
  steps,
  exact,
  wanting,
  says,
  ...waves
}: PairedMeasurement<R>): Measurement => {
  if (readings.length === 0) return notMeasured(wanting);
  const pairs = readings.map(pairOf);
  const knownStep = stepOf(
    pairs.map(({ known }) => known),
    steps,
  );
  const shownStep =
    exact === 'shown'
      ? 0
      : stepOf(
          pairs.map(({ shown }) => shown),
          steps,
        );
  const result = calculate(pairedOffset, { unit, pairs, knownStep, shownStep, ...waves });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The readings do not go together.');
  const { offset, halfInterval95, differences, flags, working } = result.answer;
  const figure = (value: number): Figure => (unit === 'm' ? length(value) : angle(wrapped(value)));
  const left = differences.map((one) => (unit === 'm' ? one - offset : wrapped(one - offset)));
  const { enter, flags: own = [], ...words } = says(offset, halfInterval95);
  return {
    ...ofOneValue,
    ...words,
    measured: figure(offset),
    half: halfInterval95 === null ? null : figure(halfInterval95),
    sharedHalf: result.answer.sharedHalf95,
    enter: [figure(enter)],
    residuals: readings.map(({ id }, i) => ({ id, left: figure(left[i] ?? 0) })),
    apart: standApart(readings, left, Math.max(knownStep, shownStep)),
    readings: readings.length,
    flags: [...own, ...flags],
    working,
  };
};
