import type { Edit } from '@grey-keel/model';
import type { Action } from '@ngrx/store';
import { boatEvents, serverEvents } from '../state/plan.actions.ts';
import { planFeature } from '../state/plan.reducer.ts';
import { noPlan, type PlanState } from '../state/plan.state.ts';
import { opened } from './plans.ts';

/** The store of the open boat as events leave it. */
export const uuid = (n: number): string => `00000000-0000-4000-9000-${String(n).padStart(12, '0')}`;
export const boat = (changes: Extract<Edit, { type: 'describeBoat' }>['changes']): Edit[] => [
  { type: 'describeBoat', changes },
];
export const run = (state: PlanState, ...events: Action[]): PlanState => events.reduce(planFeature.reducer, state);
export const edited = (n: number, changes: Parameters<typeof boat>[0]): Action =>
  boatEvents.edited({ revisionId: uuid(n), edits: boat(changes), label: `edit ${n}` });
export const acknowledgedAs = (n: number, number: number): Action =>
  serverEvents.revisionKept({ kept: { revisionId: uuid(n), number, keptAt: '2026-05-01T11:00:00.000Z' } });

export const ready = (): PlanState =>
  run(
    noPlan,
    boatEvents.boatChosen({ id: 'test-hull' }),
    serverEvents.boatLoaded({ boat: opened(), unsent: [], stuck: [], since: [] }),
  );
