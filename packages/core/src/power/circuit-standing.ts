import { insulationRatingsC, waysOfWorking, type Circuit, type Plan } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { ampacity } from './ampacity.ts';
import { restVoltageV } from './battery-curve.ts';
import { currentOf, dayOf } from './day-voltage.ts';
import { wireAmpacityA, type InsulationC } from './wire.ts';
import { startDip } from './start-dip.ts';
import { voltageDrop } from './voltage-drop.ts';

/** The greatest current a circuit carries in any way of working the boat uses; everything at once while none is said. */
export const worstCurrentA = (plan: Plan, circuit: Circuit): number => {
  const used = waysOfWorking.filter((way) => plan.ways[way]);
  return used.length ? Math.max(...used.map((way) => currentOf(circuit, way))) : currentOf(circuit);
};

/** What a circuit loses, what its wire bears, and what its loads see when the engine is started. */
export interface CircuitStanding {
  readonly currentA: number;
  readonly drop: Answer<ReturnType<typeof voltageDrop.run>>;
  readonly bears: Answer<ReturnType<typeof ampacity.run>>;
  /** The lowest rating of insulation with which the wire bears its fuse; null where none does, or there is no fuse. */
  readonly bearsFuseFromC: InsulationC | null;
  /** By load, for a battery that cranks. */
  readonly dips: readonly { readonly loadId: string; readonly dip: Answer<ReturnType<typeof startDip.run>> }[];
  /** The lowest a load on it sees through the day of the brief; null while no hours are given. */
  readonly lowestV: number | null;
  /** The hour of the day at which its battery is empty; null where it is not. */
  readonly emptyAtHour: number | null;
}

/** Null while the circuit has no battery. */
export const circuitStanding = (plan: Plan, circuit: Circuit): CircuitStanding | null => {
  const battery = circuit.batteryId === null ? undefined : plan.power.batteries[circuit.batteryId];
  if (!battery || circuit.batteryId === null) return null;
  const { oneWayLengthM, gauge, conductor, temperatureC } = circuit;
  const currentA = worstCurrentA(plan, circuit);
  const drop = answerOf(voltageDrop, {
    oneWayLengthM,
    gauge,
    conductor,
    temperatureC,
    currentA,
    supplyV: battery.nominalV,
  });
  const day = dayOf(plan, circuit.batteryId);
  const last = day[day.length - 1];
  const { fuseA, insulationC } = circuit;
  return {
    currentA,
    drop,
    bears: answerOf(ampacity, { gauge, aroundC: temperatureC, ...(insulationC == null ? {} : { insulationC }) }),
    bearsFuseFromC:
      fuseA === null
        ? null
        : (insulationRatingsC.find((rated) => wireAmpacityA(gauge, rated, temperatureC) >= fuseA) ?? null),
    emptyAtHour: last?.emptyAtHour ?? null,
    dips:
      battery.crankingA > 0
        ? Object.entries(circuit.loads).map(([loadId, { lowestV }]) => ({
            loadId,
            dip: answerOf(startDip, {
              // The careful case: the engine is started again at the end of the day.
              restV: last?.emptyAtHour != null ? 0 : restVoltageV(battery, last?.leftAtEnd ?? 1),
              internalOhm: battery.internalOhm,
              crankingA: battery.crankingA,
              lossV: Math.min(60, drop.dropV),
              lowestV,
            }),
          }))
        : [],
    lowestV: day.length
      ? Math.min(
          ...day.map(({ way, voltageAtEndV }) =>
            Math.max(0, voltageAtEndV - (drop.ohmPerKm * 2 * oneWayLengthM * currentOf(circuit, way)) / 1000),
          ),
        )
      : null,
  };
};
