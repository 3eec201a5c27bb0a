import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { eastNorth } from './bearings.ts';
import { metresFrom } from './local-metres.ts';
import { angleSteps, roundingSd, stepOf } from './display-step.ts';
import { leastSquares } from './least-squares.ts';
import { suretyOf, suretySteps } from './surety.ts';

/** A mark is typed in degrees, or in minutes of which some decimals are shown. */
const placeStepsDeg = [0.01 / 60, 0.0001, 0.001 / 60, 0.000_01, 0.0001 / 60, 0.000_001, 0.000_000_1] as const;
const metresInDegree = 60 * 1852;

/** Headings that spread less than so do not tell the boat's vector from the buoy's own place: about 40° between two. */
const leastSpread = 0.12;

/**
 * Where the face lies seen from the antenna, from the marks that were set when a buoy was straight under or over the face
 * on several headings.
 *
 * marks: true heading in degrees, latitude and longitude of each mark in degrees, within a few hundred metres of each other.
 * A mark stands where the antenna was: mark = buoy - (heading) x vector, so that buoy and vector are solved together by
 * least squares. Two marks give the vector without an interval; headings 45° apart at least. The length of the vector is
 * how far each mark lies off.
 * Sources: plane geometry; least squares (Draper and Smith 1998, ch. 5); Student 1908.
 */
export const antennaVector = defineCalculation({
  name: 'antenna-vector',
  purpose: 'From the antenna to the face, by a buoy passed on several headings',
  version: 2,
  input: z.strictObject({
    marks: z
      .array(
        z.strictObject({
          headingDeg: z.number().min(0).max(360),
          latitudeDeg: z.number().min(-80).max(80),
          longitudeDeg: z.number().min(-180).max(180),
        }),
      )
      .min(2)
      .max(100),
  }),
  output: z.strictObject({
    forwardM: z.number(),
    starboardM: z.number(),
    lengthM: z.number(),
    /** Of the less sure of the two; null where two marks leave nothing over. */
    halfInterval95M: z.number().nullable(),
    /** Of each mark: how far it lies from where buoy and vector put it. */
    residualsM: z.array(z.number()),
  }),
  run: ({ marks }) => {
    const [first] = marks;
    if (!first) throw new OutOfRange('marks', 'There is no mark.', '2 or more');
    const placed = marks.map((mark) => ({
      ...metresFrom(first, mark),
      ahead: eastNorth(mark.headingDeg, 1),
      right: eastNorth(mark.headingDeg + 90, 1),
    }));
    const far = placed.findIndex(({ east, north }) => Math.hypot(east, north) > 500);
    if (far >= 0)
      throw new OutOfRange(
        `marks[${far}].latitudeDeg`,
        `Mark ${far + 1} lies more than 500 m from the first: that is another buoy, or a figure that was typed wrong.`,
        'within 500 m of the first mark',
      );
    const n = marks.length;
    const middle = placed.reduce(
      (sum, { ahead }) => ({ east: sum.east + ahead.east, north: sum.north + ahead.north }),
      {
        east: 0,
        north: 0,
      },
    );
    if (1 - (middle.east ** 2 + middle.north ** 2) / n ** 2 < leastSpread)
      throw new OutOfRange(
        'marks',
        'The marks were set on nearly one heading: pass the buoy the other way, too.',
        'headings at least 45° apart',
      );
    const rows = placed.flatMap(({ ahead, right }) => [
      [1, 0, -ahead.east, -right.east],
      [0, 1, -ahead.north, -right.north],
    ]);
    const fit = leastSquares(
      rows,
      placed.flatMap(({ east, north }) => [east, north]),
    );
    if (!fit) throw new OutOfRange('marks', 'The marks do not tell buoy and boat apart. Add a pass.', '3 or more');
    const [buoyEastM = 0, buoyNorthM = 0, forwardM = 0, starboardM = 0] = fit.values;
    const lengthM = Math.hypot(forwardM, starboardM);
    const gain = Math.max(fit.gains[2] ?? 0, fit.gains[3] ?? 0);
    const placeStepM =
      metresInDegree *
      stepOf(
        marks.flatMap(({ latitudeDeg, longitudeDeg }) => [latitudeDeg, longitudeDeg]),
        placeStepsDeg,
      );
    const headingSd =
      (roundingSd(
        stepOf(
          marks.map(({ headingDeg }) => headingDeg),
          angleSteps,
        ),
      ) *
        Math.PI) /
      180;
    const parts = {
      scatter:
        fit.degreesOfFreedom > 0
          ? gain * Math.sqrt(fit.residuals.reduce((sum, r) => sum + r * r, 0) / fit.degreesOfFreedom)
          : 0,
      degreesOfFreedom: fit.degreesOfFreedom,
      // A heading that is off turns the vector by as much.
      floor: gain * Math.hypot(roundingSd(placeStepM), lengthM * headingSd),
    };
    const halfInterval95M = suretyOf(parts).halfInterval95;
    const along = {
      forward: given('f', forwardM, 'm', 'forward'),
      starboard: given('s', starboardM, 'm', 'starboard'),
    };
    const solved = (says: string, symbol: string, value: number): WorkingStep => ({
      says,
      symbol,
      value,
      unit: 'm',
      expression: null,
      method: 'least squares of all marks: mark = buoy - heading x vector, east and north',
      inputs: [
        ...placed.flatMap(({ east, north }, i) => [
          given(`e${i + 1}`, east, 'm', `mark ${i + 1} east of the first`),
          given(`n${i + 1}`, north, 'm', `mark ${i + 1} north of the first`),
          given(`h${i + 1}`, marks[i]?.headingDeg ?? 0, '°', `heading at mark ${i + 1}`),
        ]),
        given('E', buoyEastM, 'm', 'buoy, east of the first mark'),
        given('N', buoyNorthM, 'm', 'buoy, north of the first mark'),
      ],
      source: 'Draper and Smith 1998, ch. 5',
    });
    const working: WorkingStep[] = [
      solved('The face lies forward of the antenna by', 'f', forwardM),
      solved('and to starboard of it by', 's', starboardM),
      calculated(
        {
          says: 'How far each mark lies off while nothing is set',
          symbol: 'L',
          value: lengthM,
          unit: 'm',
          expression: 'sqrt(f ^ 2 + s ^ 2)',
          source: 'plane geometry',
        },
        along.forward,
        along.starboard,
      ),
    ];
    working.push(...suretySteps(parts, 'the less sure of the two', 'm'));
    return {
      forwardM,
      starboardM,
      lengthM,
      halfInterval95M,
      residualsM: placed.map((_, i) => Math.hypot(fit.residuals[2 * i] ?? 0, fit.residuals[2 * i + 1] ?? 0)),
      flags: n < 3 ? ['Two passes leave nothing over: a mark that was set too late cannot be told.'] : [],
      working,
    };
  },
});
