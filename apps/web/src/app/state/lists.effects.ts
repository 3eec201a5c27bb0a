import { inject, Injectable } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, map, of, switchMap } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { catalogueEvents, fleetEvents } from './lists.ts';

/** Fetches the fleet and the catalogue when they are wanted. */
@Injectable()
export class ListEffects {
  private readonly events = inject(Actions);
  private readonly api = inject(ServerApi);

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
      switchMap(() =>
        this.api.catalogue().pipe(
          map((entries) => catalogueEvents.loaded({ entries })),
          catchError((error: unknown) => of(catalogueEvents.failed({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );
}
