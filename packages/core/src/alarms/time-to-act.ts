import type { Plan, Way, WorkingStep } from '@grey-keel/model';
import { alarmsHeld } from '../plan/held-by.ts';
import { waySpeed, waysAfloat } from '../plan/way-speeds.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { shallowLimits } from './alarm-limits.ts';

const radian = Math.PI / 180;
export const usualActInS = 10;
/** Where the bottom of the brief lies level: the slope a look ahead is usually worked out with. */
export const usualSlopeDeg = 5;

/** What a way of working's speed costs in the time it takes to act on a shallow alarm. */
export interface TimeToAct {
  readonly way: Way;
  readonly speedMps: number;
  /** Whether the speed is the boat's own, or a usual one. */
  readonly said: boolean;
  /** Water lost over the slope in that time. */
  readonly costM: number;
  /** What the alarm would have to call at, as the display shows it, to leave that time. */
  readonly neededM: number;
  /** False where there is not that much water: no alarm gives time here. */
  readonly gives: boolean;
  readonly working: readonly WorkingStep[];
}

/**
 * How much water the boat runs out of between a shallow alarm and someone acting on it, by way of working: distance run
 * in the time, over the slope of the brief. It does not raise the alarm's limit. Empty while that limit is not known.
 */
export const timeToAct = (plan: Plan, stationId: string): TimeToAct[] => {
  const limits = shallowLimits(plan, stationId);
  if (!limits) return [];
  const actInS = plan.timeToActS[stationId] ?? usualActInS;
  const slopeDeg = Math.abs(plan.scene.slopeDeg) || usualSlopeDeg;
  return waysAfloat(plan).map((way) => {
    const { speedMps, said } = waySpeed(plan, way);
    const costM = speedMps * actInS * Math.tan(slopeDeg * radian);
    const neededM = limits.touchesM + costM;
    return {
      way,
      speedMps,
      said,
      costM,
      neededM,
      gives: neededM <= plan.working.depthM,
      working: [
        calculated(
          {
            says: `Water lost ${way}, before anyone acts`,
            symbol: 'w',
            value: costM,
            unit: 'm',
            expression: 'v * t * tan(s)',
            source: 'plane geometry over an even slope',
          },
          given('v', speedMps, 'm/s', said ? 'cruise speed' : 'usual speed, a round figure of ours'),
          given('t', actInS, 's', 'time to act'),
          given('s', slopeDeg * radian, 'rad', `slope of the bottom, ${slopeDeg.toFixed(1)}°`),
        ),
      ],
    };
  });
};

/** What is left between a station's shallow alarm and touching, at the fastest way of working. */
export interface TimeLeft {
  readonly way: Way;
  readonly leftS: number;
  readonly actInS: number;
  readonly working: WorkingStep;
}

/** Null where no slope was said, no alarm is set, or it is not known what the display shows when the boat touches. */
export const timeLeft = (plan: Plan, stationId: string): TimeLeft | null => {
  const limits = shallowLimits(plan, stationId);
  const { shallowM } = alarmsHeld(plan, stationId);
  const actInS = plan.timeToActS[stationId] ?? usualActInS;
  const slopeDeg = Math.abs(plan.scene.slopeDeg);
  if (!limits || shallowM == null || slopeDeg === 0) return null;
  const { way, speedMps } = waysAfloat(plan)
    .map((one) => ({ way: one, speedMps: waySpeed(plan, one).speedMps }))
    .reduce((a, b) => (b.speedMps > a.speedMps ? b : a));
  if (speedMps === 0) return null;
  const working = calculated(
    {
      says: `Time from the alarm to touching, ${way}`,
      symbol: 't',
      value: (shallowM - limits.touchesM) / (speedMps * Math.tan(slopeDeg * radian)),
      unit: 's',
      expression: '(s - a) / (v * tan(k))',
      source: 'plane geometry over an even slope',
    },
    given('s', shallowM, 'm', 'the alarm sounds at'),
    given('a', limits.touchesM, 'm', 'shown when it touches, with the tolerance'),
    given('v', speedMps, 'm/s', 'speed'),
    given('k', slopeDeg * radian, 'rad', `slope of the bottom, ${slopeDeg.toFixed(1)}°`),
  );
  return { way, leftS: working.value, actInS, working };
};
