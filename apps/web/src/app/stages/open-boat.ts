import { inject, linkedSignal, type Signal } from '@angular/core';
import type { Plan } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { OpenPlan } from '../state/open-plan.ts';
import { selectPlan } from '../state/plan.selectors.ts';
import { selectUnitChoice, selectWay } from '../state/view.ts';

/** What every stage needs: the open plan, the reader's units, and the way to change things. Stages are shown of an open boat only. */
export const openBoat = () => {
  const store = inject(Store);
  const plan = store.selectSignal(selectPlan);
  // While a boat is closed its stage is still there for a moment, with the boat it showed.
  const open: Signal<Plan> = linkedSignal<Plan | null, Plan>({
    source: plan,
    computation: (now, before) => {
      const shown = now ?? before?.value;
      if (!shown) throw new Error('No boat is open.');
      return shown;
    },
  });
  return {
    plan: open,
    units: store.selectSignal(selectUnitChoice),
    way: store.selectSignal(selectWay),
    edits: inject(OpenPlan),
  };
};
