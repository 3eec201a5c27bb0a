import type { Plan, WorkingStep } from '@grey-keel/model';
import { agroundShownM } from '../calibration/aground.ts';
import { depthOffsetOf } from '../calibration/depth-offset-subject.ts';
import { circuitOf } from '../power/circuit-of.ts';
import { circuitStanding } from '../power/circuit-standing.ts';
import { circuitsOn, dayOf } from '../power/day-voltage.ts';
import { workingWater } from '../plan/working-water.ts';
import { given, reckoned } from '../working-step.ts';

/** Between what an alarm has to call at, at the least, and where it would call all day. */
export interface AlarmLimits {
  readonly least: number;
  /** Null where nothing is known that would make it call without need. */
  readonly most: number | null;
  readonly working: readonly WorkingStep[];
}

/** Water left under the keel when the shallow alarm calls: a round figure of ours, over the offset's own tolerance. */
const shallowMarginM = 0.5;
/** Left to the device that goes out first when the voltage alarm calls: a round figure of ours. */
const voltageMarginV = 0.5;

/**
 * The depths between which a station's shallow alarm does its work, as that display shows them; null while it takes its
 * depth from nothing or from a transducer whose offset is missing or stale.
 */
export const shallowLimits = (plan: Plan, stationId: string): AlarmLimits | null => {
  const sourceId = plan.feeds[stationId]?.depth?.sourceId;
  const agroundM = sourceId === undefined ? null : agroundShownM(plan, sourceId);
  if (sourceId === undefined || agroundM === null) return null;
  const { toleranceM, reference } = depthOffsetOf(plan, sourceId);
  const least = agroundM + toleranceM + shallowMarginM;
  const shallowestM = workingWater(plan)?.shallowestM ?? null;
  const draughtM = plan.boat.draughtM ?? 0;
  return {
    least,
    most: shallowestM === null ? null : shallowestM - (reference === 'keel' ? draughtM : 0),
    working: [
      reckoned(
        {
          says: 'The shallow alarm calls at this, at the least',
          symbol: 's',
          value: least,
          unit: 'm',
          expression: 'a + e + m',
          source: 'sum; the margin is a round figure of ours',
        },
        given('a', agroundM, 'm', 'shown when the keel touches'),
        given('e', toleranceM, 'm', 'tolerance of the depth offset'),
        given('m', shallowMarginM, 'm', 'water left to act in'),
      ),
    ],
  };
};

/** Lost in a circuit's wires at the most it carries, V. */
const worstDropV = (plan: Plan, circuitId: string): number => {
  const circuit = plan.power.circuits[circuitId];
  return (circuit && circuitStanding(plan, circuit)?.drop.dropV) ?? 0;
};

/**
 * The voltages between which a station's low-voltage alarm does its work, as that display sees them: over what the
 * first device on its battery goes out at, and under what a full battery gives. Devices on other wires see their own
 * drop. Null while it is not said which load the screen is, or none on its battery says what it bears.
 */
export const voltageLimits = (plan: Plan, stationId: string): AlarmLimits | null => {
  const ownId = circuitOf(plan, stationId);
  const batteryId = ownId === null ? null : (plan.power.circuits[ownId]?.batteryId ?? null);
  if (ownId === null || batteryId === null) return null;
  const wants = circuitsOn(plan, batteryId).flatMap(([id, { loads }]) =>
    Object.values(loads).flatMap(({ name, lowestV }) =>
      lowestV === null ? [] : [{ name, lowestV, dropV: id === ownId ? 0 : worstDropV(plan, id) }],
    ),
  );
  const [first] = wants.sort((a, b) => b.lowestV + b.dropV - (a.lowestV + a.dropV));
  if (!first) return null;
  const least = first.lowestV + first.dropV + voltageMarginV;
  const [start] = dayOf(plan, batteryId);
  return {
    least,
    most: start ? start.voltageAtStartV - worstDropV(plan, ownId) : null,
    working: [
      reckoned(
        {
          says: 'The voltage alarm calls at this, at the least',
          symbol: 'v',
          value: least,
          unit: 'V',
          expression: 'l + d + m',
          source: 'sum; the margin is a round figure of ours',
        },
        given('l', first.lowestV, 'V', `lowest ${first.name} bears`),
        given('d', first.dropV, 'V', 'lost in its own wires'),
        given('m', voltageMarginV, 'V', 'left to act in'),
      ),
    ],
  };
};
