import { inject, Injectable } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, exhaustMap, filter, map, of, switchMap, tap } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { catalogueEvents, catalogueFeature, fleetEvents } from './lists.ts';

/** For so long a catalogue is not asked for again by the next view: another window may have added to it after that. */
const freshMs = 30_000;

/** Fetches the fleet and the catalogue when they are wanted. */
@Injectable()
export class ListEffects {
  private readonly events = inject(Actions);
  private readonly api = inject(ServerApi);
  private readonly store = inject(Store);
  private catalogueAtMs = Number.NEGATIVE_INFINITY;

  readonly fleet = createEffect(() =>
    this.events.pipe(
      ofType(fleetEvents.opened),
      switchMap(() =>
        this.api.fleet().pipe(
          map((boats) => fleetEvents.loaded({ boats })),
          catchError((error: unknown) => of(fleetEvents.failed({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );

  readonly catalogue = createEffect(() =>
    this.events.pipe(
      ofType(catalogueEvents.wanted),
      concatLatestFrom(() => this.store.select(catalogueFeature.selectStatus)),
      filter(([, status]) => status !== 'ready' || performance.now() - this.catalogueAtMs > freshMs),
      exhaustMap(() =>
        this.api.catalogue().pipe(
          tap(() => (this.catalogueAtMs = performance.now())),
          map((entries) => catalogueEvents.loaded({ entries })),
          catchError((error: unknown) => of(catalogueEvents.failed({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );
}
