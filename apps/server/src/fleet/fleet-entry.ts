import { findings, stageStates, workingWater } from '@grey-keel/core';
import type { FleetEntry, Plan } from '@grey-keel/model';

/** Goes up whenever the same plan would get another line in the fleet; kept lines of an older version are made anew. */
export const fleetEntryVersion = 2;

type Kept = Pick<FleetEntry, 'id' | 'number' | 'keptAt'>;

/** One boat's line in the fleet. */
export const fleetEntryOf = (plan: Plan, kept: Kept): FleetEntry => {
  const found = findings(plan);
  const water = workingWater(plan);
  return {
    ...kept,
    name: plan.boat.name,
    lengthM: plan.boat.lengthM,
    hullForm: plan.boat.hullForm,
    water: water ? `${water.name}, ${water.kind}` : '',
    transducers: Object.keys(plan.transducers).length,
    stages: stageStates(plan, found).map(({ number, state }) => ({ number, state })),
    stops: found.filter(({ severity }) => severity === 'stop').length,
    checks: found.filter(({ severity }) => severity === 'check').length,
  };
};
