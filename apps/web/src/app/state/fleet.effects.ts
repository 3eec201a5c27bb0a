import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { Action } from '@ngrx/store';
import { catchError, concatMap, exhaustMap, map, of, switchMap, tap, type Observable } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { fileNameOf, saveFile } from '../shared/save-file.ts';
import { fleetPageEvents, fleetServerEvents } from './fleet.ts';

const longestName = 80;

/** Does at the server what is wanted of the fleet, one after another, and fetches it anew where it changed. */
@Injectable()
export class FleetEffects {
  private readonly events = inject(Actions);
  private readonly api = inject(ServerApi);
  private readonly router = inject(Router);

  readonly load = createEffect(() =>
    this.events.pipe(
      ofType(
        fleetPageEvents.opened,
        fleetPageEvents.backupRestored,
        fleetServerEvents.bundleImported,
        fleetServerEvents.boatBack,
      ),
      switchMap(() =>
        this.api.fleet().pipe(
          map((boats) => fleetServerEvents.loaded({ boats })),
          catchError((error: unknown) => of(fleetServerEvents.notLoaded({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );

  readonly add = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.boatNamed),
      // A second press while the first is under way means the same boat.
      exhaustMap(({ id, name }) => this.done(this.api.make(id, name), () => fleetServerEvents.boatAdded({ id }))),
    ),
  );

  readonly copy = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.copyWanted),
      exhaustMap(({ id, boat }) =>
        this.done(this.api.copy(boat.id, id, `${boat.name}, copy`.slice(0, longestName)), () =>
          fleetServerEvents.boatAdded({ id }),
        ),
      ),
    ),
  );

  readonly openAdded = createEffect(
    () =>
      this.events.pipe(
        ofType(fleetServerEvents.boatAdded),
        tap(({ id }) => void this.router.navigate(['boats', id, 'brief'])),
      ),
    { dispatch: false },
  );

  readonly delete = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.boatDeleted),
      concatMap(({ boat }) => this.done(this.api.remove(boat.id), () => fleetServerEvents.boatDeleted({ boat }))),
    ),
  );

  readonly recall = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.boatWantedBack),
      concatMap(({ boat }) => this.done(this.api.recall(boat.id), () => fleetServerEvents.boatBack({ boat }))),
    ),
  );

  readonly import = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.bundleChosen),
      concatMap(({ id, text }) =>
        this.done(this.api.importBundle(id, text), (bundle) => fleetServerEvents.bundleImported({ bundle })),
      ),
    ),
  );

  readonly export = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.bundleWanted),
      concatMap(({ boat }) =>
        this.done(this.api.bundle(boat.id), (file) => {
          saveFile(file, fileNameOf(boat.name, '.grey-keel.json'));
          return fleetServerEvents.bundleExported({ boat });
        }),
      ),
    ),
  );

  private done<T>(work: Observable<T>, tell: (answer: T) => Action): Observable<Action> {
    return work.pipe(
      map(tell),
      catchError((error: unknown) => of(fleetServerEvents.notDone({ detail: problemOf(error).detail }))),
    );
  }
}
