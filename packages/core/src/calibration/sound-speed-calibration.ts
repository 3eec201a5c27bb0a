import type { Plan } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { stations } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import {
  calibrationOf,
  fraction,
  type Measurement,
  notMeasured,
  soundSpeedOf,
  wholeReadings,
} from './sensor-calibration.ts';
import { waterSound } from './water-sound.ts';

/** Everything the speed of sound at a station depends on. */
export interface SoundSpeedInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly depthM: number;
    readonly temperatureC: number;
    readonly salinityPpt: number;
  }[];
  readonly setMps: number;
  readonly thermometerByC: number;
  readonly saltByPpt: number;
}

const compute = ({ readings, setMps, thermometerByC, saltByPpt }: SoundSpeedInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured('No complete sample yet: depth, thermometer and salt; fresh water has 0.');
  const result = calculate(waterSound, {
    samples: readings.map(({ depthM, temperatureC, salinityPpt }) => ({ depthM, temperatureC, salinityPpt })),
    setMps,
    thermometerByC,
    saltByPpt,
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The samples do not go together.');
  const { answer } = result;
  const { soundSpeedMps, displayDepthError } = answer;
  const depth = { value: 20, quantity: 'depth' as const };
  return {
    known: true,
    measured: soundSpeedOf(soundSpeedMps),
    half: soundSpeedOf(answer.halfInterval95Mps),
    enter: [soundSpeedOf(soundSpeedMps)],
    sign: [
      'Set to ',
      soundSpeedOf(setMps),
      ' it shows ',
      { value: 20 * (1 + displayDepthError), quantity: 'depth' },
      ' where there are ',
      depth,
      ' under the face, and ',
      depth,
      ' once this is entered.',
    ],
    residuals: [],
    apart: [],
    current: null,
    naive: ['What is set costs ', fraction(Math.abs(displayDepthError)), ' of every depth.'],
    also:
      displayDepthError > 0.002
        ? [['It shows more water than there is: the shoal side of the error is the dangerous one.']]
        : [],
    readings: readings.length,
    fitted: 0,
    equations: 1,
    together: 1,
    flags: answer.flags,
    working: answer.working,
  };
};

/** The speed of sound of the water, as each station's display should have it. */
export const soundSpeedCalibration = defineCalibration({
  kind: 'sound speed',
  word: 'Speed of sound',
  of: stations,
  heldByDevice: true,
  enters: [['soundSpeed']],
  slice: (plan: Plan, id): SoundSpeedInputs | null => {
    if (!plan.displays[id]) return null;
    const { readings, setMps, thermometerByC, saltByPpt } = calibrationOf(plan, 'sound speed', id);
    return { readings: wholeReadings<'sound speed'>(readings), setMps, thermometerByC, saltByPpt };
  },
  version: waterSound.version,
  compute,
  words: {
    readings: 'the samples',
    setMps: 'the figure set in the display',
    thermometerByC: 'what the thermometer may be off by',
    saltByPpt: 'what the salt may be off by',
  },
});
