import { chemistries, lithiumCurves, type WorkingStep } from '@grey-keel/model';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { cellKindOf, cellsOf, restVoltageV } from '../power/battery-curve.ts';
import { roundingSd, stepOf } from './display-step.ts';
import { leastSquares } from './least-squares.ts';
import { normal95, suretyOf } from './surety.ts';

/** Rounds at the most; a curve of straight pieces needs few. */
const mostRounds = 200;
/** Less than so of its capacity no pack starts a day with. */
const leastLeft = 0.05;
/** A capacity that is not known to half of itself is none. */
const leastSure = 0.5;

/** How far one cell's own curve lies off the round figures of its kind, V, one standard deviation. */
const curveSdV = { 'lead-acid': 0.1 / 6, flat: 0.05 / 4, sloping: 0.05 / 3 } as const;
/** A curve may lie off at empty, in the middle and at full, each by itself and level between them. */
const curveAt = [0, 0.5, 1] as const;
const hat = (left: number, knot: number): number => Math.max(0, 1 - Math.abs(left - knot) / 0.5);

/** Down to this share iron phosphate rests at one voltage: nothing is told above it. */
const plateauFrom = 0.3;
const voltSteps = [0.1, 0.05, 0.01, 0.001] as const;

/**
 * What a battery still holds, its inner resistance, and what it loses from trip to trip, from its voltage at several
 * charges and currents.
 *
 * readings: charge taken since it was full (Ah), current then (A), voltage at its posts, and the trip they were read on,
 * counted from 1. Volts = rest voltage of its kind at what is left + a constant of this pack and meter - resistance x
 * current, by least squares; with two trips or more the capacity may fall by a share of the first from trip to trip. Four
 * readings at least, from nearly full to well used, at rest and under load. A voltage that hardly falls (iron phosphate
 * between its ends) carries no capacity: refused. The interval holds what the curve of its kind may be off by: one standard
 * deviation 0.1 V for a block of 12 V of lead-acid, 0.05 V for four cells of iron phosphate or three others.
 * Sources: method of Levenberg and Marquardt (Marquardt 1963, by ml-levenberg-marquardt); rest voltages in round figures
 * by kind of cell.
 */
