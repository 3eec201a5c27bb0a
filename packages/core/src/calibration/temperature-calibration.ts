import type { Plan } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { feeding } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import {
  calibrationOf,
  degrees,
  type Measurement,
  notMeasured,
  ofOneValue,
  type SensorPlace,
  standApart,
  sensorOf,
  wholeReadings,
} from './sensor-calibration.ts';
import { temperatureOffset } from './temperature-offset.ts';

/** Everything a temperature offset depends on. */
export interface TemperatureInputs {
  readonly readings: readonly { readonly id: string; readonly referenceC: number; readonly displayedC: number }[];
  readonly setByC: number;
  readonly sensor: SensorPlace;
}

const compute = ({ readings, setByC }: TemperatureInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured('No complete reading yet: the thermometer and the display together, both settled.');
  const result = calculate(temperatureOffset, {
    readings: readings.map(({ referenceC, displayedC }) => ({ referenceC, displayedC })),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The readings do not go together.');
  const { answer } = result;
  const { offsetC, halfInterval95C } = answer;
  return {
    ...ofOneValue,
    measured: degrees(offsetC),
    half: halfInterval95C === null ? null : degrees(halfInterval95C),
    sharedHalf: answer.sharedHalf95,
    enter: [degrees(setByC + offsetC)],
    sign: [
      'The sensor reads ',
      degrees(Math.abs(offsetC)),
      ` too ${offsetC > 0 ? 'low' : 'high'}. Once this is entered the display shows that much ${offsetC > 0 ? 'more' : 'less'} than now.`,
    ],
    residuals: readings.map(({ id }, i) => ({ id, left: degrees((answer.differencesC[i] ?? 0) - offsetC) })),
    apart: standApart(readings, answer.differencesC, answer.displayResolutionC),
    readings: readings.length,
    flags: answer.flags,
    working: answer.working,
  };
};

/** Each temperature sensor's offset, as it is measured and entered. */
export const temperatureCalibration = defineCalibration({
  kind: 'temperature',
  word: 'Water temperature',
  of: feeding('water temperature'),
  heldByDevice: true,
  enters: [['temperatureDifference']],
  slice: (plan: Plan, id): TemperatureInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, setByC } = calibrationOf(plan, 'temperature', id);
    return sensor ? { readings: wholeReadings<'temperature'>(readings), setByC, sensor } : null;
  },
  version: temperatureOffset.version,
  compute,
  words: { readings: 'the readings', setByC: 'the offset set while reading', sensor: 'the sensor or its place' },
});
