import type { Battery, Plan, Sentence } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { inOrder } from '../plan/working-water.ts';
import { hoursUntilOut } from '../power/hours-until-out.ts';
import { batteryPack } from './battery-pack.ts';
import { askedFor } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import {
  calibrationOf,
  fraction,
  type Measured,
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

/** Whether a battery's capacity as measured is another than the plan has: within its interval there is nothing to replace. */
export const capacityDiffers = (plan: Plan, id: string, { inPlaceOf, half }: Measured): boolean => {
  const held = plan.power.batteries[id]?.capacityLeft;
  const measured = inPlaceOf?.battery?.capacityLeft;
  return held !== undefined && measured !== undefined && half !== null && Math.abs(held - measured) > half.value;
};

/** What follows from a result besides: whether the plan's capacity stays, and how long the day lasts on it. */
const follows = (plan: Plan, id: string, it: Measured): readonly Sentence[] => {
  const battery = plan.power.batteries[id];
  const out = battery && hoursUntilOut(plan, id, { ...battery, ...it.inPlaceOf?.battery });
  return [
    ...(battery && !capacityDiffers(plan, id, it)
      ? [
          [
            'The plan has ',
            { value: battery.capacityLeft, quantity: 'fraction' as const },
            ', which is within that: its capacity stays, the inner resistance is taken.',
          ],
        ]
      : []),
    ...(it.also ?? []),
    ...(out
      ? [
          [
            out.deviceFirst ? 'The first device goes out after ' : 'Empty after ',
            { value: out.hours, quantity: 'hours' as const },
            ' at ',
            { value: out.currentA, quantity: 'current' as const },
            ', the heaviest of your ways of working.',
          ],
        ]
      : []),
  ];
};

/** What each battery still holds, as its own voltage tells. */
export const batteryCalibration = defineCalibration({
  kind: 'battery',
  word: 'Battery',
  of: (plan) => inOrder(plan.power.batteries).map(([id, battery]) => askedFor(id, battery)),
  heldByDevice: false,
  enters: [
    ['fraction', ' of its capacity'],
    ['resistance', ' inside'],
  ],
  follows,
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
  words: {
    readings: 'the readings',
    pack: 'the battery',
  },
});
