import { inject, Injectable, untracked } from '@angular/core';
import type { Revision } from '@grey-keel/model';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store, type Action } from '@ngrx/store';
import {
  catchError,
  concatMap,
  distinctUntilChanged,
  EMPTY,
  exhaustMap,
  filter,
  from,
  interval,
  map,
  merge,
  of,
  switchMap,
  tap,
  timer,
  type Observable,
} from 'rxjs';
import { offline, problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { notReadWords } from './not-read-words.ts';
import { Outbox } from './outbox.ts';
import { boatEvents, outboxEvents, serverEvents } from './plan.actions.ts';
import { planFeature } from './plan.reducer.ts';
import { behindSchema, otherHistorySchema, sorted } from './plan-waiting.ts';
import type { PlanState, Unsent } from './plan.state.ts';
import { ServerNews } from './server-news.ts';
import type { Made, OutboxEntry } from './waiting-entry.ts';

const retryAfterMs = 2000;
/** How often it is looked whether a tab that closed has left something. */
const lookForLeftMs = 5000;

/** Keeps the open boat and the server together: sets edits aside, sends them one by one, follows what others do. */
@Injectable()
export class PlanEffects {
  private readonly events = inject(Actions);
  private readonly store = inject(Store);
  private readonly api = inject(ServerApi);
  private readonly outbox = inject(Outbox);
  private readonly news = inject(ServerNews);
  private readonly stateNow = this.store.selectSignal(planFeature.selectPlanState);
  /** The state at this moment. An action may be dispatched while a view is being worked out, which must not hang on it. */
  private readonly state = (): PlanState => untracked(this.stateNow);

  readonly load = createEffect(() =>
    this.events.pipe(
      ofType(boatEvents.boatChosen),
      switchMap(({ id }) => this.loaded(id)),
    ),
  );

  readonly setAside = createEffect(() =>
    this.events.pipe(
      ofType(boatEvents.edited, boatEvents.undone, boatEvents.redone),
      map(({ revisionId }) => ({ revisionId, made: this.made(revisionId) })),
      tap(({ made }) => {
        if (made) this.outbox.note(made);
      }),
      concatMap(({ revisionId, made }) => {
        if (!made) return EMPTY;
        // What has met a change from elsewhere meanwhile still waits, on the base it was made on.
        const put = this.waitingHere().has(revisionId)
          ? this.outbox.put(this.made(revisionId) ?? made)
          : this.outbox.forget([revisionId]);
        return from(put).pipe(
          map(() => outboxEvents.setAside({ revisionId })),
          // Where the browser keeps nothing, the edit is still sent.
          catchError(() => of(outboxEvents.setAside({ revisionId }))),
        );
      }),
    ),
  );

  /** A question with nothing to choose between is answered at once. */
  readonly settleMoot = createEffect(() =>
    this.store.select(planFeature.selectConflict).pipe(
      filter((conflict) => conflict?.conflicts.length === 0),
      map((conflict) =>
        boatEvents.conflictSettled({ revisionId: crypto.randomUUID(), mine: [], replaces: conflict?.replaces ?? [] }),
      ),
    ),
  );

  readonly settle = createEffect(() =>
    this.events.pipe(
      ofType(boatEvents.conflictSettled),
      concatMap(({ revisionId, replaces }) => {
        const made = this.made(revisionId);
        return from(this.outbox.replace(replaces, made ? [made] : [])).pipe(
          map(() => outboxEvents.setAside({ revisionId })),
          catchError(() => of(outboxEvents.setAside({ revisionId }))),
        );
      }),
    ),
  );

  readonly send = createEffect(() =>
    this.events.pipe(
      ofType(
        serverEvents.boatLoaded,
        outboxEvents.leftTakenUp,
        outboxEvents.setAside,
        serverEvents.revisionKept,
        serverEvents.othersChanged,
        serverEvents.revisionRefused,
        outboxEvents.retryDue,
      ),
      concatMap(() => this.sendFirst()),
    ),
  );

  /** What has arrived is forgotten here; what waits on top of it builds on it from now on, and what is asked about does not. */
  readonly remember = createEffect(
    () =>
      this.events.pipe(
        ofType(
          serverEvents.revisionKept,
          serverEvents.othersChanged,
          serverEvents.boatLoaded,
          outboxEvents.leftTakenUp,
        ),
        concatMap((event) => {
          const { unsent } = this.state();
          const arrived =
            'kept' in event
              ? [event.kept.revisionId]
              : this.idsOf('revisions' in event ? event.revisions : event.since);
          return from(this.outbox.acknowledge(arrived, unsent)).pipe(catchError(() => EMPTY));
        }),
      ),
    { dispatch: false },
  );

  /** What is stuck waits aside in the outbox, too, so that a reload does not send it again. */
  readonly putAside = createEffect(
    () =>
      this.store.select(planFeature.selectStuck).pipe(
        distinctUntilChanged(),
        concatMap((stuck) => {
          const { boatId } = this.state();
          if (boatId === null || stuck.length === 0) return EMPTY;
          return from(Promise.all(stuck.map((one) => this.outbox.put({ ...one, boatId })))).pipe(
            catchError(() => EMPTY),
          );
        }),
      ),
    { dispatch: false },
  );

  readonly drop = createEffect(
    () =>
      this.events.pipe(
        ofType(boatEvents.stuckDropped),
        concatMap(({ revisionId }) => from(this.outbox.forget([revisionId])).pipe(catchError(() => EMPTY))),
      ),
    { dispatch: false },
  );

  readonly tellDamaged = createEffect(() =>
    this.events.pipe(
      ofType(serverEvents.boatLoaded),
      map(() => notReadWords(this.outbox.takeDamaged(), this.outbox.takeOutdated())),
      filter((words) => words !== ''),
      map((words) => outboxEvents.told({ words })),
    ),
  );

  readonly retry = createEffect(() =>
    this.events.pipe(
      ofType(serverEvents.sendingFailed),
      switchMap(() => timer(retryAfterMs)),
      map(() => outboxEvents.retryDue()),
    ),
  );

  readonly hear = createEffect(() =>
    this.news.told.pipe(
      // The answer to one's own sending says the same, and is on its way.
      filter(({ revisionId }) => !this.state().unsent.some((own) => own.revisionId === revisionId)),
      map((news) => serverEvents.newsHeard({ news })),
    ),
  );

  readonly follow = createEffect(() =>
    merge(
      // eslint-disable-next-line @ngrx/avoid-cyclic-effects -- it ends once nothing newer has been heard of than is there
      this.events.pipe(ofType(serverEvents.newsHeard, serverEvents.othersChanged, outboxEvents.retryDue)),
      this.news.linked.pipe(filter((up) => up)),
    ).pipe(
      filter((event) => event === true || this.state().heard > this.state().number),
      exhaustMap(() => this.catchUp()),
    ),
  );

  readonly takeLeft = createEffect(() =>
    merge(interval(lookForLeftMs), this.news.tabCloses.pipe(switchMap(() => timer(200)))).pipe(
      // What is made here is sent first: where it meets what was left, the server's history shows it.
      filter(() => this.atRest()),
      exhaustMap(() => this.leftTaken()),
    ),
  );

  readonly joinLine = createEffect(
    () =>
      this.events.pipe(
        ofType(serverEvents.boatLoaded, outboxEvents.leftTakenUp),
        concatMap(({ unsent, stuck }) => this.outbox.join(this.idsIn([...unsent, ...stuck])).catch(() => undefined)),
      ),
    { dispatch: false },
  );

  private idsIn(entries: readonly Unsent[]): string[] {
    return entries.map(({ revisionId }) => revisionId);
  }

  /** Whether nothing that is made here waits to be sent or to be answered. */
  private atRest(): boolean {
    const { status, unsent, conflict } = this.state();
    return status === 'ready' && unsent.length === 0 && !conflict;
  }

  private idsOf(revisions: readonly Revision[]): string[] {
    return revisions.map(({ revisionId }) => revisionId);
  }

  private made(revisionId: string): Made | null {
    const { boatId, unsent, stuck } = this.state();
    const entry = [...unsent, ...stuck].find((one) => one.revisionId === revisionId);
    return entry && boatId !== null ? { ...entry, boatId } : null;
  }

  /** Everything that waits and this window knows of: to be sent, aside, or asked about. */
  private waitingHere(): ReadonlySet<string> {
    const { unsent, stuck, conflict } = this.state();
    return new Set([...[...unsent, ...stuck].map(({ revisionId }) => revisionId), ...(conflict?.replaces ?? [])]);
  }

  private loaded(id: string): Observable<Action> {
    const { boatId, unsent: here } = this.state();
    return from(this.outbox.adopt(id).catch((): OutboxEntry[] => [])).pipe(
      concatMap((entries) => {
        const { unsent, stuck } = sorted(entries);
        // Where the browser keeps nothing, what is here is all there is.
        const missed =
          boatId === id ? here.filter((own) => !entries.some((one) => one.revisionId === own.revisionId)) : [];
        const waiting = [...unsent, ...missed];
        return this.api
          .open(id)
          .pipe(
            concatMap((boat) =>
              this.sinceBaseOf(id, waiting, boat.number).pipe(
                map((since) => serverEvents.boatLoaded({ boat, unsent: this.withIds(waiting, since), stuck, since })),
              ),
            ),
          );
      }),
      catchError((error: unknown) => {
        const problem = problemOf(error);
        return of(
          problem.status === 404 ? serverEvents.boatNotFound({ id }) : serverEvents.boatNotLoaded({ id, problem }),
        );
      }),
    );
  }

  /** The history from the oldest base on, that base included: its id shows whether it is the same history. */
  private sinceBaseOf(id: string, waiting: readonly Unsent[], newest: number): Observable<Revision[]> {
    if (waiting.length === 0) return of([]);
    return this.api.revisionsSince(id, Math.max(0, Math.min(newest, ...waiting.map(({ base }) => base)) - 1));
  }

  /** Entries of earlier versions know their base by its number alone: they are believed. */
  private withIds(waiting: readonly Unsent[], since: readonly Revision[]): Unsent[] {
    return waiting.map((entry) => ({
      ...entry,
      baseId: entry.baseId ?? since.find(({ number }) => number === entry.base)?.revisionId ?? null,
    }));
  }

  private leftTaken(): Observable<Action> {
    const { boatId, number } = this.state();
    if (boatId === null) return EMPTY;
    return from(this.outbox.adopt(boatId, this.waitingHere())).pipe(
      // What came to be known while it was looked is not left.
      map((entries) => entries.filter(({ revisionId }) => !this.waitingHere().has(revisionId))),
      filter((entries) => entries.length > 0),
      map(sorted),
      concatMap(({ unsent, stuck }) =>
        this.sinceBaseOf(boatId, unsent, number).pipe(
          map((since) => outboxEvents.leftTakenUp({ unsent: this.withIds(unsent, since), stuck, since })),
        ),
      ),
      // What was made or heard meanwhile comes first. They are this tab's by now, and are found again by the next look.
      filter(() => this.state().boatId === boatId && this.state().number === number && this.atRest()),
      catchError(() => EMPTY),
    );
  }

  private sendFirst(): Observable<Action> {
    const { boatId, unsent, number, revisionId: baseId, conflict }: PlanState = this.state();
    const [first] = unsent;
    if (boatId === null || !first || conflict) return EMPTY;
    const { revisionId, edits } = first;
    return this.api.send(boatId, { revisionId, base: number, baseId, edits }).pipe(
      concatMap((kept) =>
        // An answer that was lost before, with others' edits since: follow them all instead of guessing.
        kept.number === this.state().number + 1 ? of(serverEvents.revisionKept({ kept })) : this.catchUp(),
      ),
      catchError((error: unknown) => {
        const problem = problemOf(error);
        const behind = behindSchema.safeParse(problem.body);
        if (problem.status === 412 && behind.success)
          return of(serverEvents.othersChanged({ revisions: behind.data.missing }));
        // The server's file was replaced: the boat is opened as it is there, and what waits is asked about.
        if (problem.status === 409 && otherHistorySchema.safeParse(problem.body).success) return this.loaded(boatId);
        if (problem.status === 422 || problem.status === 413 || problem.status === 409)
          return of(serverEvents.revisionRefused({ revisionId, detail: problem.detail }));
        // Anything else keeps the edit waiting: a server that lost revisions must not take the newest with them.
        return of(
          serverEvents.sendingFailed({
            problem: problem.status === 404 ? { ...problem, status: offline } : problem,
          }),
        );
      }),
    );
  }

  /** Asks for what is newer, from the own newest revision on: where that is not the server's, its file was replaced. */
  private catchUp(): Observable<Action> {
    const { boatId, status, number, revisionId } = this.state();
    if (boatId === null || status !== 'ready') return EMPTY;
    return this.api.revisionsSince(boatId, Math.max(0, number - 1)).pipe(
      filter(() => this.state().boatId === boatId),
      concatMap((revisions): Observable<Action> => {
        const own = revisions.find((one) => one.number === number);
        if (number > 0 && own?.revisionId !== revisionId && this.state().number === number) return this.loaded(boatId);
        const news = revisions.filter((one) => one.number > number);
        return news.length ? of(serverEvents.othersChanged({ revisions: news })) : EMPTY;
      }),
      catchError((error: unknown) => of(serverEvents.sendingFailed({ problem: problemOf(error) }))),
    );
  }
}
