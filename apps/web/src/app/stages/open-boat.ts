import { computed, inject, type Signal } from '@angular/core';
import { emptyPlan, type Plan } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { OpenPlan } from '../state/open-plan.ts';
import { selectPlan } from '../state/plan.selectors.ts';
import { selectUnitChoice, selectWay } from '../state/view.ts';

const nobody = emptyPlan('none');

/** What every stage needs: the open plan, the reader's units, and the way to change things. */
export const openBoat = () => {
  const store = inject(Store);
  const plan = store.selectSignal(selectPlan);
  const open: Signal<Plan> = computed(() => plan() ?? nobody);
  return {
    plan: open,
    units: store.selectSignal(selectUnitChoice),
    way: store.selectSignal(selectWay),
    edits: inject(OpenPlan),
  };
};
