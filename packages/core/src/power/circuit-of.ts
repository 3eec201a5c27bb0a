import type { Plan } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';

/** The circuit a device hangs on, by its id: a station's screen or a piece of equipment; null while no load is said to be it. */
export const circuitOf = (plan: Plan, deviceId: string): string | null =>
  inOrder(plan.power.circuits).find(([, { loads }]) =>
    Object.values(loads).some((load) => load.deviceId === deviceId),
  )?.[0] ?? null;
