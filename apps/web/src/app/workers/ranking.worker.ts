import { rankings, type Question, type Rankings } from '@grey-keel/core';
import type { CatalogueEntry, Plan } from '@grey-keel/model';
import { expose } from 'comlink';

/** Ranks a large catalogue. */
const ranking = {
  rank: (plan: Plan, catalogue: readonly CatalogueEntry[], question: Question): Rankings | null =>
    rankings(plan, catalogue, question),
};
export type RankingWork = typeof ranking;

expose(ranking);
