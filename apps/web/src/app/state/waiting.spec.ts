import { TestBed } from '@angular/core/testing';
import type { Edit, SavedRevision, RevisionRequest } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { of, throwError, type Observable } from 'rxjs';
import { RequestFailed } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { heardNews, opened, revision } from '../testing/plans.ts';
import { OpenPlan } from './open-plan.ts';
import { Outbox } from './outbox.ts';
import { boatEvents } from './plan.actions.ts';
import { PlanEffects } from './plan.effects.ts';
import { planFeature } from './plan.reducer.ts';
import { ServerNews } from './server-news.ts';

const rename = (name: string): Edit => ({ type: 'describeBoat', changes: { name } });

describe('what waits for its time', () => {
  let sent: RevisionRequest[];
  let up: boolean;
  let left: { revisionId: string; edits: Edit[] }[];
  let store: Store;
  let news: ReturnType<typeof heardNews>;
  const state = () => store.selectSignal(planFeature.selectPlanState)();
  /** Lets what hangs on nothing but promises go on, while the clock stands. */
  const turn = async (): Promise<void> => {
    for (let i = 0; i < 30; i++) await Promise.resolve();
  };

  beforeEach(async () => {
    jasmine.clock().install();
    [sent, up, left] = [[], true, []];
    news = heardNews();
    const server = {
      open: () => of(opened()),
      revisionsSince: () => of([revision(4, [])]),
      send: (_id: string, request: RevisionRequest): Observable<SavedRevision> => {
        sent.push(request);
        const kept = { revisionId: request.revisionId, number: request.base + 1, keptAt: '2026-05-01T12:00:00.000Z' };
        return up ? of(kept) : throwError(() => new RequestFailed({ status: 0, detail: 'No server.', body: null }));
      },
    };
    const outbox = {
      note: () => undefined,
      takeDamaged: () => 0,
      takeOutdated: () => 0,
      adopt: () => Promise.resolve(left.splice(0).map((one) => ({ ...one, patches: [], base: 4, baseId: null }))),
      put: () => Promise.resolve(),
      join: () => Promise.resolve(),
      acknowledge: () => Promise.resolve(),
      forget: () => Promise.resolve(),
    };
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(planFeature),
        provideEffects(PlanEffects),
        { provide: ServerApi, useValue: server },
        { provide: ServerNews, useValue: news },
        { provide: Outbox, useValue: outbox },
      ],
    });
    store = TestBed.inject<Store>(Store);
    store.dispatch(boatEvents.boatChosen({ id: 'test-hull' }));
    await turn();
    expect(state().status).toBe('ready');
  });
  afterEach(() => jasmine.clock().uninstall());

  it('is sent again every two seconds until the server answers, and then no more', async () => {
    up = false;
    TestBed.inject(OpenPlan).edit('a', rename('A'));
    await turn();
    expect([sent.length, state().waiting?.status]).toEqual([1, 0]);
    jasmine.clock().tick(1999);
    await turn();
    expect(sent.length).toBe(1);
    jasmine.clock().tick(1);
    await turn();
    expect(sent.length).toBe(2);
    up = true;
    jasmine.clock().tick(2000);
    await turn();
    expect([sent.length, state().unsent.length, state().waiting, state().number]).toEqual([3, 0, null, 5]);
    expect(new Set(sent.map(({ revisionId }) => revisionId)).size).toBe(1);
    jasmine.clock().tick(60_000);
    await turn();
    expect(sent.length).toBe(3);
  });

  it('and was left by a window that closes is taken up a moment after, and what others left by the next look', async () => {
    left = [{ revisionId: crypto.randomUUID(), edits: [rename('Left')] }];
    news.tabCloses.next();
    jasmine.clock().tick(199);
    await turn();
    expect(sent.length).toBe(0);
    jasmine.clock().tick(1);
    await turn();
    expect([sent.length, state().plan?.boat.name, state().unsent.length]).toEqual([1, 'Left', 0]);
    left = [{ revisionId: crypto.randomUUID(), edits: [rename('Later')] }];
    jasmine.clock().tick(5000);
    await turn();
    expect([sent.length, state().plan?.boat.name]).toEqual([2, 'Later']);
  });

  it('is not taken up while something made here still waits', async () => {
    up = false;
    TestBed.inject(OpenPlan).edit('a', rename('A'));
    await turn();
    left = [{ revisionId: crypto.randomUUID(), edits: [rename('Left')] }];
    news.tabCloses.next();
    jasmine.clock().tick(300);
    await turn();
    expect([left.length, state().plan?.boat.name]).toEqual([1, 'A']);
  });
});
