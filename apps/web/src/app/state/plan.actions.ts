import type { Edit, KeptRevision, OpenedBoat, Path, Revision } from '@grey-keel/model';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { ServerProblem } from '../api/problem.ts';
import type { Unsent } from './plan.state.ts';

/** What has happened to the open boat. Ids are made by whoever tells, so that the reducer stays pure. */
export const planEvents = createActionGroup({
  source: 'Plan',
  events: {
    'boat chosen': props<{ id: string }>(),
    'boat loaded': props<{ boat: OpenedBoat; unsent: Unsent[]; since: Revision[] }>(),
    'boat not found': props<{ id: string }>(),
    'boat not loaded': props<{ id: string; problem: ServerProblem }>(),
    'boat closed': emptyProps(),
    edited: props<{ revisionId: string; edits: Edit[]; label: string }>(),
    undone: props<{ revisionId: string }>(),
    redone: props<{ revisionId: string }>(),
    'set aside': props<{ revisionId: string }>(),
    'revision kept': props<{ kept: KeptRevision }>(),
    'others changed': props<{ revisions: Revision[] }>(),
    'clash settled': props<{ revisionId: string; mine: Path[] }>(),
    'sending failed': props<{ problem: ServerProblem }>(),
    'revision refused': props<{ revisionId: string; detail: string }>(),
    'retry due': emptyProps(),
    'notice read': emptyProps(),
  },
});
