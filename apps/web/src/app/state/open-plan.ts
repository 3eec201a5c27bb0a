import { inject, Injectable, signal } from '@angular/core';
import type { Edit } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { boatEvents } from './plan.actions.ts';

let counter = 0;

/**
 * An id that sorts by the time it was made, after all that were made before: lists stand in the order of their ids, so
 * its first part stays as it always was. The rest is a count and 64 random bits, so that two devices never make the same.
 */
export const newId = (): string => {
  counter = (counter + 1) % 1296;
  const random = crypto.getRandomValues(new BigUint64Array(1))[0] ?? 0n;
  return `${Date.now().toString(36)}-${counter.toString(36).padStart(2, '0')}${random.toString(36).padStart(13, '0')}`;
};

/** What components do to the open boat: one gesture, one edit. */
@Injectable({ providedIn: 'root' })
export class OpenPlan {
  private readonly store = inject(Store);

  /** What was just done here by hand; null once something was undone, and on a boat that was just opened. */
  readonly justDone = signal<string | null>(null);

  edit(label: string, ...edits: Edit[]): void {
    this.justDone.set(label);
    this.store.dispatch(boatEvents.edited({ revisionId: crypto.randomUUID(), edits, label }));
  }

  undo(): void {
    this.justDone.set(null);
    this.store.dispatch(boatEvents.undone({ revisionId: crypto.randomUUID() }));
  }

  redo(): void {
    this.justDone.set(null);
    this.store.dispatch(boatEvents.redone({ revisionId: crypto.randomUUID() }));
  }
}