export const batteryPack = defineCalculation({
  name: 'battery-pack',
  purpose: 'Capacity left, inner resistance and fade of a battery, from its voltage through a day or several',
  version: 2,
  input: z.strictObject({
    readings: z
      .array(
        z.strictObject({
          usedAh: z.number().min(0).max(2000),
          currentA: z.number().min(0).max(2000),
          voltsV: z.number().min(3).max(70),
          trip: z.number().int().min(1).max(1000),
        }),
      )
      .min(4)
      .max(200),
    chemistry: z.enum(chemistries),
    curve: z.enum(lithiumCurves).default('flat'),
    nominalV: z.number().min(6).max(60),
    /** In a row, where somebody counted them. */
    cells: z.number().int().min(1).max(30).optional(),
    capacityAh: z.number().min(1).max(2000),
  }),
  output: z.strictObject({
    /** Of its capacity when new: on the last trip that was read. */
    capacityLeft: z.number(),
    capacityHalfInterval95: z.number().nullable(),
    internalOhm: z.number(),
    internalHalfInterval95Ohm: z.number().nullable(),
    /** Share of the new capacity lost from trip to trip; null with one trip. */
    fadePerTrip: z.number().nullable(),
    fadeHalfInterval95: z.number().nullable(),
    /** What the pack and its meter show over the round figures of its kind. */
    aboveCurveV: z.number(),
    residualsV: z.array(z.number()),
  }),
  run: ({ readings, chemistry, curve, nominalV, cells, capacityAh }) => {
    const pack = { chemistry, curve, nominalV, cells };
    const lastTrip = Math.max(...readings.map(({ trip }) => trip));
    const fades = readings.some(({ trip }) => trip !== lastTrip) && readings.length >= 6;
    type Reading = (typeof readings)[number];
    // Share left, resistance, what stands over the curve, and loss from trip to trip.
    const modelV = ([left = 1, ohm = 0, aboveV = 0, fade = 0]: readonly number[], it: Reading | undefined): number => {
      if (!it) return Number.NaN;
      const holdsAh = capacityAh * Math.max(leastLeft / 2, left + fade * (lastTrip - it.trip));
      return restVoltageV(pack, 1 - it.usedAh / holdsAh) + aboveV - ohm * it.currentA;
    };
    const missesV = (values: readonly number[]): number[] => readings.map((it) => it.voltsV - modelV(values, it));
    const squares = (values: readonly number[]): number => missesV(values).reduce((sum, miss) => sum + miss ** 2, 0);
    const slopes = (values: readonly number[]): number[][] =>
      readings.map((it) =>
        values.map((value, k) => {
          const by = 1e-4 * Math.max(0.01, Math.abs(value));
          const moved = (sign: number): number =>
            modelV(
              values.map((one, i) => (i === k ? one + sign * by : one)),
              it,
            );
          return (moved(1) - moved(-1)) / (2 * by);
        }),
      );
    const untold = (): never => {
      throw new OutOfRange(
        'readings',
        'The readings do not tell capacity, resistance and pack apart: read at rest and under load, nearly full and well used.',
        'voltages that fall as charge is taken',
      );
    };
    // Piece by piece the curve is straight: the best of a few starts is where the search begins.
    const starts = [0.3, 0.5, 0.7, 0.9, 1.1].map((left) => (fades ? [left, 0.01, 0, 0] : [left, 0.01, 0]));
    const { parameterValues: values } = levenbergMarquardt(
      { x: readings.map((_, i) => i), y: readings.map(({ voltsV }) => voltsV) },
      (tried) => (i) => modelV(tried, readings[i]),
      {
        initialValues: starts.reduce((best, one) => (squares(one) < squares(best) ? one : best)),
        minValues: [leastLeft, -1, -2, -1].slice(0, fades ? 4 : 3),
        maxIterations: mostRounds,
        damping: 1e-3,
        gradientDifference: 1e-6,
        centralDifference: true,
        errorTolerance: 0,
      },
    );
    const residualsV = missesV(values);
    const fit = leastSquares(slopes(values), residualsV) ?? untold();
    const restAt = readings.map((it) => {
      const [left = 1, , , fading = 0] = values;
      return Math.min(
        1,
        Math.max(0, 1 - it.usedAh / (capacityAh * Math.max(leastLeft / 2, left + fading * (lastTrip - it.trip)))),
      );
    });
    const offCurveV = curveSdV[cellKindOf(pack)] * cellsOf(pack);
    // What each knot of the curve makes of the values when it lies off by its standard deviation.
    const byCurve = curveAt.map(
      (knot) =>
        leastSquares(
          slopes(values),
          restAt.map((left) => offCurveV * hat(left, knot)),
        )?.values ?? [],
    );
    const stepV = stepOf(
      readings.map(({ voltsV }) => voltsV),
      voltSteps,
    );
    const halfOf = (k: number): number | null =>
      fit.standardErrors === null
        ? null
        : suretyOf({
            scatter: fit.standardErrors[k] ?? 0,
            degreesOfFreedom: fit.degreesOfFreedom,
            floor: roundingSd(stepV) * (fit.gains[k] ?? 0),
            shared: byCurve.map((moved) => normal95 * Math.abs(moved[k] ?? 0)),
          }).halfInterval95;
    // What it fell by, at rest, has to be more than the plateau and what a curve lies off by can make up.
    const restingV = readings.map(({ voltsV, currentA }) => voltsV + (values[1] ?? 0) * currentA);
    const fellV = Math.max(...restingV) - Math.min(...restingV);
    const plateauV = restVoltageV(pack, Math.max(...restAt)) - restVoltageV(pack, plateauFrom);
    if (cellKindOf(pack) === 'flat' && fellV < plateauV + 3 * Math.SQRT2 * offCurveV)
      throw new OutOfRange(
        'readings',
        'Iron phosphate rests at one voltage between 80 and 30 % of its charge: these readings tell nothing of what it holds. Discharge it at a known current until it is nearly empty, and count.',
        'readings with less than 30 % left',
      );
    const [capacityLeft = 1, internalOhm = 0, aboveCurveV = 0, fade = 0] = values;
    const capacityHalfInterval95 = halfOf(0);
    if (capacityHalfInterval95 === null || capacityHalfInterval95 > leastSure * capacityLeft)
      throw new OutOfRange(
        'readings',
        'Its voltage says too little of what it holds: read more, from nearly full to well used. Iron phosphate hardly falls in between; read it near its end.',
        'voltages that fall as charge is taken',
      );
    const inputs = readings.flatMap(({ usedAh, currentA, voltsV }, i) => [
      given(`q${i + 1}`, usedAh, 'Ah', `taken at reading ${i + 1}`),
      given(`I${i + 1}`, currentA, 'A', `current at reading ${i + 1}`),
      given(`V${i + 1}`, voltsV, 'V', `voltage at reading ${i + 1}`),
    ]);
    const solved = (says: string, symbol: string, value: number, unit: string): WorkingStep => ({
      says,
      symbol,
      value,
      unit,
      expression: null,
      method: 'least squares of all readings: volts = rest voltage of its kind + constant - resistance x current',
      inputs,
      source: 'Marquardt 1963; rest voltages in round figures by kind of cell',
    });
    return {
      capacityLeft,
      capacityHalfInterval95,
      internalOhm,
      internalHalfInterval95Ohm: halfOf(1),
      fadePerTrip: fades ? fade : null,
      fadeHalfInterval95: fades ? halfOf(3) : null,
      aboveCurveV,
      residualsV,
      flags:
        internalOhm < 0
          ? ['The voltage rises under load here: a reading is wrong, or the current was read at another moment.']
          : [],
      working: [
        solved('Share of its capacity it still holds', 'left', capacityLeft, ''),
        solved('Inner resistance', 'R', internalOhm, 'Ω'),
        {
          ...solved('Half of the 95 % interval of the share', 'half', capacityHalfInterval95, ''),
          method:
            'what is left over by Student’s t, with what the curve of its kind may be off by at empty, half and full',
        },
        ...(fades ? [solved('Lost from trip to trip', 'fade', fade, '')] : []),
      ],
    };
  },
});
