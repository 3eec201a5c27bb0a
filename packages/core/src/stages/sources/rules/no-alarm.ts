import type { Plan } from '@grey-keel/model';
import { shallowLimits } from '../../../alarms/alarm-limits.ts';
import { timeLeft, usualActInS, usualSlopeDeg } from '../../../alarms/time-to-act.ts';
import { groundingDepthM } from '../../../calibration/aground.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { fittedStations } from '../../../plan/fitted-stations.ts';
import { alarmsHeld } from '../../../plan/held-by.ts';
import { at } from '../../../plan/target.ts';
import { waySpeed, waysAfloat } from '../../../plan/way-speeds.ts';
import { workingWater } from '../../../plan/working-water.ts';
import { depthGivers } from '../../../sources/depth-givers.ts';
import { depthDisplayOf, upToStepM } from '../../../sources/depth-display.ts';

/** Slower than so a look at the display and over the bow is enough. */
const fastMps = 5;
const radian = Math.PI / 180;

/** The fastest of a boat's ways of working. */
const fastest = (plan: Plan) =>
  waysAfloat(plan)
    .map((way) => ({ way, ...waySpeed(plan, way) }))
    .reduce((a, b) => (b.speedMps > a.speedMps ? b : a));

/**
 * A boat that runs fast over water that can come up under it within the time somebody takes to act, and no display calls.
 * The shallowest of the brief is held against what the boat needs and what the bottom rises in that time over a usual slope.
 */
export const noShallowAlarm: Rule<'sources'> = {
  id: 'alarm-shallow-none',
  stage: 'sources',
  severity: 'check',
  find: (plan) => {
    const fitted = fittedStations(plan);
    const [first] = fitted;
    const { way, speedMps } = fastest(plan);
    const needsM = groundingDepthM(plan);
    const shallowestM = workingWater(plan)?.shallowestM ?? null;
    if (!first || depthGivers(plan).length === 0 || needsM === null || shallowestM === null || speedMps <= fastMps)
      return [];
    if (fitted.some(({ id }) => alarmsHeld(plan, id).shallowM != null)) return [];
    const slopeDeg = Math.abs(plan.scene.slopeDeg) || usualSlopeDeg;
    const reachM = needsM + speedMps * usualActInS * Math.tan(slopeDeg * radian);
    if (shallowestM > reachM) return [];
    const can = fitted.flatMap(({ id }) => {
      const limits = shallowLimits(plan, id);
      return limits ? [{ id, shallowM: upToStepM(limits.least, depthDisplayOf(plan, id)) }] : [];
    })[0];
    return [
      {
        title: 'No shallow alarm is set',
        reason: [
          `${way.charAt(0).toUpperCase()}${way.slice(1)} at `,
          figure(speedMps, 'speed'),
          ' over water as shallow as ',
          figure(shallowestM, 'depth'),
          ': in the time it takes to act the bottom can come up, and no display calls. An alarm does not replace a look-out.',
        ],
        figure: figure(speedMps, 'speed'),
        fix: {
          label: can ? 'Set one' : 'Set one at a station',
          target: at('held', (can ?? first).id, 'shallow-alarm', (can ?? first).id),
        },
      },
    ];
  },
};

/** The alarm calls, and over the slope that was said there is less time than it takes to act. */
export const noTimeToAct: Rule<'sources'> = {
  id: 'alarm-no-time',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id, plan, station }): Found[] => {
    const left = timeLeft(plan, id);
    if (!left || left.leftS >= left.actInS - 1e-9) return [];
    return [
      {
        subject: id,
        title: 'The alarm leaves too little time',
        reason: [
          `At ${station.name}, ${left.way}, `,
          figure(Math.max(0, left.leftS), 'wait'),
          ' pass between the alarm and touching over the slope ahead; acting takes ',
          figure(left.actInS, 'wait'),
          '. Slow down before the edge, or set the alarm deeper.',
        ],
        figure: figure(Math.max(0, left.leftS), 'wait'),
        working: [left.working],
        fix: { label: 'Set it deeper, or run slower', target: at('held', id, 'shallow-alarm', id) },
      },
    ];
  }),
};
