import type { Plan } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { feeding } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { findOutliers } from './outliers.ts';
import {
  calibrationOf,
  fraction,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  speed,
  wholeReadings,
} from './sensor-calibration.ts';
import { speedFactor } from './speed-factor.ts';
import { northTurnDeg, turned, variationMissing } from './true-heading.ts';

/** Everything a speed factor depends on. */
export interface SpeedInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly logMps: number;
    readonly headingDeg: number;
    readonly sogMps: number;
    readonly cogDeg: number;
  }[];
  readonly setFactor: number;
  /** From the north the heading is shown from to the true one; null while that is not known. */
  readonly northTurnDeg: number | null;
  readonly sensor: SensorPlace;
}

/** Below so many runs one that was run badly cannot be told. */
const tellsFrom = 4;

const compute = ({ readings, setFactor, northTurnDeg: turn }: SpeedInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured('No complete run yet: log, heading, speed and course over ground of one straight run.');
  if (turn === null) return notMeasured(variationMissing);
  if (readings.length < 2)
    return notMeasured('One run cannot tell the current from the log. Run the other way, or on another heading.');
  const result = calculate(speedFactor, {
    runs: readings.map(({ logMps, headingDeg, sogMps, cogDeg }) => ({
      logMps,
      headingDeg: turned(headingDeg, turn),
      sogMps,
      cogDeg,
    })),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The runs do not go together.');
  const { answer } = result;
  const { factor, factorHalfInterval95 } = answer;
  return {
    known: true,
    measured: fraction(factor),
    half: factorHalfInterval95 === null ? null : fraction(factorHalfInterval95),
    sharedHalf: answer.sharedHalf95,
    enter: [fraction(setFactor * factor)],
    sign: [
      `The log shows too ${factor > 1 ? 'little' : 'much'}: where it shows `,
      speed(3),
      ' the boat makes ',
      speed(3 * factor),
      ' through the water, and once this is entered it shows that.',
    ],
    residuals: readings.map(({ id }, i) => ({ id, left: speed(answer.residualsMps[i] ?? 0) })),
    apart:
      readings.length < tellsFrom
        ? []
        : findOutliers(answer.residualsMps, 0.05)
            .flagged.filter((i) => (answer.residualsMps[i] ?? 0) > 0.1)
            .flatMap((i) => readings[i]?.id ?? []),
    current: { eastMps: answer.currentEastMps, northMps: answer.currentNorthMps },
    naive: [
      'Speed over ground divided by the log would say ',
      fraction(answer.naiveFactor),
      ': it takes the current for an error of the log.',
    ],
    readings: readings.length,
    fitted: 3,
    equations: 2,
    together: 1,
    flags: answer.flags,
    working: answer.working,
  };
};

/** Each log's factor, as it is measured and entered. */
export const speedCalibration = defineCalibration({
  kind: 'speed',
  word: 'Speed through water',
  of: feeding('speed through water'),
  heldByDevice: true,
  enters: [['fraction']],
  slice: (plan: Plan, id): SpeedInputs | null => {
    const sensor = sensorOf(plan, id);
    const settings = calibrationOf(plan, 'speed', id);
    return sensor
      ? {
          readings: wholeReadings<'speed'>(settings.readings),
          setFactor: settings.setFactor,
          northTurnDeg: northTurnDeg(settings),
          sensor,
        }
      : null;
  },
  version: speedFactor.version,
  compute,
  words: {
    readings: 'the runs',
    setFactor: 'the factor set while running',
    northTurnDeg: 'the north the heading is shown from',
    sensor: 'the sensor or its place',
  },
});
