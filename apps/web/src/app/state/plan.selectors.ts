import { cardOf, findings, stageStates } from '@grey-keel/core';
import { createSelector } from '@ngrx/store';
import { planFeature } from './plan.reducer.ts';

export const {
  selectPlan,
  selectStatus,
  selectBoatId,
  selectProblem,
  selectUnsent,
  selectKeptAt,
  selectUndo,
  selectRedo,
  selectConflict,
  selectWaiting,
  selectNotice,
  selectNumber,
  selectStuck,
  selectGone,
  selectHeard,
} = planFeature;

/** The places of the plan that a template filled in and nobody has confirmed. */
export const selectAssumed = createSelector(selectPlan, (plan) => plan?.assumed);
export const selectFindings = createSelector(selectPlan, (plan) => (plan ? findings(plan) : []));

export const selectStages = createSelector(selectPlan, selectFindings, (plan, found) =>
  plan ? stageStates(plan, found) : [],
);

export const selectCard = createSelector(selectPlan, (plan) => (plan ? cardOf(plan) : null));
