import { HttpErrorResponse } from '@angular/common/http';
import { problemIn, RequestFailed } from '../api/problem.ts';
import { TestBed } from '@angular/core/testing';
import type { Edit, SavedRevision, OpenedBoat, Revision, RevisionRequest } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { of, throwError, type Observable } from 'rxjs';
import { ServerApi } from '../api/server-api.ts';
import { heardNews, opened, revision } from '../testing/plans.ts';
import { Outbox } from './outbox.ts';
import { OpenPlan } from './open-plan.ts';
import { boatEvents, outboxEvents } from './plan.actions.ts';
import { PlanEffects } from './plan.effects.ts';
import { planFeature } from './plan.reducer.ts';
import { until } from '../testing/until.ts';
import { ServerNews } from './server-news.ts';

const rename = (name: string): Edit => ({ type: 'describeBoat', changes: { name } });
const httpError = (status: number, error: unknown = null): Observable<never> =>
  throwError(() => new RequestFailed(problemIn(new HttpErrorResponse({ status, error }))));

/** A server that keeps what it is sent and answers as it is told to. */
class FakeServer {
  readonly sent: RevisionRequest[] = [];
  boat: OpenedBoat = opened();
  revisions: Revision[] = [revision(4, [])];
  answer: (request: RevisionRequest) => Observable<SavedRevision> = (request) => this.keep(request);

  keep({ revisionId, base }: RevisionRequest): Observable<SavedRevision> {
    return of({ revisionId, number: base + 1, keptAt: '2026-05-01T12:00:00.000Z' });
  }
  send(_id: string, request: RevisionRequest): Observable<SavedRevision> {
    this.sent.push(request);
    return this.answer(request);
  }
  open(): Observable<OpenedBoat> {
    return of(this.boat);
  }
  revisionsSince(_id: string, number: number): Observable<Revision[]> {
    return of(this.revisions.filter((one) => one.number > number));
  }
}

