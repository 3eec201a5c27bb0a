import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { FleetEntry, FleetPage, FleetQuery, ImportedBundle } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { of, Subject, throwError, type Observable } from 'rxjs';
import { RequestFailed } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { opened } from '../testing/plans.ts';
import { fleetFeature, fleetPageEvents } from './fleet.ts';
import { FleetEffects } from './fleet.effects.ts';

const pageOf = (boats: FleetEntry[]): FleetPage => ({ boats, found: boats.length, all: boats.length, waiting: 0 });
const boat = (id: string, name: string): FleetEntry => ({ id, name }) as FleetEntry;

describe('the fleet', () => {
  let done: string[];
  let lists: Subject<FleetPage>[];
  let alike: FleetEntry[];
  let refusing: boolean;
  let refused: string;
  let navigate: jasmine.Spy;
  let store: Store;
  const state = () => store.selectSignal(fleetFeature.selectFleetState)();
  const names = () =>
    store
      .selectSignal(fleetFeature.selectAll)()
      .map(({ name }) => name);
  const arrive = (...boats: FleetEntry[]): void => {
    lists.at(-1)?.next(pageOf(boats));
    lists.at(-1)?.complete();
  };

  beforeEach(() => {
    done = [];
    lists = [];
    alike = [];
    refusing = false;
    refused = '';
    navigate = jasmine.createSpy('navigate').and.resolveTo(true);
    const door =
      <T>(what: string, answer: T) =>
      (...given: unknown[]): Observable<T> => {
        if (refusing || given[0] === refused)
          return throwError(() => new RequestFailed({ status: 422, detail: 'It is full.', body: null }));
        done.push([what, ...given.map((one) => (typeof one === 'string' ? one : JSON.stringify(one)))].join(' '));
        return of(answer);
      };
    const imported: ImportedBundle = { ...opened(), id: 'new', beside: [{ id: 'x', name: 'Puck' }] };
    const server = {
      fleet: ({ search, by }: Partial<FleetQuery>) => {
        // Whether a boat is called so already is asked without an order.
        if (by === undefined) return of(pageOf(search ? alike : []));
        const list = new Subject<FleetPage>();
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

  it('is asked for each time it is opened, and takes the newest answer, in its order', () => {
    store.dispatch(fleetPageEvents.opened());
    expect(state().status).toBe('loading');
    store.dispatch(fleetPageEvents.opened());
    expect(lists.map(({ observed }) => observed)).toEqual([false, true]);
    arrive(boat('b', 'Beta'), boat('a', 'Alpha'));
    expect([state().status, names()]).toEqual(['ready', ['Beta', 'Alpha']]);
    store.dispatch(fleetPageEvents.opened());
    lists.at(-1)?.error(new RequestFailed({ status: 0, detail: 'No server.', body: null }));
    expect([state().status, state().problem]).toEqual(['ready', 'No server.']);
  });

  it('opens a boat that was added, and one that was copied, whose name stays within its length', () => {
    store.dispatch(fleetPageEvents.boatNamed({ id: 'n', boat: { name: 'New' }, meant: false }));
    store.dispatch(fleetPageEvents.copyWanted({ id: 'c', boat: boat('a', 'A'.repeat(79)) }));
    store.dispatch(fleetPageEvents.copyWanted({ id: 'p', boat: boat('a', 'Alpha'), practice: true }));
    expect(done).toEqual([
      'make n {"name":"New"}',
      `copy a c ${'A'.repeat(79)}, false`,
      'copy a p Practice, Alpha true',
    ]);
    expect(navigate.calls.allArgs()).toEqual(['n', 'c', 'p'].map((id) => [['boats', id, 'brief']]));
  });

  it('takes a deleted boat off the list with a way back, and asks for the list when it is back', () => {
    const alpha = boat('a', 'Alpha');
    store.dispatch(fleetPageEvents.opened());
    arrive(alpha);
    store.dispatch(fleetPageEvents.boatsDeleted({ boats: [alpha] }));
    expect([names(), state().message?.removed[0]?.id]).toEqual([[], 'a']);
    store.dispatch(fleetPageEvents.boatsWantedBack({ boats: [alpha] }));
    expect(state().message).toEqual({ text: 'Alpha restored.', bad: false, removed: [] });
    expect([done, lists.length]).toEqual([['remove a', 'recall a'], 3]);
    store.dispatch(fleetPageEvents.messageRead());
    expect(state().message).toBeNull();
  });

  it('says how far it came where one of several boats cannot be deleted, and offers those that were', () => {
    const [alpha, beta, gamma] = [boat('a', 'Alpha'), boat('b', 'Beta'), boat('c', 'Gamma')];
    store.dispatch(fleetPageEvents.opened());
    arrive(alpha, beta, gamma);
    refused = 'b';
    store.dispatch(fleetPageEvents.boatsDeleted({ boats: [alpha, beta, gamma] }));
    expect([done, names()]).toEqual([['remove a'], ['Beta', 'Gamma']]);
    expect(state().message).toEqual({ text: 'Alpha deleted, the rest not: It is full.', bad: true, removed: [alpha] });
  });

  it('says what a bundle brought: beside which entries, and whether a boat of that name was there', () => {
    store.dispatch(fleetPageEvents.bundleChosen({ id: 'new', text: '{}' }));
    expect(state().message?.text).toBe(
      'Test Hull was imported. Into the catalogue, beside what has their ids here and is something else: Puck (x).',
    );
    alike = [boat('other', ' test hull'), boat('third', 'Test Hull, long')];
    store.dispatch(fleetPageEvents.bundleChosen({ id: 'new', text: '{}' }));
    expect(state().message?.text).toContain('beside the boat of that name that is already here');
    expect(lists.length).toBe(2);
  });

  it('does not add a boat of a name that is there until it is meant', () => {
    alike = [boat('a', 'NEW')];
    store.dispatch(fleetPageEvents.boatNamed({ id: 'n', boat: { name: 'New' }, meant: false }));
    expect([done, state().taken, state().message?.bad]).toEqual([[], 'New', true]);
    store.dispatch(fleetPageEvents.boatNamed({ id: 'n', boat: { name: 'New' }, meant: true }));
    expect([done.length, state().taken, state().message]).toEqual([1, null, null]);
  });

  it('is asked for the first page of another question, and waits for the next letter of a search', () => {
    jasmine.clock().install();
    store.dispatch(fleetPageEvents.queryChanged({ changes: { first: 50 } }));
    store.dispatch(fleetPageEvents.queryChanged({ changes: { search: 'al' } }));
    expect([lists.length, state().query.first]).toEqual([1, 0]);
    store.dispatch(fleetPageEvents.queryChanged({ changes: { search: 'alp' } }));
    jasmine.clock().tick(250);
    expect([lists.length, state().query.search]).toEqual([2, 'alp']);
    jasmine.clock().uninstall();
  });

  it('saves a bundle as a file named after the boat', async () => {
    const links: string[] = [];
    spyOn(HTMLAnchorElement.prototype, 'click').and.callFake(function (this: HTMLAnchorElement) {
      links.push(this.download);
    });
    store.dispatch(fleetPageEvents.bundlesWanted({ boats: [boat('a', 'Alpha')] }));
    await new Promise((resolve) => setTimeout(resolve));
    expect(links).toEqual(['Alpha.grey-keel.json']);
  });

  it('says what was not done, and what is wrong before it is sent', () => {
    refusing = true;
    for (const event of [
      fleetPageEvents.boatNamed({ id: 'n', boat: { name: 'New' }, meant: false }),
      fleetPageEvents.boatsDeleted({ boats: [boat('a', 'Alpha')] }),
      fleetPageEvents.bundlesWanted({ boats: [boat('a', 'Alpha')] }),
    ]) {
      store.dispatch(fleetPageEvents.messageRead());
      store.dispatch(event);
      expect(state().message).withContext(event.type).toEqual({ text: 'It is full.', bad: true, removed: [] });
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
