import { waysOfWorking, type Battery, type Chemistry, type Circuit, type Plan, type Way } from '@grey-keel/model';
import { scaleLinear } from 'd3-scale';
import { inOrder } from '../plan/working-water.ts';

/** Rest voltage of a 12 V battery by what is left in it, in round figures as sheets print them for the two chemistries. */
const rest: Readonly<Record<Chemistry, readonly (readonly [left: number, volts: number])[]>> = {
  'lead-acid': [
    [0, 11.6],
    [0.25, 12],
    [0.5, 12.2],
    [0.75, 12.4],
    [1, 12.7],
  ],
  lithium: [
    [0, 10.5],
    [0.1, 12.6],
    [0.2, 12.9],
    [0.3, 13],
    [0.7, 13.2],
    [0.9, 13.3],
    [1, 13.5],
  ],
};

/** Voltage of a battery at rest with a share of it left, 0 to 1; an empty one beyond. */
export const restVoltageV = (
  { chemistry, nominalV }: Pick<Battery, 'chemistry' | 'nominalV'>,
  left: number,
): number => {
  const points = rest[chemistry];
  const curve = scaleLinear(
    points.map(([share]) => share),
    points.map(([, volts]) => (volts * nominalV) / 12),
  ).clamp(true);
  return curve(left);
};

/** The circuits that hang on a battery. */
export const circuitsOn = (plan: Plan, batteryId: string): (readonly [string, Circuit])[] =>
  inOrder(plan.power.circuits).filter(([, circuit]) => circuit.batteryId === batteryId);

/** What a circuit carries in a way of working, A; over all its loads at once where no way is given. */
export const currentOf = (circuit: Circuit, way?: Way): number =>
  Object.values(circuit.loads).reduce(
    (sum, load) => sum + (way === undefined || load.runsIn[way] ? load.currentA : 0),
    0,
  );

/** One way of working of the day: its hours, the current, and what the battery gives at its end under that current. */
export interface DaySpan {
  readonly way: Way;
  readonly fromHour: number;
  readonly toHour: number;
  readonly currentA: number;
  readonly leftAtStart: number;
  readonly leftAtEnd: number;
  readonly voltageAtStartV: number;
  readonly voltageAtEndV: number;
}

/**
 * A battery through the day of the brief, way after way in the order they are listed, from full (as full as age leaves
 * it). Lead-acid loses by Peukert over its rated current, lithium its charge; voltages are those at its posts. Ratings are over 20 hours.
 */
export const dayOf = (plan: Plan, batteryId: string): DaySpan[] => {
  const battery = plan.power.batteries[batteryId];
  if (!battery) return [];
  const circuits = circuitsOn(plan, batteryId);
  const capacityAh = battery.capacityAh * battery.capacityLeft;
  const rated = capacityAh / 20;
  const voltage = (left: number, currentA: number): number =>
    Math.max(0, restVoltageV(battery, left) - currentA * battery.internalOhm);
  let [hour, left] = [0, 1];
  return waysOfWorking.flatMap((way): DaySpan[] => {
    const hours = plan.power.hours[way] ?? 0;
    if (hours === 0 || !plan.ways[way]) return [];
    const currentA = circuits.reduce((sum, [, circuit]) => sum + currentOf(circuit, way), 0);
    // Under its rated current Peukert promises more than a battery keeps: there the charge itself is counted.
    const k = battery.chemistry === 'lead-acid' && currentA > rated ? battery.peukert : 1;
    const share = currentA > 0 ? hours / (20 * (rated / currentA) ** k) : 0;
    const span = {
      way,
      fromHour: hour,
      toHour: hour + hours,
      currentA,
      leftAtStart: left,
      leftAtEnd: Math.max(0, left - share),
      voltageAtStartV: voltage(left, currentA),
      voltageAtEndV: voltage(left - share, currentA),
    };
    [hour, left] = [span.toHour, left - share];
    return [span];
  });
};