describe('sending', () => {
  let server: FakeServer;
  let store: Store;
  let plan: OpenPlan;
  let news: ReturnType<typeof heardNews>;
  const state = () => store.selectSignal(planFeature.selectPlanState)();

  const eventually = async <T>(look: () => Promise<T>, good: (found: T) => boolean): Promise<void> => {
    let found = await look();
    for (let i = 0; i < 100 && !good(found); i++) {
      await new Promise((resolve) => setTimeout(resolve, 20));
      found = await look();
    }
    expect(good(found)).withContext(JSON.stringify(found)).toBeTrue();
  };

  beforeEach(async () => {
    news = heardNews();
    server = new FakeServer();
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(planFeature),
        provideEffects(PlanEffects),
        { provide: ServerApi, useValue: server },
        { provide: ServerNews, useValue: news },
      ],
    });
    store = TestBed.inject(Store);
    plan = TestBed.inject(OpenPlan);
    store.dispatch(boatEvents.boatChosen({ id: `boat-${Date.now()}-${Math.random()}` }));
    await until(() => state().status === 'ready');
  });

  it('sends edits one by one, each on the number the last one got', async () => {
    plan.edit('a', rename('A'));
    plan.edit('b', rename('B'));
    await until(() => state().unsent.length === 0);
    expect(server.sent.map(({ base }) => base)).toEqual([4, 5]);
    expect([state().number, state().kept?.boat.name]).toEqual([6, 'B']);
  });

  it('tries again with the same revision id when no answer comes', async () => {
    server.answer = () => httpError(0);
    plan.edit('a', rename('A'));
    await until(() => state().waiting !== null);
    expect(state().unsent.length).toBe(1);
    server.answer = (request) => server.keep(request);
    store.dispatch(outboxEvents.retryDue());
    await until(() => state().unsent.length === 0);
    expect(new Set(server.sent.map(({ revisionId }) => revisionId)).size).toBe(1);
  });

  it('follows what it missed when the server says it is behind, and sends on top of it', async () => {
    const missing = [revision(5, [{ type: 'describeBoat', changes: { beamM: 3 } }])];
    server.answer = (request) =>
      request.base < 5 ? httpError(412, { detail: 'behind', missing }) : server.keep(request);
    plan.edit('a', rename('A'));
    await until(() => state().unsent.length === 0);
    expect(server.sent.map(({ base }) => base)).toEqual([4, 5]);
    expect([state().plan?.boat.beamM, state().plan?.boat.name]).toEqual([3, 'A']);
  });

  it('asks for the history when an answer is for an earlier sending of the same edit', async () => {
    server.answer = (request) => {
      server.revisions = [
        revision(4, []),
        revision(5, [rename('A')], request.revisionId),
        revision(6, [{ type: 'describeBoat', changes: { beamM: 3 } }]),
      ];
      return httpError(412, { detail: 'behind', missing: server.revisions.slice(1) });
    };
    plan.edit('a', rename('A'));
    await until(() => state().number === 6);
    expect([state().unsent.length, state().plan?.boat.name, state().plan?.boat.beamM]).toEqual([0, 'A', 3]);
  });

  it('puts aside what the server refuses, in the outbox too, until it is dropped', async () => {
    server.answer = () => httpError(422, { detail: 'not so' });
    plan.edit('a', rename('A'));
    await until(() => state().stuck.length === 1);
    expect([state().plan?.boat.name, state().unsent.length]).toEqual(['Test Hull', 0]);
    const waiting = async (): Promise<(string | undefined)[]> =>
      (await TestBed.inject(Outbox).adopt(state().boatId ?? '')).map(({ reason }) => reason);
    await eventually(waiting, (reasons) => reasons[0] === 'not so');
    store.dispatch(boatEvents.stuckDropped({ revisionId: state().stuck[0]?.revisionId ?? '' }));
    await eventually(waiting, (reasons) => reasons.length === 0);
  });

  it('keeps the base of what is asked about, so that it is asked again after a reload', async () => {
    const theirs = revision(5, [rename('Theirs')]);
    server.answer = () => httpError(412, { detail: 'behind', missing: [theirs] });
    plan.edit('a', rename('Mine'));
    await until(() => state().conflict !== null);
    server.boat = { ...server.boat, number: 5, revisionId: theirs.revisionId };
    server.revisions = [revision(4, []), theirs];
    const { boatId } = state();
    const outbox = TestBed.inject(Outbox);
    await eventually(
      async () => (await outbox.adopt(boatId ?? '')).map(({ base }) => base),
      (bases) => bases.join() === '4',
    );
    store.dispatch(boatEvents.boatClosed());
    store.dispatch(boatEvents.boatChosen({ id: boatId ?? '' }));
    await until(() => state().status === 'ready');
    expect(state().conflict?.conflicts.length).toBe(1);
    const replaces = state().conflict?.replaces ?? [];
    store.dispatch(boatEvents.conflictSettled({ revisionId: crypto.randomUUID(), mine: [], replaces }));
    await eventually(
      () => outbox.adopt(boatId ?? ''),
      (left) => left.length === 0,
    );
  });

  it('follows news of its own boat at once, and opens the boat again where the file was replaced', async () => {
    const theirs = revision(5, [rename('Theirs')]);
    server.revisions = [revision(4, []), theirs];
    const { boatId } = state();
    news.told.next({
      boatId: boatId ?? '',
      number: 5,
      revisionId: theirs.revisionId,
      removed: false,
    });
    await until(() => state().number === 5);
    expect(state().plan?.boat.name).toBe('Theirs');
    server.boat = {
      ...opened(undefined, 2),
      plan: { ...server.boat.plan, boat: { ...server.boat.plan.boat, name: 'Old' } },
    };
    server.revisions = [revision(1, []), revision(2, [])];
    news.linked.next(true);
    await until(() => state().number === 2);
    expect(state().plan?.boat.name).toBe('Old');
  });

  it('answers a question with nothing to choose between by itself, and sends the rest', async () => {
    const theirs = revision(5, [rename('Both')]);
    server.answer = (request) => {
      server.answer = (next) => server.keep(next);
      return request.base < 5 ? httpError(412, { detail: 'behind', missing: [theirs] }) : server.keep(request);
    };
    plan.edit('a', { type: 'describeBoat', changes: { name: 'Both', beamM: 3 } });
    await until(() => state().number === 6);
    expect([state().conflict, state().unsent, state().kept?.boat.name, state().kept?.boat.beamM]).toEqual([
      null,
      [],
      'Both',
      3,
    ]);
    expect(server.sent.map(({ base }) => base)).toEqual([4, 5]);
    expect(JSON.stringify(server.sent[1]?.edits)).toBe(
      '[{"type":"restore","patches":[{"op":"replace","path":["boat","beamM"],"value":3}]}]',
    );
  });

  it('sends nothing while a conflict is open', async () => {
    server.answer = () => httpError(412, { detail: 'behind', missing: [revision(5, [rename('Theirs')])] });
    plan.edit('a', rename('Mine'));
    await until(() => state().conflict !== null);
    const before = server.sent.length;
    store.dispatch(outboxEvents.retryDue());
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(server.sent.length).toBe(before);
    server.answer = (request) => server.keep(request);
    store.dispatch(
      boatEvents.conflictSettled({ revisionId: crypto.randomUUID(), mine: [['boat', 'name']], replaces: [] }),
    );
    await until(() => state().unsent.length === 0 && state().number === 6);
    expect(state().kept?.boat.name).toBe('Mine');
  });
});
