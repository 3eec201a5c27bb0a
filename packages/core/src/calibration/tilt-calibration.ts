import type { Plan, Sentence } from '@grey-keel/model';
import { looksAround, sonars } from './calibrated-sensors.ts';
import { isLetDown } from './depth-offset-subject.ts';
import { defineCalibration } from './define-calibration.ts';
import { angleSteps } from './display-step.ts';
import { pairedMeasurement, type Waves, wavesOf } from './paired-measurement.ts';
import { pairedOffset } from './paired-offset.ts';
import {
  angle,
  calibrationOf,
  type Measurement,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything the tilt of a unit on a pole or a shaft depends on. */
export interface TiltInputs {
  readonly readings: readonly { readonly id: string; readonly tiltDeg: number }[];
  readonly changesAtDeg: number | null;
  readonly sensor: SensorPlace;
  /** Over how long they were read, and the waves then; left out where that was not said. */
  readonly waves?: Waves;
}

const margin = (tiltDeg: number, halfDeg: number | null, changesAtDeg: number | null): Sentence => {
  if (changesAtDeg === null)
    return [
      'Look up in the maker’s instructions at which tilt the view changes by itself: the margin is told from it.',
    ];
  const leftDeg = Math.abs(changesAtDeg - tiltDeg);
  const sure = halfDeg !== null && halfDeg < leftDeg;
  return [
    'The view changes by itself after ',
    angle(leftDeg),
    ` more of ${changesAtDeg > tiltDeg ? 'bow up' : 'bow down'}`,
    sure ? '.' : ', which is within what the tilt is sure to: it may change at any moment.',
  ];
};

const compute = ({ readings, changesAtDeg, waves }: TiltInputs): Measurement =>
  pairedMeasurement({
    unit: 'deg',
    readings,
    pairOf: ({ tiltDeg }) => ({ known: tiltDeg, shown: 0 }),
    steps: angleSteps,
    exact: 'shown',
    ...waves,
    wanting: 'No reading yet: hold a plumb line or a level to the pole, at rest, as it is used.',
    says: (tiltDeg, halfDeg) => ({
      enter: tiltDeg,
      sign: ['It hangs ', angle(Math.abs(tiltDeg)), ` bow ${tiltDeg > 0 ? 'up' : 'down'} from the plumb.`],
      also: [margin(tiltDeg, halfDeg, changesAtDeg)],
    }),
  });

/** How far each unit that is let down hangs from the plumb, and what is left until its view changes by itself. */
export const tiltCalibration = defineCalibration({
  kind: 'tilt',
  word: 'Tilt',
  of: sonars(looksAround, isLetDown),
  heldByDevice: false,
  enters: [['angle']],
  slice: (plan: Plan, id): TiltInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, changesAtDeg, ...settings } = calibrationOf(plan, 'tilt', id);
    return sensor ? { readings: wholeReadings<'tilt'>(readings), changesAtDeg, sensor, ...wavesOf(settings) } : null;
  },
  version: pairedOffset.version,
  compute,
  words: {
    readings: 'the readings',
    changesAtDeg: 'where the view changes',
    sensor: 'the transducer or its place',
    waves: 'over how long it was read, or the waves then',
  },
});
