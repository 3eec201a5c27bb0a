import { TestBed } from '@angular/core/testing';
import type { CatalogueEntry } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { of, Subject, throwError } from 'rxjs';
import { RequestFailed } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { catalogueFeature, catalogueViewEvents } from './catalogue.ts';
import { CatalogueEffects } from './catalogue.effects.ts';
import { CatalogueSaving } from './catalogue-saving.ts';

const entry = (id: string, version = 1): CatalogueEntry => ({ id, version }) as CatalogueEntry;

describe('the catalogue', () => {
  let asked: Subject<CatalogueEntry[]>[];
  let failing: boolean;
  let store: Store;
  const status = () => store.selectSignal(catalogueFeature.selectStatus)();
  const versions = () =>
    store
      .selectSignal(catalogueFeature.selectAll)()
      .map(({ id, version }) => `${id} ${version}`);

  beforeEach(() => {
    asked = [];
    failing = false;
    const server = {
      catalogue: () => {
        if (failing)
          return throwError(() => new RequestFailed({ status: 0, detail: 'The server does not answer.', body: null }));
        const waiting = new Subject<CatalogueEntry[]>();
        asked.push(waiting);
        return waiting;
      },
      putInCatalogue: (id: string) => of(entry(id, 2)),
      importCatalogue: () => of([entry('b'), entry('c')]),
    };
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(catalogueFeature),
        provideEffects(CatalogueEffects),
        { provide: ServerApi, useValue: server },
      ],
    });
    store = TestBed.inject<Store>(Store);
  });
  const answered = (list: CatalogueEntry[]): void => {
    asked.at(-1)?.next(list);
    asked.at(-1)?.complete();
  };

  it('is asked for once, however many views want it at a time, and not again while it is fresh', () => {
    for (let i = 0; i < 5; i++) store.dispatch(catalogueViewEvents.wanted());
    expect([asked.length, status()]).toEqual([1, 'loading']);
    answered([]);
    store.dispatch(catalogueViewEvents.wanted());
    expect([asked.length, status()]).toEqual([1, 'ready']);
    const later = performance.now() + 31_000;
    spyOn(performance, 'now').and.returnValue(later);
    store.dispatch(catalogueViewEvents.wanted());
    // What is there stays on the screen.
    expect([asked.length, status()]).toEqual([2, 'ready']);
  });

  it('says why it is not there, and is asked for again when it is wanted again', () => {
    failing = true;
    store.dispatch(catalogueViewEvents.wanted());
    expect(status()).toBe('failed');
    expect(store.selectSignal(catalogueFeature.selectProblem)()).toContain('does not answer');
    failing = false;
    store.dispatch(catalogueViewEvents.wanted());
    expect([asked.length, status()]).toEqual([1, 'loading']);
  });

  it('has what is saved at once, newer versions in the place of older ones', async () => {
    store.dispatch(catalogueViewEvents.wanted());
    answered([entry('a'), entry('b')]);
    const saving = TestBed.inject(CatalogueSaving);
    const item = {} as Parameters<CatalogueSaving['one']>[1];
    expect((await saving.one('a', item)).version).toBe(2);
    expect((await saving.many([])).length).toBe(2);
    expect(versions()).toEqual(['a 2', 'b 1', 'c 1']);
  });
});
