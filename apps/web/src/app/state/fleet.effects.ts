import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import type { FleetEntry } from '@grey-keel/model';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store, type Action } from '@ngrx/store';
import {
  catchError,
  concat,
  concatMap,
  defaultIfEmpty,
  defer,
  exhaustMap,
  ignoreElements,
  map,
  of,
  switchMap,
  tap,
  timer,
  toArray,
  type Observable,
} from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { saveBundles } from '../fleet/save-bundles.ts';
import { fleetFeature, fleetPageEvents, fleetServerEvents, isCalled, type NamedBoat } from './fleet.ts';

const longestName = 80;
const copyName = (name: string, practice: boolean): string =>
  practice ? `Practice, ${name}`.slice(0, longestName) : `${name}, copy`.slice(0, longestName);
/** How long it is waited for the next letter, ms. */
const typingMs = 200;
/** So many boats are offered by name beside everything else. */
const mostNamed = 8;

/** Does at the server what is wanted of the fleet, one after another, and fetches it anew where it changed. */
@Injectable()
export class FleetEffects {
  private readonly events = inject(Actions);
  private readonly api = inject(ServerApi);
  private readonly router = inject(Router);
  private readonly store = inject(Store);

  readonly load = createEffect(() =>
    this.events.pipe(
      ofType(
        fleetPageEvents.opened,
        fleetPageEvents.queryChanged,
        fleetPageEvents.backupRestored,
        fleetServerEvents.bundleImported,
        fleetServerEvents.boatsDeleted,
        fleetServerEvents.boatsBack,
      ),
      switchMap((event) =>
        event.type === fleetPageEvents.queryChanged.type && 'search' in event.changes
          ? timer(typingMs).pipe(map(() => event))
          : of(event),
      ),
      concatLatestFrom(() => this.store.select(fleetFeature.selectQuery)),
      switchMap(([, query]) =>
        this.api.fleet(query).pipe(
          map((page) => fleetServerEvents.loaded({ page })),
          catchError((error: unknown) => of(fleetServerEvents.notLoaded({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );

  readonly findByName = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.namesTyped),
      switchMap(({ words }) =>
        this.api.fleet({ search: words, count: mostNamed }).pipe(
          map(({ boats }) => fleetServerEvents.namesFound({ boats })),
          catchError((error: unknown) => of(fleetServerEvents.notLoaded({ detail: problemOf(error).detail }))),
        ),
      ),
    ),
  );

  readonly add = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.boatNamed),
      // A second press while the first is under way means the same boat.
      exhaustMap(({ id, boat, meant }) =>
        this.done(
          this.namesakes(boat.name).pipe(
            concatMap(({ length }) =>
              length > 0 && !meant
                ? of(fleetServerEvents.nameTaken({ name: boat.name }))
                : this.api.make(id, boat).pipe(map(() => fleetServerEvents.boatAdded({ id }))),
            ),
          ),
          (event) => event,
        ),
      ),
    ),
  );

  readonly copy = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.copyWanted),
      exhaustMap(({ id, boat, practice = false }) =>
        this.done(this.api.copy(boat.id, id, copyName(boat.name, practice), practice), () =>
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
      ofType(fleetPageEvents.boatsDeleted),
      concatMap(({ boats }) =>
        this.asFarAsItGoes(boats, ({ id }) => this.api.remove(id)).pipe(map(fleetServerEvents.boatsDeleted)),
      ),
    ),
  );

  readonly recall = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.boatsWantedBack),
      concatMap(({ boats }) =>
        this.asFarAsItGoes(boats, ({ id }) => this.api.recall(id)).pipe(map(fleetServerEvents.boatsBack)),
      ),
    ),
  );

  readonly import = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.bundleChosen),
      concatMap(({ id, text }) =>
        this.done(
          this.api
            .importBundle(id, text)
            .pipe(
              concatMap((bundle) =>
                this.namesakes(bundle.plan.boat.name).pipe(
                  map((alike) => ({ bundle, alike: alike.filter((one) => one.id !== bundle.id).length })),
                ),
              ),
            ),
          ({ bundle, alike }) => fleetServerEvents.bundleImported({ bundle, alike }),
        ),
      ),
    ),
  );

  readonly export = createEffect(() =>
    this.events.pipe(
      ofType(fleetPageEvents.bundlesWanted),
      concatMap(({ boats }) =>
        this.done(
          concat(...boats.map(({ id }) => this.api.bundle(id))).pipe(
            toArray(),
            concatMap((files) => saveBundles(boats.map(({ name }, i) => ({ name, file: files[i] ?? new Blob() })))),
          ),
          () => fleetServerEvents.bundlesExported({ boats }),
        ),
      ),
    ),
  );

  /** Boats that are called so already, wherever they stand in the fleet. */
  private namesakes(name: string): Observable<FleetEntry[]> {
    return this.api.fleet({ search: name, count: 200 }).pipe(map(({ boats }) => boats.filter(isCalled(name))));
  }

  /** One after another up to the first that fails: which were done, and why it stopped. */
  private asFarAsItGoes<B extends NamedBoat>(
    boats: readonly B[],
    work: (boat: B) => Observable<unknown>,
  ): Observable<{ boats: readonly B[]; failed: string | null }> {
    return defer(() => {
      const done: B[] = [];
      return concat(
        ...boats.map((boat) => defer(() => work(boat)).pipe(tap({ complete: () => done.push(boat) }))),
      ).pipe(
        ignoreElements(),
        catchError((error: unknown) => of(problemOf(error).detail)),
        defaultIfEmpty(null),
        map((failed) => ({ boats: done, failed })),
      );
    });
  }

  private done<T>(work: Observable<T>, tell: (answer: T) => Action): Observable<Action> {
    return work.pipe(
      map(tell),
      catchError((error: unknown) => of(fleetServerEvents.notDone({ detail: problemOf(error).detail }))),
    );
  }
}
