import { inject, Injectable } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { debounceTime, distinctUntilChanged, filter, map, tap } from 'rxjs';
import { boatEvents, serverEvents } from './plan.actions.ts';
import { planFeature } from './plan.reducer.ts';
import { UndoMemory } from './undo-memory.ts';

/** Soon after the last of several changes; a window that is left sooner loses a step of undo at most. */
const settleMs = 150;

/** Remembers what can be undone, and has it back when the same boat is opened again as it was left. */
@Injectable()
export class UndoEffects {
  private readonly events = inject(Actions);
  private readonly store = inject(Store);
  private readonly memory = inject(UndoMemory);

  readonly remember = createEffect(
    () =>
      this.store.select(planFeature.selectPlanState).pipe(
        filter(({ status }) => status === 'ready'),
        distinctUntilChanged(
          (a, b) => a.undo === b.undo && a.redo === b.redo && a.unsent === b.unsent && a.revisionId === b.revisionId,
        ),
        debounceTime(settleMs),
        tap((state) => this.memory.write(state)),
      ),
    { dispatch: false },
  );

  readonly recall = createEffect(() =>
    this.events.pipe(
      ofType(serverEvents.boatLoaded),
      concatLatestFrom(() => this.store.select(planFeature.selectPlanState)),
      map(([, state]) => (state.undo.length + state.redo.length === 0 ? this.memory.read(state) : null)),
      filter((steps) => steps !== null),
      map((steps) => boatEvents.stepsRecalled(steps)),
    ),
  );
}
