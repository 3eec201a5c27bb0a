import type { Plan } from '@grey-keel/model';
import { depthGivers } from '../sources/depth-givers.ts';
import { askedFor } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { leadSteps } from './display-step.ts';
import { pairedMeasurement } from './paired-measurement.ts';
import { pairedOffset } from './paired-offset.ts';
import {
  calibrationOf,
  length,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything the step between two units depends on. */
export interface StepInputs {
  readonly readings: readonly { readonly id: string; readonly thisM: number; readonly otherM: number }[];
  readonly setM: number;
  readonly sensor: SensorPlace;
  readonly other: SensorPlace | null;
}

/** The unit another is held against: the one that was chosen, else the first of the boat that is not itself. */
export const heldAgainst = (plan: Plan, transducerId: string): string | null => {
  const { otherId } = calibrationOf(plan, 'step', transducerId);
  if (otherId !== null && otherId !== transducerId && plan.transducers[otherId]) return otherId;
  return depthGivers(plan).find(({ id }) => id !== transducerId)?.id ?? null;
};

const compute = ({ readings, setM, other }: StepInputs): Measurement => {
  if (other === null) return notMeasured('There is no other unit aboard to hold it against.');
  return pairedMeasurement({
    unit: 'm',
    readings,
    pairOf: ({ thisM, otherM }) => ({ known: otherM, shown: thisM }),
    steps: leadSteps,
    wanting: 'No pair yet: one flat bottom, read on both units at one moment, at rest.',
    says: (offsetM) => ({
      enter: setM + offsetM,
      sign: [
        'It draws the bottom ',
        length(Math.abs(offsetM)),
        ` ${offsetM > 0 ? 'shallower' : 'deeper'} than ${other.name}. Once this is entered it shows that much ${offsetM > 0 ? 'more' : 'less'}, and both show one depth.`,
      ],
      also: [[`It makes them agree; whether they are right is measured by a lead line under ${other.name}.`]],
    }),
  });
};

/** By how much each further unit draws the bottom at another depth than the one it is held against. */
export const stepCalibration = defineCalibration({
  kind: 'step',
  word: 'Step between two units',
  of: (plan) =>
    // Against the first of them, unless another is chosen.
    depthGivers(plan)
      .slice(1)
      .map((one) => askedFor(one.id, one)),
  heldByDevice: true,
  enters: [['length']],
  slice: (plan: Plan, id): StepInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, setM } = calibrationOf(plan, 'step', id);
    const otherId = heldAgainst(plan, id);
    const other = otherId === null ? undefined : sensorOf(plan, otherId);
    return sensor ? { readings: wholeReadings<'step'>(readings), setM, sensor, other: other ?? null } : null;
  },
  version: pairedOffset.version,
  compute,
  words: {
    readings: 'the pairs',
    setM: 'the offset set while reading',
    sensor: 'the transducer or its place',
    other: 'the other unit or its place',
  },
});
