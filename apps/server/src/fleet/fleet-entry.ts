import { findings, nextStep, stageStates, workingWater } from '@grey-keel/core';
import { stageNames, stageNumber, type FleetEntry, type Plan } from '@grey-keel/model';
import { fleetEntryVersion } from './entry-version.ts';

type Kept = Pick<FleetEntry, 'id' | 'number' | 'keptAt'>;

/** One boat's line in the fleet. */
export const fleetEntryOf = (plan: Plan, kept: Kept): FleetEntry => {
  const found = findings(plan);
  const water = workingWater(plan);
  const of = (wanted: string) => found.filter(({ severity }) => severity === wanted);
  const [gravest = null] = [...of('stop'), ...of('check')].map(({ severity, title }) => ({ severity, title }));
  return {
    ...kept,
    name: plan.boat.name,
    lengthM: plan.boat.lengthM,
    hullForm: plan.boat.hullForm,
    water: water ? `${water.name}, ${water.kind}` : '',
    practice: plan.practice === true,
    stages: stageStates(plan, found).map(({ number, state }) => ({ number, state })),
    stops: of('stop').length,
    checks: of('check').length,
    gravest,
    next: nextStep(plan, found),
  };
};

/** A text in which letters of any case and with any accent are found alike. */
export const searchText = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** The same, so that "Hull 2" comes before "Hull 10". */
const inOrder = (text: string): string => searchText(text).replace(/\d+/g, (digits) => digits.padStart(12, '0'));

/** Those that are done come after all that are not. */
export const allDone = stageNames.length + 1;

/** What the fleet's table holds of a line besides the line itself. */
export const fleetColumnsOf = (entry: FleetEntry) => ({
  entry: JSON.stringify(entry),
  entry_version: fleetEntryVersion,
  sought: searchText(`${entry.name} ${entry.water} ${entry.hullForm}`),
  name_order: inOrder(entry.name),
  water_order: inOrder(entry.water),
  stops: entry.stops,
  checks: entry.checks,
  next_stage: entry.next ? stageNumber(entry.next.stage) : allDone,
});
