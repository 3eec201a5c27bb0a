import { waysOfWorking, type Battery, type Circuit, type Plan, type Way } from '@grey-keel/model';
import { remembered } from '../plan/remembered.ts';
import { inOrder } from '../plan/working-water.ts';
import { restVoltageV } from './battery-curve.ts';
import { hoursBorne } from './hours-borne.ts';

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
  /** The hour of the day at which nothing is left, where that is in this span or before it; null otherwise. */
  readonly emptyAtHour: number | null;
}

/** Hour and voltage along a day, as a line is drawn: with the step down where the battery is empty. */
export const dayLine = (
  battery: Battery,
  spans: readonly DaySpan[],
): { readonly hour: number; readonly volts: number }[] =>
  spans.flatMap(({ fromHour, toHour, currentA, voltageAtStartV, voltageAtEndV, emptyAtHour }) => {
    const gone = emptyAtHour !== null && emptyAtHour > fromHour && emptyAtHour < toHour;
    const lastV = Math.max(0, restVoltageV(battery, 0) - currentA * battery.internalOhm);
    return [
      { hour: fromHour, volts: voltageAtStartV },
      ...(gone
        ? [
            { hour: emptyAtHour, volts: lastV },
            { hour: emptyAtHour, volts: 0 },
          ]
        : []),
      { hour: toHour, volts: voltageAtEndV },
    ];
  });

/**
 * A battery through the day of the brief, way after way in the order they are listed, from full (as full as age leaves
 * it). Lead-acid loses by Peukert over its rated current, lithium its charge; voltages are those at its posts, and none
 * once it is empty. Ratings are over 20 hours.
 */
export const dayOf = remembered((plan, batteryId): readonly DaySpan[] => {
  const battery = plan.power.batteries[batteryId];
  if (!battery) return [];
  const circuits = circuitsOn(plan, batteryId);
  const borne = {
    capacityAh: battery.capacityAh * battery.capacityLeft,
    peukert: battery.chemistry === 'lead-acid' ? battery.peukert : 1,
    ratedHours: 20,
  };
  const voltage = (left: number, currentA: number): number =>
    left < 0 ? 0 : Math.max(0, restVoltageV(battery, left) - currentA * battery.internalOhm);
  let [hour, left] = [0, 1];
  let emptyAtHour: number | null = null;
  return waysOfWorking.flatMap((way): DaySpan[] => {
    const hours = plan.power.hours[way] ?? 0;
    if (hours === 0 || !plan.ways[way]) return [];
    const currentA = circuits.reduce((sum, [, circuit]) => sum + currentOf(circuit, way), 0);
    const lasts = currentA > 0 ? hoursBorne(currentA, borne) : Number.POSITIVE_INFINITY;
    const after = left - hours / lasts;
    if (after < 0) emptyAtHour ??= hour + Math.max(0, left) * lasts;
    const span = {
      way,
      fromHour: hour,
      toHour: hour + hours,
      currentA,
      leftAtStart: Math.max(0, left),
      leftAtEnd: Math.max(0, after),
      voltageAtStartV: voltage(left, currentA),
      voltageAtEndV: voltage(after, currentA),
      emptyAtHour,
    };
    [hour, left] = [span.toHour, after];
    return [span];
  });
});
