import type { Plan, swingReferences } from '@grey-keel/model';
import { calculate } from '../calculation/calculation.ts';
import { heldCalibration } from '../plan/held-by.ts';
import { feeding } from './calibrated-sensors.ts';
import { defineCalibration } from './define-calibration.ts';
import { headingDeviation } from './heading-deviation.ts';
import { findOutliers } from './outliers.ts';
import {
  angle,
  calibrationOf,
  type Measurement,
  notMeasured,
  sensorOf,
  type SensorPlace,
  wholeReadings,
} from './sensor-calibration.ts';

/** Everything a deviation curve depends on. */
export interface DeviationInputs {
  readonly readings: readonly { readonly id: string; readonly compassDeg: number; readonly magneticDeg: number }[];
  readonly sensor: SensorPlace;
  /** The offset that the compass held: with another one the whole card is another. */
  readonly compassOffsetDeg: number;
  readonly heldAgainst: (typeof swingReferences)[number] | null;
}

const leastHeadings = 4;

const compute = ({ readings, heldAgainst }: DeviationInputs): Measurement => {
  if (heldAgainst === 'course over ground')
    return notMeasured(
      'Course over ground is no heading: a current sets it off by up to six degrees and more. Hold the swing against a bearing far off, the sun, or a heading that is right.',
    );
  if (readings.length < leastHeadings)
    return notMeasured(`A swing takes ${leastHeadings} headings all round at least, eight for the whole curve.`);
  const result = calculate(headingDeviation, {
    swing: readings.map(({ compassDeg, magneticDeg }) => ({ compassDeg, magneticDeg })),
  });
  if (!result.ok) return notMeasured(result.errors[0]?.message ?? 'The headings do not go together.');
  const { answer } = result;
  const coefficients = [answer.aDeg, answer.bDeg, answer.cDeg, answer.dDeg, answer.eDeg];
  const largest = Math.max(...deviationCard(coefficients).map(({ deviationDeg }) => Math.abs(deviationDeg)));
  const halves = answer.halfIntervals95Deg;
  return {
    known: true,
    measured: angle(largest),
    half: halves === null ? null : angle(halfOfCurve(halves)),
    enter: coefficients.map(angle),
    sign: [
      'Deviation is up to ',
      angle(largest),
      '. East is positive: it is added to what the compass shows to have the magnetic heading.',
    ],
    residuals: readings.map(({ id }, i) => ({ id, left: angle(answer.residualsDeg[i] ?? 0) })),
    apart:
      readings.length < 6 ? [] : findOutliers(answer.residualsDeg, 1).flagged.flatMap((i) => readings[i]?.id ?? []),
    current: null,
    naive: null,
    readings: readings.length,
    fitted: answer.termsFitted,
    equations: 1,
    together: 1,
    flags: [...(heldAgainst === null ? ['Say what the magnetic headings are held against.'] : []), ...answer.flags],
    working: answer.working,
  };
};

/**
 * Half of the 95 % interval of the curve at any heading, from those of its terms: sine and cosine of one term share its
 * uncertainty between them. Exact for headings evenly round.
 */
const halfOfCurve = ([a = 0, b = 0, c = 0, d = 0, e = 0]: readonly number[]): number =>
  Math.sqrt(a ** 2 + (b ** 2 + c ** 2 + d ** 2 + e ** 2) / 2);

/** Deviation at a compass heading in degrees, east positive, from the coefficients A to E. */
const deviationAt = ([a = 0, b = 0, c = 0, d = 0, e = 0]: readonly number[], compassDeg: number): number => {
  const theta = (compassDeg * Math.PI) / 180;
  return a + b * Math.sin(theta) + c * Math.cos(theta) + d * Math.sin(2 * theta) + e * Math.cos(2 * theta);
};

/** Deviation at every 15° by compass, from the coefficients A to E. */
export const deviationCard = (
  coefficients: readonly number[],
  everyDeg = 15,
): { readonly compassDeg: number; readonly deviationDeg: number }[] =>
  Array.from({ length: 360 / everyDeg }, (_, i) => ({
    compassDeg: i * everyDeg,
    deviationDeg: deviationAt(coefficients, i * everyDeg),
  }));

/** Halvings of the arc a compass heading is sought in: far below a thousandth of a degree. */
const halvings = 40;

/**
 * What a compass shows when the boat heads a magnetic course, 0 to below 360°: the heading that with its own deviation makes
 * the course. Sought by halving, which finds it for a curve of any steepness (deviation is taken to stay under 90°).
 */
export const compassToSteer = (coefficients: readonly number[], magneticDeg: number): number => {
  let [low, high] = [magneticDeg - 90, magneticDeg + 90];
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2;
    if (middle + deviationAt(coefficients, middle) < magneticDeg) low = middle;
    else high = middle;
  }
  return ((((low + high) / 2) % 360) + 360) % 360;
};

/** Each compass's deviation curve. */
export const deviationCalibration = defineCalibration({
  kind: 'deviation',
  word: 'Deviation',
  of: feeding('heading'),
  heldByDevice: false,
  enters: [],
  inWords: () => ['Deviation card'],
  slice: (plan: Plan, id): DeviationInputs | null => {
    const sensor = sensorOf(plan, id);
    const { readings, heldAgainst } = calibrationOf(plan, 'deviation', id);
    return sensor
      ? {
          readings: wholeReadings<'deviation'>(readings),
          sensor,
          compassOffsetDeg: heldCalibration(plan, 'heading', id) ?? 0,
          heldAgainst: heldAgainst ?? null,
        }
      : null;
  },
  version: headingDeviation.version,
  compute,
  words: {
    readings: 'the swing',
    sensor: 'the compass or its place',
    compassOffsetDeg: 'the compass offset entered',
    heldAgainst: 'what it is held against',
  },
});
