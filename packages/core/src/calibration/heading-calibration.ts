import type { Plan } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { feeding } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { headingOffset } from './heading-offset.ts';
import { findOutliers } from './outliers.ts';
import {
  angle,
  calibrationOf,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';
import { wrapped } from './bearings.ts';
import { northTurnDeg, turned, variationMissing } from './true-heading.ts';

/** Everything a heading offset depends on. */
export interface HeadingInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly headingDeg: number;
    readonly sogMps: number;
    readonly cogDeg: number;
  }[];
  readonly setDeg: number;
  readonly northTurnDeg: number | null;
  readonly sensor: SensorPlace;
}

const compute = ({ readings, setDeg, northTurnDeg: turn }: HeadingInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured('No complete run yet: heading, speed and course over ground of one straight run.');
  if (turn === null) return notMeasured(variationMissing);
  if (readings.length % 2)
    return notMeasured(`Run ${readings.length} has no run back yet: turn round and run the same line the other way.`);
  const result = calculate(headingOffset, {
    runs: readings.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg: turned(headingDeg, turn), sogMps, cogDeg })),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The runs do not go together.');
  const { answer } = result;
  const { offsetDeg, halfInterval95Deg } = answer;
  const example = 90;
  return {
    known: true,
    measured: angle(offsetDeg),
    half: halfInterval95Deg === null ? null : angle(halfInterval95Deg),
    sharedHalf: answer.sharedHalf95,
    enter: [angle(wrapped(setDeg + offsetDeg))],
    sign: [
      'Pointing ',
      angle(example),
      ' true it shows ',
      angle(turned(example - offsetDeg - turn, 0)),
      turn === 0 ? '' : ' from magnetic north',
      ' now, and ',
      angle(turned(example - turn, 0)),
      ' once this is entered.',
    ],
    residuals: readings.map(({ id }, i) => ({
      id,
      left: angle(wrapped((answer.pairOffsetsDeg[Math.floor(i / 2)] ?? 0) - offsetDeg)),
    })),
    apart:
      answer.pairOffsetsDeg.length < 3
        ? []
        : findOutliers(answer.pairOffsetsDeg, 1).flagged.flatMap((i) =>
            readings.slice(2 * i, 2 * i + 2).map(({ id }) => id),
          ),
    current: { eastMps: answer.currentEastMps, northMps: answer.currentNorthMps },
    naive: [
      'The mean of course less heading would say ',
      angle(answer.naiveOffsetDeg),
      ': a current across the track stays in it.',
    ],
    readings: readings.length,
    fitted: 1,
    equations: 1,
    together: 2,
    flags: answer.flags,
    working: answer.working,
  };
};

/** Each heading sensor's offset, as it is measured and entered. */
export const headingCalibration = defineCalibration({
  kind: 'heading',
  word: 'Heading',
  of: feeding('heading'),
  heldByDevice: true,
  enters: [['angle']],
  slice: (plan: Plan, id): HeadingInputs | null => {
    const sensor = sensorOf(plan, id);
    const settings = calibrationOf(plan, 'heading', id);
    return sensor
      ? {
          readings: wholeReadings<'heading'>(settings.readings),
          setDeg: settings.setDeg,
          northTurnDeg: northTurnDeg(settings),
          sensor,
        }
      : null;
  },
  version: headingOffset.version,
  compute,
  words: {
    readings: 'the runs',
    setDeg: 'the offset set while running',
    northTurnDeg: 'the north the heading is shown from',
    sensor: 'the sensor or its place',
  },
});
