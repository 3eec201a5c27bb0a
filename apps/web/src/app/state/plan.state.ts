import type { Conflict } from '@grey-keel/core';
import type { Edit, Patch, Path, Plan } from '@grey-keel/model';
import type { ServerProblem } from '../api/problem.ts';

/** Edits made here that the server has not answered for yet. */
export interface Unsent {
  readonly revisionId: string;
  readonly edits: Edit[];
  readonly patches: Patch[];
  /** The revision they build on, by number and id; null is the boat as it was made. */
  readonly base: number;
  readonly baseId: string | null;
}

/** Edits that no longer apply, or that the server refused: they wait aside until their user exports or drops them. */
export interface Stuck extends Unsent {
  readonly reason: string;
}

export interface UndoStep {
  readonly label: string;
  readonly patches: Patch[];
}

/** Changes made here that meet changes made elsewhere, waiting for a choice. */
export interface OpenConflict {
  /** Everything that waits here, in the order it was made, and every place that was changed elsewhere since. */
  readonly mine: Patch[];
  readonly paths: Path[];
  readonly clear: Patch[];
  readonly conflicting: Patch[];
  readonly conflicts: Conflict[];
  /** The revisions they came from: no longer sent as they are, so their places in the outbox are given up when settled. */
  readonly replaces: string[];
}

export interface PlanState {
  readonly status: 'none' | 'loading' | 'ready' | 'not found' | 'failed';
  readonly boatId: string | null;
  readonly problem: string | null;
  /** The newest revision known to be kept, and the plan as it was then. */
  readonly number: number;
  readonly revisionId: string | null;
  /** The newest revision heard of: while it is greater, this window is behind. */
  readonly heard: number;
  /** Deleted elsewhere while it was open here. */
  readonly gone: boolean;
  readonly keptAt: string | null;
  readonly kept: Plan | null;
  /** The kept plan with what is unsent on top: what is shown. */
  readonly plan: Plan | null;
  readonly unsent: Unsent[];
  readonly stuck: Stuck[];
  readonly undo: UndoStep[];
  readonly redo: UndoStep[];
  readonly conflict: OpenConflict | null;
  /** Why the last sending failed, or null while all is well. */
  readonly waiting: ServerProblem | null;
  readonly notice: string | null;
}

export const noPlan: PlanState = {
  status: 'none',
  boatId: null,
  problem: null,
  number: 0,
  revisionId: null,
  heard: 0,
  gone: false,
  keptAt: null,
  kept: null,
  plan: null,
  unsent: [],
  stuck: [],
  undo: [],
  redo: [],
  conflict: null,
  waiting: null,
  notice: null,
};
