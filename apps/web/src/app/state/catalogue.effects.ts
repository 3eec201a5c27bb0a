import { inject, Injectable } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, exhaustMap, filter, map, of, tap } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { catalogueFeature, catalogueServerEvents, catalogueViewEvents } from './catalogue.ts';

/** For so long a catalogue is not asked for again by the next view: another window may have added to it after that. */
const freshMs = 30_000;

/** Fetches the catalogue when it is wanted. */
@Injectable()
export class CatalogueEffects {
  private readonly events = inject(Actions);
  private readonly api = inject(ServerApi);
  private readonly store = inject(Store);
  private loadedAtMs = Number.NEGATIVE_INFINITY;

  readonly load = createEffect(() =>
    this.events.pipe(
      ofType(catalogueViewEvents.wanted),
      concatLatestFrom(() => this.store.select(catalogueFeature.selectStatus)),
      filter(([, status]) => status !== 'ready' || performance.now() - this.loadedAtMs > freshMs),
      exhaustMap(() =>
        this.api.catalogue().pipe(
          tap(() => (this.loadedAtMs = performance.now())),
          map((entries) => catalogueServerEvents.loaded({ entries })),
          catchError((error: unknown) => of(catalogueServerEvents.notLoaded({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );
}
