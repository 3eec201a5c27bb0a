import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { angleSteps, stepOf } from './display-step.ts';
import { turnOf } from './pair-currents.ts';
import { roundingOf, suretyOf, suretySteps } from './surety.ts';
import { bearingOf, circularMean, eastNorth, wrapped } from './bearings.ts';

const radian = Math.PI / 180;
/** Runs of a pair that are nearer than so say too little of where the boat points. */
const leastApartDeg = 90;

interface Velocity {
  readonly east: number;
  readonly north: number;
}
const less = (a: Velocity, b: Velocity): Velocity => ({ east: a.east - b.east, north: a.north - b.north });
const plus = (a: Velocity, b: Velocity): Velocity => ({ east: a.east + b.east, north: a.north + b.north });

/**
 * What has to be added to a heading sensor, from pairs of straight runs there and back.
 *
 * runs: true heading as the sensor has it, speed and course over ground averaged over each run; runs 1 and 2 are a pair,
 * 3 and 4 the next, each pair 90° apart at least and at one speed through the water; speed may differ between pairs. The
 * difference of the two ground velocities points where the boat pointed, whatever steady current runs; its angle to the
 * sensor's own headings is the offset. Pairs count by the square of that difference; scatter is across the track.
 * One pair gives no interval. The heading is steered by the figure that is read: its rounding is the same in all runs. Courses
 * are rounded each by itself, unless no current sets them apart. Pairs all on one line do not see what the compass does
 * across it; a current that changed between pairs is named. The plain mean of course less heading is given beside it: a current across the track that
 * does not turn with the boat cancels in it only when both runs are equally fast over ground.
 * Sources: triangle of velocities; weighted mean of directions (Mardia and Jupp 2000, ch. 2); Student 1908.
 */
