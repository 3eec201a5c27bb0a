import type { Figure } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { wrapped } from './bearings.ts';
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
  /** The finest step of the figures. */
  readonly step: number;
  /** Said while there is no reading. */
  readonly wanting: string;
  /** What is entered, and what it means, of the offset and half of its interval. */
  readonly says: (
    offset: number,
    half: number | null,
  ) => Pick<Measured, 'sign'> &
    Partial<Pick<Measured, 'also'>> & { readonly enter: number; readonly flags?: readonly string[] };
}

/** The one way from such pairs to what is shown of them. */
export const pairedMeasurement = <R extends { readonly id: string }>({
  unit,
  readings,
  pairOf,
  step,
  wanting,
  says,
}: PairedMeasurement<R>): Measurement => {
  if (readings.length === 0) return notMeasured(wanting);
  const result = calculate(pairedOffset, { unit, pairs: readings.map(pairOf), step });
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
    enter: [figure(enter)],
    residuals: readings.map(({ id }, i) => ({ id, left: figure(left[i] ?? 0) })),
    apart: standApart(readings, left, step),
    readings: readings.length,
    flags: [...own, ...flags],
    working,
  };
};
