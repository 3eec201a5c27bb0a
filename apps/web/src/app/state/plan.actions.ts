import type { BoatNews, Edit, KeptRevision, OpenedBoat, Path, Revision } from '@grey-keel/model';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { ServerProblem } from '../api/problem.ts';
import type { Stuck, Unsent } from './plan.state.ts';

/** What has happened to the open boat. Ids are made by whoever tells, so that the reducer stays pure. */
export const planEvents = createActionGroup({
  source: 'Plan',
  events: {
    'boat chosen': props<{ id: string }>(),
    'boat loaded': props<{ boat: OpenedBoat; unsent: Unsent[]; stuck: Stuck[]; since: Revision[] }>(),
    /** What a window that was closed had left unsent, with what was kept since it was made. */
    'left taken up': props<{ unsent: Unsent[]; stuck: Stuck[]; since: Revision[] }>(),
    'news heard': props<{ news: BoatNews }>(),
    'boat not found': props<{ id: string }>(),
    'boat not loaded': props<{ id: string; problem: ServerProblem }>(),
    'boat closed': emptyProps(),
    edited: props<{ revisionId: string; edits: Edit[]; label: string }>(),
    undone: props<{ revisionId: string }>(),
    redone: props<{ revisionId: string }>(),
    'set aside': props<{ revisionId: string }>(),
    'revision kept': props<{ kept: KeptRevision }>(),
    'others changed': props<{ revisions: Revision[] }>(),
    /** `replaces` are the revisions that were asked about. */
    'clash settled': props<{ revisionId: string; mine: Path[]; replaces: string[] }>(),
    'sending failed': props<{ problem: ServerProblem }>(),
    'revision refused': props<{ revisionId: string; detail: string }>(),
    'stuck dropped': props<{ revisionId: string }>(),
    'retry due': emptyProps(),
    told: props<{ words: string }>(),
    'notice read': emptyProps(),
  },
});
