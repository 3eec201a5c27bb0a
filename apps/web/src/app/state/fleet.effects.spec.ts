import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { FleetEntry, ImportedBundle } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { of, Subject, throwError, type Observable } from 'rxjs';
import { RequestFailed } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { opened } from '../testing/plans.ts';
import { fleetFeature, fleetPageEvents } from './fleet.ts';
import { FleetEffects } from './fleet.effects.ts';

const boat = (id: string, name: string): FleetEntry => ({ id, name }) as FleetEntry;

describe('the fleet', () => {
  let done: string[];
  let lists: Subject<FleetEntry[]>[];
  let refusing: boolean;
  let navigate: jasmine.Spy;
  let store: Store;
  const state = () => store.selectSignal(fleetFeature.selectFleetState)();
  const names = () =>
    store
      .selectSignal(fleetFeature.selectAll)()
      .map(({ name }) => name);
  const arrive = (...boats: FleetEntry[]): void => {
    lists.at(-1)?.next(boats);
    lists.at(-1)?.complete();
  };

  beforeEach(() => {
    done = [];
    lists = [];
    refusing = false;
    navigate = jasmine.createSpy('navigate').and.resolveTo(true);
    const door =
      <T>(what: string, answer: T) =>
      (...given: unknown[]): Observable<T> => {
        if (refusing) return throwError(() => new RequestFailed({ status: 422, detail: 'It is full.', body: null }));
        done.push([what, ...given].join(' '));
        return of(answer);
      };
    const imported: ImportedBundle = { ...opened(), id: 'new', beside: [{ id: 'x', name: 'Puck' }] };
    const server = {
      fleet: () => {
        const list = new Subject<FleetEntry[]>();
        lists.push(list);
        return list;
      },
      make: door('make', opened()),
      copy: door('copy', opened()),
      remove: door('remove', null),
      recall: door('recall', opened()),
      importBundle: door('import', imported),
      bundle: door('bundle', new Blob(['{}'])),
    };
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(fleetFeature),
        provideEffects(FleetEffects),
        { provide: ServerApi, useValue: server },
        { provide: Router, useValue: { navigate } },
      ],
    });
    store = TestBed.inject<Store>(Store);
  });

  it('is asked for each time it is opened, and takes the newest answer, in the order of names', () => {
    store.dispatch(fleetPageEvents.opened());
    expect(state().status).toBe('loading');
    store.dispatch(fleetPageEvents.opened());
    expect(lists.map(({ observed }) => observed)).toEqual([false, true]);
    arrive(boat('b', 'Beta'), boat('a', 'Alpha'));
    expect([state().status, names()]).toEqual(['ready', ['Alpha', 'Beta']]);
    store.dispatch(fleetPageEvents.opened());
    lists.at(-1)?.error(new RequestFailed({ status: 0, detail: 'No server.', body: null }));
    expect([state().status, state().problem]).toEqual(['failed', 'No server.']);
  });

  it('opens a boat that was added, and one that was copied, whose name stays within its length', () => {
    store.dispatch(fleetPageEvents.boatNamed({ id: 'n', name: 'New' }));
    store.dispatch(fleetPageEvents.copyWanted({ id: 'c', boat: boat('a', 'A'.repeat(79)) }));
    expect(done).toEqual(['make n New', `copy a c ${'A'.repeat(79)},`]);
    expect(navigate.calls.allArgs()).toEqual([[['boats', 'n', 'brief']], [['boats', 'c', 'brief']]]);
  });

  it('takes a deleted boat off the list with a way back, and asks for the list when it is back', () => {
    const alpha = boat('a', 'Alpha');
    store.dispatch(fleetPageEvents.opened());
    arrive(alpha);
    store.dispatch(fleetPageEvents.boatDeleted({ boat: alpha }));
    expect([names(), state().message?.removed?.id]).toEqual([[], 'a']);
    store.dispatch(fleetPageEvents.boatWantedBack({ boat: alpha }));
    expect(state().message).toEqual({ text: 'Alpha is back.', bad: false, removed: null });
    expect([done, lists.length]).toEqual([['remove a', 'recall a'], 2]);
    store.dispatch(fleetPageEvents.messageRead());
    expect(state().message).toBeNull();
  });

  it('says what a bundle brought: beside which entries, and whether a boat of that name was there', () => {
    store.dispatch(fleetPageEvents.bundleChosen({ id: 'new', text: '{}' }));
    expect(state().message?.text).toBe(
      'Test Hull was imported. Into the catalogue, beside what has their ids here and is something else: Puck (x).',
    );
    arrive(boat('other', ' test hull'));
    store.dispatch(fleetPageEvents.bundleChosen({ id: 'new', text: '{}' }));
    expect(state().message?.text).toContain('beside the boat of that name that is already here');
    expect(lists.length).toBe(2);
  });

  it('saves a bundle as a file named after the boat', () => {
    const links: string[] = [];
    spyOn(HTMLAnchorElement.prototype, 'click').and.callFake(function (this: HTMLAnchorElement) {
      links.push(this.download);
    });
    store.dispatch(fleetPageEvents.bundleWanted({ boat: boat('a', 'Alpha') }));
    expect(links).toEqual(['Alpha.grey-keel.json']);
  });

  it('says what was not done, and what is wrong before it is sent', () => {
    refusing = true;
    for (const event of [
      fleetPageEvents.boatNamed({ id: 'n', name: 'New' }),
      fleetPageEvents.boatDeleted({ boat: boat('a', 'Alpha') }),
      fleetPageEvents.bundleWanted({ boat: boat('a', 'Alpha') }),
    ]) {
      store.dispatch(fleetPageEvents.messageRead());
      store.dispatch(event);
      expect(state().message).withContext(event.type).toEqual({ text: 'It is full.', bad: true, removed: null });
    }
    store.dispatch(fleetPageEvents.refused({ words: 'A name is needed.' }));
    expect(state().message?.text).toBe('A name is needed.');
    expect(navigate).not.toHaveBeenCalled();
  });

  it('is asked for anew when a backup was restored', () => {
    store.dispatch(fleetPageEvents.backupRestored());
    expect(lists.length).toBe(1);
    expect(state().message?.text).toContain('was restored');
  });
});
