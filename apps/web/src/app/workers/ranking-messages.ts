import type { Question, Rankings } from '@grey-keel/core';
import type { CatalogueEntry, Plan } from '@grey-keel/model';

/** Counted, so that an answer to an older question is told from the newest. */
export interface RankingRequest {
  readonly turn: number;
  readonly plan: Plan;
  readonly catalogue: readonly CatalogueEntry[];
  readonly question: Question;
}

export interface RankingReply {
  readonly turn: number;
  readonly answer: Rankings | null;
}
