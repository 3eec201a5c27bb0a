import { type Plan, shownRanges } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { looksAside, sonars } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { rangeScale } from './range-scale.ts';
import {
  calibrationOf,
  fraction,
  length,
  type Measurement,
  notMeasured,
  ofOneValue,
  sensorOf,
  type SensorPlace,
  standApart,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything the scale of a shown range depends on. */
export interface RangeInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly knownM: number;
    readonly shownM: number;
    readonly heightM: number;
    readonly targetHeightM: number;
  }[];
  readonly way: (typeof shownRanges)[number];
  readonly sensor: SensorPlace;
}

const compute = ({ readings, way }: RangeInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured(
      'No target yet: known distance, shown range, and how high face and target stand over the bottom.',
    );
  const result = calculate(rangeScale, { targets: readings.map(({ id: _, ...target }) => target), way });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The targets do not go together.');
  const { factor, halfInterval95, residualsM, missesM, nearest, flags, working } = result.answer;
  return {
    ...ofOneValue,
    measured: fraction(factor),
    half: halfInterval95 === null ? null : fraction(halfInterval95),
    sharedHalf: result.answer.sharedHalf95,
    enter: [fraction(factor)],
    sign: [
      'What is read ',
      way,
      ' as ',
      length(20),
      ' is ',
      length(20 * factor),
      ' off over the ground. Few displays take this figure: it goes on the card.',
    ],
    residuals: readings.map(({ id }, i) => ({ id, left: length(residualsM[i] ?? 0) })),
    apart: standApart(readings, residualsM, 0.5),
    naive: [
      'Off by, without any factor: ',
      ...shownRanges.flatMap((one, i) => [`${i > 0 ? ', ' : ''}${one} `, length(missesM[one])]),
      `. Nearest here: ${nearest}.`,
    ],
    readings: readings.length,
    flags: [
      ...flags,
      ...(nearest === way
        ? []
        : [`Read ${nearest} these targets come out nearer: which way is right hangs on where a target stands.`]),
    ],
    working,
  };
};

/** What a distance read off each picture has to be multiplied by. */
export const rangeCalibration = defineCalibration({
  kind: 'range',
  word: 'Range',
  of: sonars(looksAside),
  heldByDevice: false,
  enters: [['fraction']],
  slice: (plan: Plan, id): RangeInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, way } = calibrationOf(plan, 'range', id);
    return sensor ? { readings: wholeReadings<'range'>(readings), way, sensor } : null;
  },
  version: rangeScale.version,
  compute,
  words: { readings: 'the targets', way: 'how the distance is read', sensor: 'the transducer or its place' },
});
