import { HttpErrorResponse } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import type { CatalogueEntry, FleetEntry } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { Subject, throwError, type Observable } from 'rxjs';
import { ServerApi } from '../api/server-api.ts';
import { catalogueEvents, catalogueFeature, fleetEvents, fleetFeature } from './lists.ts';
import { ListEffects } from './lists.effects.ts';

describe('the lists of the server', () => {
  let asked: Subject<unknown>[];
  let failing: boolean;

  const start = (): Store => {
    asked = [];
    failing = false;
    const answer = (): Observable<never> => {
      if (failing) return throwError(() => new HttpErrorResponse({ status: 0 }));
      const waiting = new Subject<unknown>();
      asked.push(waiting);
      return waiting as unknown as Observable<never>;
    };
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(fleetFeature),
        provideState(catalogueFeature),
        provideEffects(ListEffects),
        { provide: ServerApi, useValue: { fleet: answer, catalogue: answer } },
      ],
    });
    return TestBed.inject<Store>(Store);
  };
  const answered = (list: readonly (CatalogueEntry | FleetEntry)[]): void => {
    asked.at(-1)?.next(list);
    asked.at(-1)?.complete();
  };

  it('ask for the catalogue once, however many views want it at a time, and not again while it is fresh', () => {
    const store = start();
    for (let i = 0; i < 5; i++) store.dispatch(catalogueEvents.wanted());
    expect(asked.length).toBe(1);
    answered([]);
    expect(store.selectSignal(catalogueFeature.selectStatus)()).toBe('ready');
    store.dispatch(catalogueEvents.wanted());
    expect(asked.length).toBe(1);
    const later = performance.now() + 31_000;
    spyOn(performance, 'now').and.returnValue(later);
    store.dispatch(catalogueEvents.wanted());
    expect(asked.length).toBe(2);
    expect(store.selectSignal(catalogueFeature.selectStatus)()).toBe('ready');
  });

  it('say why there is no catalogue, and ask again when it is wanted again', () => {
    const store = start();
    failing = true;
    store.dispatch(catalogueEvents.wanted());
    expect(store.selectSignal(catalogueFeature.selectStatus)()).toBe('failed');
    expect(store.selectSignal(catalogueFeature.selectProblem)()).toContain('server');
    failing = false;
    store.dispatch(catalogueEvents.wanted());
    expect(asked.length).toBe(1);
  });

  it('ask for the fleet each time it is opened, and take the newest answer', () => {
    const store = start();
    store.dispatch(fleetEvents.opened());
    store.dispatch(fleetEvents.opened());
    expect(asked.map(({ observed }) => observed)).toEqual([false, true]);
    answered([]);
    expect(store.selectSignal(fleetFeature.selectStatus)()).toBe('ready');
  });
});
