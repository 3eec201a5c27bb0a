import { inject, Injectable } from '@angular/core';
import type { Edit } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { planEvents } from './plan.actions.ts';

let counter = 0;

/** An id that sorts by the time it was made. */
export const newId = (): string => {
  counter = (counter + 1) % 1296;
  const random = crypto.getRandomValues(new Uint16Array(1))[0] ?? 0;
  return `${Date.now().toString(36)}-${counter.toString(36).padStart(2, '0')}${random.toString(36)}`;
};

/** What components do to the open boat: one gesture, one edit. */
@Injectable({ providedIn: 'root' })
export class OpenPlan {
  private readonly store = inject(Store);

  edit(label: string, ...edits: Edit[]): void {
    this.store.dispatch(planEvents.edited({ revisionId: crypto.randomUUID(), edits, label }));
  }

  undo(): void {
    this.store.dispatch(planEvents.undone({ revisionId: crypto.randomUUID() }));
  }

  redo(): void {
    this.store.dispatch(planEvents.redone({ revisionId: crypto.randomUUID() }));
  }
}
