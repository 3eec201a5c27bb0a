import type { Plan, Way, WorkingStep } from '@grey-keel/model';
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
  const actInS = plan.units[stationId]?.alarms?.actInS ?? usualActInS;
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
