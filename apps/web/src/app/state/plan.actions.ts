import type { BoatNews, Edit, SavedRevision, OpenedBoat, Path, Revision } from '@grey-keel/model';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { ServerProblem } from '../api/problem.ts';
import type { Stuck, UndoStep, Unsent } from './plan.state.ts';

/** What is done to the open boat. Ids are made by whoever tells, so that the reducer stays pure. */
export const boatEvents = createActionGroup({
  source: 'Boat',
  events: {
    'boat chosen': props<{ id: string }>(),
    'boat closed': emptyProps(),
    edited: props<{ revisionId: string; edits: Edit[]; label: string }>(),
    undone: props<{ revisionId: string }>(),
    redone: props<{ revisionId: string }>(),
    /** What could be undone before this window was loaded anew. */
    'steps recalled': props<{ undo: UndoStep[]; redo: UndoStep[] }>(),
    /** `replaces` are the revisions that were asked about. */
    'conflict settled': props<{ revisionId: string; mine: Path[]; replaces: string[] }>(),
    'stuck dropped': props<{ revisionId: string }>(),
    'notice read': emptyProps(),
  },
});

/** What the server answers of the open boat, and what it tells by itself. */
export const serverEvents = createActionGroup({
  source: 'Server',
  events: {
    'boat loaded': props<{ boat: OpenedBoat; unsent: Unsent[]; stuck: Stuck[]; since: Revision[] }>(),
    'boat not found': props<{ id: string }>(),
    'boat not loaded': props<{ id: string; problem: ServerProblem }>(),
    'news heard': props<{ news: BoatNews }>(),
    'revision kept': props<{ kept: SavedRevision }>(),
    'others changed': props<{ revisions: Revision[] }>(),
    'revision refused': props<{ revisionId: string; detail: string }>(),
    'sending failed': props<{ problem: ServerProblem }>(),
  },
});

/** What becomes of edits that wait in this browser. */
export const outboxEvents = createActionGroup({
  source: 'Outbox',
  events: {
    'set aside': props<{ revisionId: string }>(),
    /** What a window that was closed had left unsent, with what was kept since it was made. */
    'left taken up': props<{ unsent: Unsent[]; stuck: Stuck[]; since: Revision[] }>(),
    'retry due': emptyProps(),
    told: props<{ words: string }>(),
  },
});
