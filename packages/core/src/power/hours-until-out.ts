import { type Battery, type Plan, waysOfWorking } from '@grey-keel/model';
import { leftAtRestVoltage } from './battery-curve.ts';
import { circuitsOn, currentOf } from './day-voltage.ts';
import { hoursBorne } from './hours-borne.ts';

export interface UntilOut {
  readonly hours: number;
  /** Of the heaviest of the ways of working. */
  readonly currentA: number;
  /** A device goes out before the battery is empty. */
  readonly deviceFirst: boolean;
}

/**
 * Hours from full until the first device of a battery goes out, under the heaviest current of the ways of working: its
 * voltage at rest less what its inner resistance takes falls to the highest of what the devices stand. Without what the
 * wires take. Null where nothing hangs on it.
 * Sources: Ohm's law; hours by Peukert 1897; rest voltages in round figures by kind of cell.
 */
export const hoursUntilOut = (plan: Plan, batteryId: string, battery: Battery): UntilOut | null => {
  const circuits = circuitsOn(plan, batteryId).map(([, circuit]) => circuit);
  const currentA = Math.max(
    0,
    ...waysOfWorking
      .filter((way) => plan.ways[way])
      .map((way) => circuits.reduce((sum, circuit) => sum + currentOf(circuit, way), 0)),
  );
  if (currentA === 0) return null;
  const whole = hoursBorne(currentA, {
    capacityAh: battery.capacityAh * battery.capacityLeft,
    peukert: battery.chemistry === 'lead-acid' ? battery.peukert : 1,
    ratedHours: 20,
  });
  const stands = circuits.flatMap(({ loads }) => Object.values(loads).flatMap(({ lowestV }) => lowestV ?? []));
  const left = stands.length ? leftAtRestVoltage(battery, Math.max(...stands) + currentA * battery.internalOhm) : 0;
  return { hours: whole * (1 - left), currentA, deviceFirst: left > 0 };
};