export const headingOffset = defineCalculation({
  name: 'heading-offset',
  purpose: 'Offset of a heading sensor, from reciprocal runs',
  version: 2,
  input: z.strictObject({
    runs: z
      .array(
        z.strictObject({
          headingDeg: z.number().min(0).max(360),
          sogMps: z.number().min(0.2).max(45),
          cogDeg: z.number().min(0).max(360),
        }),
      )
      .min(2)
      .max(200),
  }),
  output: z.strictObject({
    offsetDeg: z.number(),
    standardErrorDeg: z.number().nullable(),
    halfInterval95Deg: z.number().nullable(),
    /** What of the interval all readings share: more of them do not make it less. */
    sharedHalf95: z.number(),
    currentEastMps: z.number(),
    currentNorthMps: z.number(),
    naiveOffsetDeg: z.number(),
    /** Of each pair by itself. */
    pairOffsetsDeg: z.array(z.number()),
  }),
  run: ({ runs }) => {
    if (runs.length % 2)
      throw new OutOfRange('runs', 'A run is without its run back. Add the run the other way.', 'an even number');
    const pairs = Array.from({ length: runs.length / 2 }, (_, i) => {
      const out = runs[2 * i];
      const back = runs[2 * i + 1];
      if (!out || !back) throw new OutOfRange('runs', 'A run is without its run back.', 'an even number');
      if (Math.abs(wrapped(out.headingDeg - back.headingDeg)) < leastApartDeg)
        throw new OutOfRange(
          `runs[${2 * i + 1}].headingDeg`,
          `Runs ${2 * i + 1} and ${2 * i + 2} are on headings less than ${leastApartDeg}° apart: run the second one back.`,
          `${leastApartDeg}° or more from the run before`,
        );
      const ground = [out, back].map(({ cogDeg, sogMps }) => eastNorth(cogDeg, sogMps)) as [Velocity, Velocity];
      const pointed = [out, back].map(({ headingDeg }) => eastNorth(headingDeg)) as [Velocity, Velocity];
      const moved = less(...ground);
      const meant = less(...pointed);
      return {
        ground,
        pointed,
        movedMps: Math.hypot(moved.east, moved.north),
        towardsDeg: bearingOf(moved),
        meantDeg: bearingOf(meant),
        meantLength: Math.hypot(meant.east, meant.north),
      };
    });
    const n = pairs.length;
    const pairOffsetsDeg = pairs.map(({ towardsDeg, meantDeg }) => wrapped(towardsDeg - meantDeg));
    const weights = pairs.map(({ movedMps }) => movedMps ** 2);
    const weight = weights.reduce((sum, each) => sum + each, 0);
    if (weight < 1e-6)
      throw new OutOfRange('runs', 'There and back are alike over ground: the boat stood still in the water.', '');
    const sum = (of: (deg: number) => number): number =>
      pairOffsetsDeg.reduce((all, deg, i) => all + (weights[i] ?? 0) * of(deg * radian), 0);
    const [sines, cosines] = [sum(Math.sin), sum(Math.cos)];
    const offsetDeg = Math.atan2(sines, cosines) / radian;
    // Across the track: what is left of a pair's difference when the offset is taken out.
    const squares = pairs.reduce(
      (all, { movedMps }, i) => all + (movedMps * Math.sin(((pairOffsetsDeg[i] ?? 0) - offsetDeg) * radian)) ** 2,
      0,
    );
    const courseStepDeg = stepOf(
      runs.map(({ cogDeg }) => cogDeg),
      angleSteps,
    );
    const headingStepDeg = stepOf(
      runs.map(({ headingDeg }) => headingDeg),
      angleSteps,
    );
    const drifts = roundingOf(
      runs.map(({ cogDeg, headingDeg }) => wrapped(cogDeg - headingDeg)),
      courseStepDeg,
    );
    // Across the track by the rounding of the courses, pair by pair.
    const acrossByRounding = pairs.reduce(
      (all, { movedMps }, i) =>
        all + movedMps ** 2 * ((runs[2 * i]?.sogMps ?? 0) ** 2 + (runs[2 * i + 1]?.sogMps ?? 0) ** 2),
      0,
    );
    const parts = {
      scatter: n > 1 ? Math.sqrt(squares / (n - 1) / weight) / radian : 0,
      degreesOfFreedom: n - 1,
      floor: (Math.sqrt(drifts.apartVariance) * Math.sqrt(acrossByRounding)) / weight,
      roundings: [{ halfStep: headingStepDeg / 2 }, drifts.shared],
    };
    const surety = n > 1 ? suretyOf(parts) : null;
    const standardErrorDeg = surety?.standardError ?? null;
    const halfInterval95Deg = surety?.halfInterval95 ?? null;

    const currents = pairs.map(({ ground, pointed, movedMps, meantLength }) => {
      const speed = movedMps / meantLength;
      const both = plus(...ground);
      const middle = plus(...pointed);
      const turned = eastNorth(bearingOf(middle) + offsetDeg, Math.hypot(middle.east, middle.north) * speed);
      return { east: (both.east - turned.east) / 2, north: (both.north - turned.north) / 2 };
    });
    const currentEastMps = currents.reduce((all, { east }) => all + east, 0) / n;
    const currentNorthMps = currents.reduce((all, { north }) => all + north, 0) / n;
    const naiveOffsetDeg = circularMean(runs.map(({ headingDeg, cogDeg }) => cogDeg - headingDeg));

    const working: WorkingStep[] = pairs.map(({ towardsDeg, meantDeg }, i) =>
      calculated(
        {
          says: `Offset of pair ${i + 1}: where the difference of the ground velocities points, less the headings`,
          symbol: `o${i + 1}`,
          value: pairOffsetsDeg[i] ?? 0,
          unit: '°',
          expression: 'g - h - k',
          source: 'triangle of velocities: a steady current cancels in the difference',
        },
        given('g', towardsDeg, '°', 'direction of the difference of the ground velocities'),
        given('h', meantDeg, '°', 'direction of the difference of the headings'),
        given('k', towardsDeg - meantDeg - (pairOffsetsDeg[i] ?? 0), '°', 'whole turns'),
      ),
    );
    working.push(
      calculated(
        {
          says: 'Offset to add: mean direction, by the square of the difference',
          symbol: 'offset',
          value: offsetDeg,
          unit: '°',
          expression: 'atan2(S, C) * 180 / pi',
          source: 'Mardia and Jupp 2000, ch. 2',
        },
        given('S', sines, 'm²/s²', 'sines of the offsets, weighted and added'),
        given('C', cosines, 'm²/s²', 'cosines of the offsets, weighted and added'),
      ),
    );
    if (n > 1) working.push(...suretySteps(parts, 'the offset', '°'));
    const turn = turnOf(currents);
    const lines = pairs.map(({ meantDeg }) => meantDeg);
    const crosses = lines.some((deg) => Math.abs(Math.sin((deg - (lines[0] ?? 0)) * radian)) > Math.SQRT1_2 - 1e-9);
    const flags = [
      ...(n < 2 ? ['One pair: how sure the offset is cannot be told. Run a second pair across the first.'] : []),
      ...(n > 1 && !crosses
        ? ['All pairs lie on one line: what the compass does across it stays in the offset. Run a pair across.']
        : []),
      ...(turn === null
        ? []
        : [`The current turned or changed by ${turn.toFixed(2)} m/s between two pairs. It cancels within each pair.`]),
    ];
    return {
      offsetDeg,
      standardErrorDeg,
      halfInterval95Deg,
      sharedHalf95: surety?.sharedHalf95 ?? 0,
      currentEastMps,
      currentNorthMps,
      naiveOffsetDeg,
      pairOffsetsDeg,
      flags,
      working,
    };
  },
});
