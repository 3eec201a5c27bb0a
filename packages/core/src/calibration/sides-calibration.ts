import type { Plan } from '@grey-keel/model';
import { looksAside, sonars } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import {
  calibrationOf,
  fraction,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';

type Side = 'port' | 'starboard';

/** Everything that says whether a picture has its sides the right way round. */
export interface SidesInputs {
  readonly readings: readonly { readonly id: string; readonly known: Side; readonly shown: Side }[];
  readonly sensor: SensorPlace;
}

const compute = ({ readings }: SidesInputs): Measurement => {
  if (readings.length === 0)
    return notMeasured('Nothing yet: pass a bank or a pier on a known side, and say on which side the picture has it.');
  const right = readings.filter(({ known, shown }) => known === shown).length;
  const mixed = right > 0 && right < readings.length;
  const swapped = !mixed && right === 0;
  const both = new Set(readings.map(({ known }) => known)).size === 2;
  return {
    known: true,
    measured: fraction(right / readings.length),
    half: null,
    // 1 is right, -1 is swapped; 0 where the readings say both.
    enter: [fraction(mixed ? 0 : swapped ? -1 : 1)],
    says: {
      words: mixed ? 'the readings say both' : swapped ? 'swapped' : 'the right way round',
      sure: !mixed && both,
    },
    sign: mixed
      ? ['One of them was read wrong: pass it again, slowly, and look which half of the picture it comes up in.']
      : swapped
        ? ['What lies to port is drawn to starboard. Swap the sides in the display, or the two cables, never both.']
        : ['What lies to port is drawn to port.'],
    residuals: [],
    apart: [],
    current: null,
    naive: ['Runs there and back cannot show a swap: only something on a known side can.'],
    readings: readings.length,
    fitted: 0,
    equations: 1,
    together: 1,
    flags: both || mixed ? [] : ['Seen on one side alone: pass it on the other side, too.'],
    working: [],
  };
};

/** Whether each picture that looks aside has port on its left. */
export const sidesCalibration = defineCalibration({
  kind: 'sides',
  word: 'Port and starboard',
  of: sonars(looksAside),
  heldByDevice: false,
  enters: [],
  inWords: ([first = 0]) => [first > 0 ? 'The right way round' : 'Swapped'],
  wasEntered: 'they were looked at',
  slice: (plan: Plan, id): SidesInputs | null => {
    const sensor = sensorOf(plan, id);
    return sensor ? { readings: wholeReadings<'sides'>(calibrationOf(plan, 'sides', id).readings), sensor } : null;
  },
  version: 1,
  compute,
  words: { readings: 'what was seen', sensor: 'the transducer or its place' },
});
