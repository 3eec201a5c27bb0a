import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { calculated, given } from '../calculation/working-step.ts';
import { wrapped } from './bearings.ts';
import { angleSteps, roundingSd, stepOf } from './display-step.ts';
import { leastSquares } from './least-squares.ts';
import { suretyOf } from './surety.ts';

const radian = Math.PI / 180;
/** From so many headings on a swing carries the terms that go round twice. */
const allTermsFrom = 8;
/** Between neighbouring headings of a swing at most: beyond it the curve is a guess in the gap. */
const widestGapDeg = 100;
const widestGapForAllDeg = 70;

const names = ['A', 'B', 'C', 'D', 'E'] as const;
const termsAt = (compassDeg: number, count: number): number[] => {
  const theta = compassDeg * radian;
  return [1, Math.sin(theta), Math.cos(theta), Math.sin(2 * theta), Math.cos(2 * theta)].slice(0, count);
};

const widestGap = (headings: readonly number[]): number => {
  const round = [...headings].map((deg) => deg % 360).sort((a, b) => a - b);
  return Math.max(...round.map((deg, i) => (round[i + 1] ?? (round[0] ?? 0) + 360) - deg));
};

/**
 * Deviation curve of a compass from a swing: magnetic less compass = A + B sin θ + C cos θ + D sin 2θ + E cos 2θ, θ the
 * compass heading, by least squares; easterly deviation is positive, and is added to the compass.
 *
 * swing: 4 to 72 headings all round, degrees magnetic. D and E are fitted from eight headings on that leave no gap over
 * 70°; below that they are 0 and said to be so. A gap over 100° is refused. The steps that both are read in floor the
 * intervals; that of the compass, steered by the figure, stands in A besides.
 * Sources: coefficients after Archibald Smith (1850s) as in the handbooks of compass adjustment; least squares (Draper
 * and Smith 1998, ch. 5).
 */
export const headingDeviation = defineCalculation({
  name: 'heading-deviation',
  purpose: 'Deviation curve of a compass, from a swing',
  version: 2,
  input: z.strictObject({
    swing: z
      .array(
        z.strictObject({
          compassDeg: z.number().min(0).max(360),
          magneticDeg: z.number().min(0).max(360),
        }),
      )
      .min(4)
      .max(72),
  }),
  output: z.strictObject({
    aDeg: z.number(),
    bDeg: z.number(),
    cDeg: z.number(),
    dDeg: z.number(),
    eDeg: z.number(),
    /** Root mean square of what the curve leaves over. */
    residualDeg: z.number(),
    worstDeg: z.number(),
    /** Of each coefficient that was fitted, A first; null where nothing is left to tell them by. */
    halfIntervals95Deg: z.array(z.number()).nullable(),
    termsFitted: z.number(),
    residualsDeg: z.array(z.number()),
  }),
  run: ({ swing }) => {
    const gapDeg = widestGap(swing.map(({ compassDeg }) => compassDeg));
    if (gapDeg > widestGapDeg)
      throw new OutOfRange(
        'swing',
        `The swing leaves a gap of ${gapDeg.toFixed(0)}°: what the compass does there is not known. Add a heading in it.`,
        `no gap over ${widestGapDeg}°`,
      );
    const termsFitted = swing.length >= allTermsFrom && gapDeg <= widestGapForAllDeg ? 5 : 3;
    const deviations = swing.map(({ compassDeg, magneticDeg }) => wrapped(magneticDeg - compassDeg));
    const fit = leastSquares(
      swing.map(({ compassDeg }) => termsAt(compassDeg, termsFitted)),
      deviations,
    );
    if (!fit) throw new OutOfRange('swing', 'The headings do not tell the terms apart. Add headings all round.', '');
    const [aDeg = 0, bDeg = 0, cDeg = 0, dDeg = 0, eDeg = 0] = fit.values;
    const steps = (['compassDeg', 'magneticDeg'] as const).map((part) =>
      stepOf(
        swing.map((one) => one[part]),
        angleSteps,
      ),
    );
    const [compassStepDeg = 0, magneticStepDeg = 0] = steps;
    const rounded = Math.hypot(roundingSd(compassStepDeg), roundingSd(magneticStepDeg));
    // Steered by the figure that is read, the compass is rounded alike on every heading: that stays in A.
    const inA = { halfStep: compassStepDeg / 2 };
    const { standardErrors } = fit;
    const halfIntervals95Deg = standardErrors
      ? standardErrors.map(
          (scatter, k) =>
            suretyOf({
              scatter,
              degreesOfFreedom: fit.degreesOfFreedom,
              floor: rounded * (fit.gains[k] ?? 0),
              roundings: k === 0 ? [inA] : [],
            }).halfInterval95 ?? 0,
        )
      : null;
    const worst = fit.residuals.reduce((most, value) => Math.max(most, Math.abs(value)), 0);

    const coefficients = [aDeg, bDeg, cDeg, dDeg, eDeg].map((value, i) =>
      given(names[i] ?? '', value, '°', i < termsFitted ? 'fitted by least squares' : 'not fitted: too few headings'),
    );
    const working: WorkingStep[] = [0, 45, 90, 135, 180, 225, 270, 315].map((compassDeg) => {
      const value = termsAt(compassDeg, 5).reduce((sum, term, i) => sum + term * (coefficients[i]?.value ?? 0), 0);
      return calculated(
        {
          says: `Deviation at ${compassDeg}° by compass`,
          symbol: 'dev',
          value,
          unit: '°',
          expression: 'A + B * sin(h) + C * cos(h) + D * sin(2 * h) + E * cos(2 * h)',
          source: 'deviation coefficients after Archibald Smith',
        },
        ...coefficients,
        given('h', compassDeg * radian, 'rad', `compass heading, ${compassDeg}°`),
      );
    });
    return {
      aDeg,
      bDeg,
      cDeg,
      dDeg,
      eDeg,
      residualDeg: fit.rms,
      worstDeg: worst,
      halfIntervals95Deg,
      termsFitted,
      residualsDeg: [...fit.residuals],
      flags:
        termsFitted < 5
          ? ['Fewer than eight headings evenly round: the part that goes round twice is not fitted.']
          : [],
      working,
    };
  },
});
