import type { Battery, Plan, WorkingStep } from '@grey-keel/model';
import { agroundOf, type Aground } from '../calibration/aground.ts';
import { depthOffsetOf } from '../calibration/depth-offset-subject.ts';
import { remembered } from '../plan/remembered.ts';
import { circuitOf } from '../power/circuit-of.ts';
import { circuitStanding } from '../power/circuit-standing.ts';
import { bearsShare, restVoltageV } from '../power/battery-curve.ts';
import { circuitsOn, currentOf, dayOf } from '../power/day-voltage.ts';
import { workingWater } from '../plan/working-water.ts';
import { given, calculated } from '../calculation/working-step.ts';

/** Between what an alarm has to call at, at the least, and where it would call all day. */
export interface AlarmLimits {
  readonly least: number;
  /** Null where nothing is known that would make it call without need. */
  readonly most: number | null;
  readonly working: readonly WorkingStep[];
}

/** Those of a shallow alarm, with what it is about. */
export interface ShallowLimits extends AlarmLimits {
  /** Shown when the first part touches, with the tolerance of the offset; without the water left to act in. */
  readonly touchesM: number;
  readonly aground: Aground;
  /** The transducer it is worst for: the source or its fallback. */
  readonly transducerId: string;
}

/** Water left under the lowest part when the shallow alarm sounds: a round figure of ours, over the offset's own tolerance. */
const shallowMarginM = 0.5;
/** Left to the device that goes out first when the voltage alarm sounds: a round figure of ours. */
const voltageMarginV = 0.5;

const shallowBy = (plan: Plan, transducerId: string): ShallowLimits | null => {
  const aground = agroundOf(plan, transducerId);
  if (!aground) return null;
  const { toleranceM, reference } = depthOffsetOf(plan, transducerId);
  const touchesM = aground.shownM + toleranceM;
  const least = touchesM + shallowMarginM;
  const shallowestM = workingWater(plan)?.shallowestM ?? null;
  return {
    least,
    most: shallowestM === null ? null : shallowestM - (reference === 'keel' ? (plan.boat.draughtM ?? 0) : 0),
    touchesM,
    aground,
    transducerId,
    working: [
      ...aground.working,
      calculated(
        {
          says: 'The shallow alarm sounds at this, at the least',
          symbol: 's',
          value: least,
          unit: 'm',
          expression: 'a + e + m',
          source: 'sum; the margin is a round figure of ours',
        },
        given('a', aground.shownM, 'm', `shown when ${aground.lowest.name} touches`),
        given('e', toleranceM, 'm', 'tolerance of the depth offset'),
        given('m', shallowMarginM, 'm', 'water left to act in'),
      ),
    ],
  };
};

/**
 * The depths between which a station's shallow alarm does its work, as that display shows them: the worst over the
 * source of its depth and the fallback. Null while it takes its depth from nothing, or from transducers whose offsets
 * are missing or stale.
 */
export const shallowLimits = remembered((plan, stationId): ShallowLimits | null => {
  const feed = plan.feeds[stationId]?.depth;
  const known = [feed?.sourceId, feed?.fallbackId].flatMap((id) => (id ? (shallowBy(plan, id) ?? []) : []));
  const [first] = known;
  // With the source itself unknown nothing that is said of the fallback helps.
  if (!first || first.transducerId !== feed?.sourceId) return null;
  const worst = known.reduce((a, b) => (b.least > a.least ? b : a));
  const most = known.flatMap((one) => (one.most === null ? [] : [one.most]));
  return { ...worst, most: most.length ? Math.min(...most) : null };
});

/** Lost in a circuit's wires at the most it carries, V. */
const worstDropV = (plan: Plan, circuitId: string): number => {
  const circuit = plan.power.circuits[circuitId];
  return (circuit && circuitStanding(plan, circuit)?.drop.dropV) ?? 0;
};

/** What a display sees of its battery when that has given what it bears, under the least current of the day. */
const spentStep = (plan: Plan, batteryId: string, battery: Battery, ownId: string): WorkingStep => {
  const own = plan.power.circuits[ownId];
  const awake = dayOf(plan, batteryId).filter(({ way }) => own && currentOf(own, way) > 0);
  const leastA = awake.length ? Math.min(...awake.map(({ currentA }) => currentA)) : 0;
  const ownA = own && awake.length ? Math.min(...awake.map(({ way }) => currentOf(own, way))) : 0;
  const drop = own && circuitStanding(plan, own)?.drop;
  const wireOhm = own && drop ? (2 * own.oneWayLengthM * drop.ohmPerKm) / 1000 : 0;
  const restV = restVoltageV(battery, 1 - bearsShare[battery.chemistry]);
  return calculated(
    {
      says: 'The battery has given what it bears at this',
      symbol: 'u',
      value: restV - leastA * battery.internalOhm - ownA * wireOhm,
      unit: 'V',
      expression: 'E - I * R - i * w',
      source: 'Ohm’s law; voltage at rest in round figures for the kind of cell',
    },
    given('E', restV, 'V', `at rest, ${(100 * (1 - bearsShare[battery.chemistry])).toFixed(0)} % left`),
    given('I', leastA, 'A', 'least current of the day'),
    given('R', battery.internalOhm, 'ohm', 'inner resistance'),
    given('i', ownA, 'A', 'of it in the display’s own wires'),
    given('w', wireOhm, 'ohm', 'of those wires'),
  );
};

/**
 * The voltages between which a station's low-voltage alarm does its work, as that display sees them: over what the
 * first device on its battery goes out at and over what the battery gives at the depth of discharge it bears, and under
 * what a full one gives. Devices on other wires see their own
 * drop. Null while it is not said which load the screen is, or none on its battery says what it bears.
 */
export const voltageLimits = remembered((plan, stationId): AlarmLimits | null => {
  const ownId = circuitOf(plan, stationId);
  const batteryId = ownId === null ? null : (plan.power.circuits[ownId]?.batteryId ?? null);
  if (ownId === null || batteryId === null) return null;
  const requirements = circuitsOn(plan, batteryId).flatMap(([id, { loads }]) =>
    Object.values(loads).flatMap(({ name, lowestV }) =>
      lowestV === null ? [] : [{ name, lowestV, dropV: id === ownId ? 0 : worstDropV(plan, id) }],
    ),
  );
  const battery = plan.power.batteries[batteryId];
  const [first] = requirements.sort((a, b) => b.lowestV + b.dropV - (a.lowestV + a.dropV));
  if (!first || !battery) return null;
  const [start] = dayOf(plan, batteryId);
  const spent = spentStep(plan, batteryId, battery, ownId);
  const device = first.lowestV + first.dropV + voltageMarginV;
  return {
    least: Math.max(device, spent.value),
    most: start ? start.voltageAtStartV - worstDropV(plan, ownId) : null,
    working: [
      calculated(
        {
          says: 'A device is about to go out at this',
          symbol: 'v',
          value: device,
          unit: 'V',
          expression: 'l + d + m',
          source: 'sum; the margin is a round figure of ours',
        },
        given('l', first.lowestV, 'V', `lowest ${first.name} bears`),
        given('d', first.dropV, 'V', 'lost in its own wires'),
        given('m', voltageMarginV, 'V', 'left to act in'),
      ),
      spent,
      calculated(
        {
          says: 'The voltage alarm sounds at this, at the least',
          symbol: 's',
          value: Math.max(device, spent.value),
          unit: 'V',
          expression: 'max(v, u)',
          source: 'the larger of the two',
        },
        given('v', device, 'V', 'for the device'),
        given('u', spent.value, 'V', 'for the battery'),
      ),
    ],
  };
});
