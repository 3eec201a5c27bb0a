import { inject, Injectable, type ErrorHandler } from '@angular/core';
import { Store } from '@ngrx/store';
import { viewEvents } from '../state/view.ts';
import { problemOf } from './problem.ts';

/** What nobody caught: told to the user in plain words, and to the console whole. */
@Injectable()
export class PlainErrors implements ErrorHandler {
  private readonly store = inject(Store);

  handleError(error: unknown): void {
    console.error(error);
    this.store.dispatch(viewEvents.wentWrong({ words: problemOf(error).detail }));
  }
}
