import { inject, Injectable } from '@angular/core';
import { revisionSchema } from '@grey-keel/model';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import {
  catchError,
  concatMap,
  EMPTY,
  exhaustMap,
  filter,
  from,
  map,
  of,
  switchMap,
  timer,
  type Observable,
  tap,
} from 'rxjs';
import * as z from 'zod';
import { offline, problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { Outbox } from './outbox.ts';
import { OtherTabs } from './other-tabs.ts';
import { planEvents } from './plan.actions.ts';
import { planFeature } from './plan.reducer.ts';
import type { PlanState } from './plan.state.ts';

const retryAfterMs = 2000;
const behindSchema = z.looseObject({ missing: z.array(revisionSchema) });

/** Keeps the open boat and the server together: sets edits aside, sends them one by one, follows what others do. */
@Injectable()
export class PlanEffects {
  private readonly events = inject(Actions);
  private readonly store = inject(Store);
  private readonly api = inject(ServerApi);
  private readonly outbox = inject(Outbox);
  private readonly tabs = inject(OtherTabs);
  private readonly state = this.store.selectSignal(planFeature.selectPlanState);

  readonly load = createEffect(() =>
    this.events.pipe(
      ofType(planEvents.boatChosen),
      switchMap(({ id }) => this.loaded(id)),
    ),
  );

  readonly setAside = createEffect(() =>
    this.events.pipe(
      ofType(planEvents.edited, planEvents.undone, planEvents.redone),
      tap(({ revisionId }) => {
        const { boatId, number, unsent } = this.state();
        const entry = unsent.find((one) => one.revisionId === revisionId);
        if (entry && boatId !== null) this.outbox.note({ ...entry, boatId, base: number });
      }),
      concatMap(({ revisionId }) => {
        const { boatId, number, unsent } = this.state();
        const entry = unsent.find((one) => one.revisionId === revisionId);
        if (!entry || boatId === null) return EMPTY;
        return from(this.outbox.put({ ...entry, boatId, base: number })).pipe(
          map(() => planEvents.setAside({ revisionId })),
          // Where the browser keeps nothing, the edit is still sent.
          catchError(() => of(planEvents.setAside({ revisionId }))),
        );
      }),
    ),
  );

  readonly settle = createEffect(() =>
    this.events.pipe(
      ofType(planEvents.clashSettled),
      concatMap(({ revisionId }) => {
        const { boatId, number, unsent } = this.state();
        const entry = unsent.find((one) => one.revisionId === revisionId);
        const kept = new Set(unsent.map((one) => one.revisionId));
        const put = entry && boatId !== null ? this.outbox.put({ ...entry, boatId, base: number }) : Promise.resolve();
        return from(
          put
            .then(() => this.outbox.adopt(boatId ?? ''))
            .then((left) => this.outbox.forget(left.map((one) => one.revisionId).filter((id) => !kept.has(id)))),
        ).pipe(
          map(() => planEvents.setAside({ revisionId })),
          catchError(() => of(planEvents.setAside({ revisionId }))),
        );
      }),
    ),
  );

  readonly send = createEffect(() =>
    this.events.pipe(
      ofType(
        planEvents.boatLoaded,
        planEvents.setAside,
        planEvents.revisionKept,
        planEvents.othersChanged,
        planEvents.revisionRefused,
        planEvents.retryDue,
      ),
      concatMap(() => this.sendFirst()),
    ),
  );

  readonly forgetKept = createEffect(
    () =>
      this.events.pipe(
        ofType(planEvents.revisionKept),
        concatMap(({ kept }) => {
          const { boatId } = this.state();
          if (boatId === null) return EMPTY;
          this.tabs.tell({ boatId, number: kept.number });
          return from(this.outbox.acknowledge(boatId, [kept.revisionId], kept.number)).pipe(catchError(() => EMPTY));
        }),
      ),
    { dispatch: false },
  );

  readonly forgetArrived = createEffect(
    () =>
      this.events.pipe(
        ofType(planEvents.othersChanged, planEvents.boatLoaded),
        concatMap((event) => {
          const { boatId, number } = this.state();
          const revisions = 'revisions' in event ? event.revisions : event.since;
          if (boatId === null || revisions.length === 0) return EMPTY;
          const ids = revisions.map(({ revisionId }) => revisionId);
          return from(this.outbox.acknowledge(boatId, ids, number)).pipe(catchError(() => EMPTY));
        }),
      ),
    { dispatch: false },
  );

  readonly forgetRefused = createEffect(
    () =>
      this.events.pipe(
        ofType(planEvents.revisionRefused),
        concatMap(({ revisionId }) => from(this.outbox.forget([revisionId])).pipe(catchError(() => EMPTY))),
      ),
    { dispatch: false },
  );

  readonly retry = createEffect(() =>
    this.events.pipe(
      ofType(planEvents.sendingFailed),
      switchMap(() => timer(retryAfterMs)),
      map(() => planEvents.retryDue()),
    ),
  );

  readonly follow = createEffect(() =>
    this.tabs.told.pipe(
      filter(({ boatId, number }) => boatId === this.state().boatId && number > this.state().number),
      exhaustMap(({ boatId }) => this.catchUp(boatId)),
    ),
  );

  private loaded(id: string): Observable<Action> {
    return from(this.outbox.adopt(id).catch(() => [])).pipe(
      concatMap((unsent) =>
        this.api.open(id).pipe(
          concatMap((boat) => {
            const base = Math.min(boat.number, ...unsent.map((entry) => entry.base));
            const since = unsent.length === 0 ? of([]) : this.api.revisionsSince(id, base);
            return since.pipe(map((revisions) => planEvents.boatLoaded({ boat, unsent, since: revisions })));
          }),
        ),
      ),
      catchError((error: unknown) => {
        const problem = problemOf(error);
        return of(problem.status === 404 ? planEvents.boatNotFound({ id }) : planEvents.boatNotLoaded({ id, problem }));
      }),
    );
  }

  private sendFirst(): Observable<Action> {
    const { boatId, unsent, number, clash }: PlanState = this.state();
    const [first] = unsent;
    if (boatId === null || !first || clash) return EMPTY;
    const { revisionId, edits } = first;
    return this.api.send(boatId, { revisionId, base: number, edits }).pipe(
      concatMap((kept) =>
        // An answer that was lost before, with others' edits since: follow them all instead of guessing.
        kept.number === this.state().number + 1 ? of(planEvents.revisionKept({ kept })) : this.catchUp(boatId),
      ),
      catchError((error: unknown) => {
        const problem = problemOf(error);
        const behind = behindSchema.safeParse(problem.body);
        if (problem.status === 412 && behind.success)
          return of(planEvents.othersChanged({ revisions: behind.data.missing }));
        // Anything else keeps the edit waiting: a server that lost revisions must not take the newest with them.
        if (problem.status === 422) return of(planEvents.revisionRefused({ revisionId, detail: problem.detail }));
        return of(
          planEvents.sendingFailed({
            problem: problem.status === 404 ? { ...problem, status: offline } : problem,
          }),
        );
      }),
    );
  }

  private catchUp(boatId: string): Observable<Action> {
    return this.api.revisionsSince(boatId, this.state().number).pipe(
      map((revisions) => planEvents.othersChanged({ revisions })),
      catchError((error: unknown) => of(planEvents.sendingFailed({ problem: problemOf(error) }))),
    );
  }
}
