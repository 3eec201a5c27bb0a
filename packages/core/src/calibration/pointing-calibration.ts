import type { Plan } from '@grey-keel/model';
import { wrapped } from './bearings.ts';
import { looksAround, sonars } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { angleSteps } from './display-step.ts';
import { pairedMeasurement, type Waves, wavesOf } from './paired-measurement.ts';
import { pairedOffset } from './paired-offset.ts';
import {
  angle,
  calibrationOf,
  length,
  type Measurement,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything the pointing of a unit that looks ahead depends on. */
export interface PointingInputs {
  readonly readings: readonly { readonly id: string; readonly knownDeg: number; readonly shownDeg: number }[];
  readonly setDeg: number;
  readonly sensor: SensorPlace;
  /** Over how long they were read, and the waves then; left out where that was not said. */
  readonly waves?: Waves;
}

const exampleM = 20;

/** So far off the bow a target is on one side for certain; so near to the other side's bearing it is mirrored. */
const asideDeg = 8;
const mirroredWithinDeg = 5;

const compute = ({ readings, setDeg, waves }: PointingInputs): Measurement => {
  const mirrored = readings.filter(
    ({ knownDeg, shownDeg }) =>
      Math.abs(knownDeg) > asideDeg && Math.abs(wrapped(knownDeg + shownDeg)) < mirroredWithinDeg,
  ).length;
  return pairedMeasurement({
    unit: 'deg',
    readings,
    pairOf: ({ knownDeg, shownDeg }) => ({ known: knownDeg, shown: shownDeg }),
    steps: angleSteps,
    ...waves,
    wanting: 'No reading yet: where a target lies off the bow, and where the picture has it.',
    says: (offsetDeg) => ({
      enter: wrapped(setDeg + offsetDeg),
      sign: [
        'What it draws straight ahead lies ',
        angle(Math.abs(offsetDeg)),
        ` to ${offsetDeg > 0 ? 'starboard' : 'port'} of it: turn the unit that far to ${offsetDeg > 0 ? 'port' : 'starboard'}, or enter this. At `,
        length(exampleM),
        ' that is ',
        length(exampleM * Math.tan((Math.min(80, Math.abs(offsetDeg)) * Math.PI) / 180)),
        ' beside the mark.',
      ],
      flags:
        mirrored > 1 ? ['The picture looks mirrored: targets come up on the other side. Look at the sides first.'] : [],
    }),
  });
};

/** How far each unit that looks ahead points beside the bow. */
export const pointingCalibration = defineCalibration({
  kind: 'pointing',
  word: 'Pointing',
  of: sonars(looksAround),
  heldByDevice: true,
  enters: [['angle']],
  slice: (plan: Plan, id): PointingInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, setDeg, ...settings } = calibrationOf(plan, 'pointing', id);
    return sensor ? { readings: wholeReadings<'pointing'>(readings), setDeg, sensor, ...wavesOf(settings) } : null;
  },
  version: pairedOffset.version,
  compute,
  words: {
    readings: 'the readings',
    setDeg: 'the angle set while reading',
    sensor: 'the transducer or its place',
    waves: 'over how long it was read, or the waves then',
  },
});
