import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { eastNorth } from './bearings.ts';
import { metresFrom } from './local-metres.ts';
import { leastSquares } from './least-squares.ts';

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
  version: 1,
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
    const [, , forwardError = 0, starboardError = 0] = fit.standardErrors ?? [];
    const worst = Math.max(forwardError, starboardError);
    const student = fit.degreesOfFreedom > 0 ? tQuantile(0.975, fit.degreesOfFreedom) : null;
    const halfInterval95M = student === null ? null : student * worst;
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
    if (halfInterval95M !== null && student !== null)
      working.push(
        calculated(
          {
            says: 'Half of the 95 % interval, of the less sure of the two',
            symbol: 'half',
            value: halfInterval95M,
            unit: 'm',
            expression: 't * SE',
            source: 'Student 1908',
          },
          given('t', student, '', `97.5 % quantile of Student's t, ${fit.degreesOfFreedom} degrees of freedom`),
          given('SE', worst, 'm', 'standard error, from what is left over'),
        ),
      );
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
