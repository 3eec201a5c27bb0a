import type { Battery, Plan, Sentence } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { defineResult } from '../plan/define-result.ts';
import { batteryPack } from './battery-pack.ts';
import { calibratedSensors } from './calibrated-sensors.ts';
import {
  calibrationOf,
  fraction,
  type Measurement,
  notMeasured,
  ofOneValue,
  standApart,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything that a battery's capacity and resistance, as measured, depend on. */
export interface BatteryInputs {
  readonly readings: readonly {
    readonly id: string;
    readonly trip: number;
    readonly usedAh: number;
    readonly currentA: number;
    readonly voltsV: number;
  }[];
  readonly pack: Pick<Battery, 'chemistry' | 'nominalV' | 'capacityAh'> & {
    readonly curve: Battery['curve'] | null;
    /** Left out where nobody counted. */
    readonly cells?: number;
  };
}

const compute = ({ readings, pack }: BatteryInputs): Measurement => {
  if (readings.length < 4)
    return notMeasured(
      `Four readings at least, ${readings.length} there: at rest and under load, nearly full and well used.`,
    );
  const { curve, ...given } = pack;
  const result = calculate(batteryPack, {
    readings: readings.map(({ id: _id, ...reading }) => reading),
    ...given,
    ...(curve ? { curve } : {}),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The readings do not go together.');
  const { answer } = result;
  const { capacityLeft, capacityHalfInterval95, internalOhm, residualsV, fadePerTrip, fadeHalfInterval95 } = answer;
  const also: Sentence[] = [
    ['Inner resistance ', { value: internalOhm, quantity: 'resistance' }, '.'],
    ...(fadePerTrip === null
      ? []
      : [
          [
            'It loses ',
            fraction(fadePerTrip),
            ...(fadeHalfInterval95 === null ? [] : [' ± ', fraction(fadeHalfInterval95)]),
            ' of its new capacity from trip to trip.',
          ],
        ]),
  ];
  return {
    ...ofOneValue,
    measured: fraction(capacityLeft),
    half: capacityHalfInterval95 === null ? null : fraction(capacityHalfInterval95),
    enter: [fraction(capacityLeft), { value: internalOhm, quantity: 'resistance' }],
    enterWords: ['capacity left', 'inner resistance'],
    sign: [
      'It holds ',
      { value: capacityLeft * pack.capacityAh, quantity: 'charge' },
      ' of ',
      { value: pack.capacityAh, quantity: 'charge' },
      '. Entered, it replaces what the day of the brief was worked out with.',
    ],
    inPlaceOf: {
      battery: {
        // Within what the plan takes: a pack that holds more than it says is a full one.
        capacityLeft: Math.min(1, Math.max(0.1, capacityLeft)),
        internalOhm: Math.min(0.5, Math.max(0, internalOhm)),
      },
    },
    residuals: readings.map(({ id }, i) => ({ id, left: { value: residualsV[i] ?? 0, quantity: 'voltage' } })),
    apart: standApart(readings, residualsV, 0.02),
    also,
    readings: readings.length,
    fitted: fadePerTrip === null ? 3 : 4,
    flags: answer.flags,
    working: answer.working,
  };
};

/** What each battery still holds, as its own voltage tells. */
export const measuredBattery = defineResult({
  keys: (plan) => calibratedSensors(plan, 'battery').map(({ id }) => id),
  slice: (plan: Plan, id): BatteryInputs | null => {
    const battery = plan.power.batteries[id];
    if (!battery) return null;
    const { chemistry, nominalV, capacityAh, curve, cells } = battery;
    return {
      readings: wholeReadings<'battery'>(calibrationOf(plan, 'battery', id).readings),
      pack: { chemistry, nominalV, capacityAh, curve: curve ?? null, ...(cells == null ? {} : { cells }) },
    };
  },
  version: batteryPack.version,
  compute,
  noted: (plan, id) => plan.calibrations.battery[id]?.entered ?? null,
  words: {
    readings: 'the readings',
    pack: 'the battery',
  },
});
