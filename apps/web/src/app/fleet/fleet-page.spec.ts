import { HttpTestingController, type TestRequest } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { emptyPlan, type FleetEntry, type FleetPage as Page } from '@grey-keel/model';
import { provideEffects } from '@ngrx/effects';
import { FleetEffects } from '../state/fleet.effects.ts';
import { fleetServerEvents } from '../state/fleet.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { FleetPage } from './fleet-page.ts';

describe('the fleet', () => {
  const { store, page, press, choose, text, settle } = stageHarness();
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideEffects(FleetEffects)] }));
  afterEach(() => document.querySelectorAll('.p-dialog, .p-menu, .p-toast').forEach((one) => one.remove()));
  const line = (id: string, name: string, changes: Partial<FleetEntry> = {}): FleetEntry => ({
    id,
    name,
    lengthM: 7,
    hullForm: 'catamaran',
    water: 'Pool, fresh',
    practice: false,
    stages: [
      { number: 1, state: 'fresh' },
      { number: 2, state: 'stop' },
    ],
    stops: 1,
    checks: 2,
    gravest: { severity: 'stop', title: 'No way to read the depth' },
    next: { stage: 'beams', what: 'choose a transducer' },
    number: 3,
    keptAt: '2026-05-01T09:00:00.000Z',
    ...changes,
  });
  const arrived = async (boats: FleetEntry[], of: Partial<Page> = {}): Promise<void> => {
    store().dispatch(
      fleetServerEvents.loaded({ page: { boats, found: boats.length, all: boats.length, waiting: 0, ...of } }),
    );
    await settle();
  };
  const http = (): HttpTestingController => TestBed.inject(HttpTestingController);
  const later = async (ms = 0): Promise<void> => {
    await new Promise((resolve) => setTimeout(resolve, ms));
    await settle();
  };
  /** It is loaded when there is something to tell for the first time. */
  const toast = async (root: HTMLElement): Promise<string> => {
    for (let i = 0; i < 50 && !root.querySelector('.told'); i++) await later(20);
    return text(root, '.told');
  };
  /** What the fleet was asked for last. */
  const asked = (): Record<string, string> => {
    const last: TestRequest | undefined = http()
      .match(({ url }) => url === 'api/boats')
      .at(-1);
    return Object.fromEntries(
      (last?.request.params.keys() ?? []).map((key) => [key, last?.request.params.get(key) ?? '']),
    );
  };
  const act = async (root: HTMLElement, boat: string, what: string): Promise<void> => {
    await press(root, `[aria-label="Actions for ${boat}"]`);
    for (let i = 0; i < 50 && !document.querySelector('.p-menu-item'); i++) await later(20);
    const entry = [...document.querySelectorAll<HTMLElement>('.p-menu-item')].find(
      ({ textContent }) => textContent?.trim() === what,
    );
    entry?.querySelector<HTMLElement>('.p-menu-item-content')?.click();
    await settle();
  };

  it('lists the boats in the order of the server, each with its gravest finding and what is next', async () => {
    const root = await page(FleetPage);
    await arrived([line('b', 'Beta'), line('a', 'Alpha', { gravest: null, stops: 0, checks: 0, next: null })]);
    expect([...root.querySelectorAll('[data-boat] .name a')].map((one) => one.textContent?.trim())).toEqual([
      'Beta',
      'Alpha',
    ]);
    expect(text(root, '[data-boat="b"] .finding')).toBe('stop No way to read the depth and 2 more');
    expect(text(root, '[data-boat="b"] .next')).toBe('Beams: choose a transducer');
    expect(text(root, '[data-boat="a"] .next')).toBe('all done');
  });

  it('deletes a boat with the chance to undo it', async () => {
    const root = await page(FleetPage);
    await arrived([line('a', 'Alpha')]);
    await act(root, 'Alpha', 'Delete');
    http().expectOne({ method: 'DELETE', url: 'api/boats/a' }).flush(null);
    expect(await toast(root)).toContain('Alpha deleted. Undo');
    await press(root, '.told button');
    http().expectOne({ method: 'POST', url: 'api/boats/a/recall' });
  });

  it('deletes several at once, and exports them', async () => {
    const root = await page(FleetPage);
    await arrived([line('a', 'Alpha'), line('b', 'Beta'), line('c', 'Gamma')]);
    for (const id of ['a', 'b']) await press(root, `[data-boat="${id}"] input[type="checkbox"]`);
    expect(text(root, '.chosen strong')).toBe('2 chosen');
    await press(root, '#export-chosen');
    http().expectOne('api/boats/a/bundle');
    await press(root, '#delete-chosen');
    http().expectOne({ method: 'DELETE', url: 'api/boats/a' }).flush(null);
    await later();
    http().expectOne({ method: 'DELETE', url: 'api/boats/b' }).flush(null);
    expect(await toast(root)).toContain('2 boats deleted.');
    expect(root.querySelector('.chosen')).toBeNull();
  });

  it('asks the server for words, how boats stand, order and page', async () => {
    const root = await page(FleetPage);
    await arrived([line('a', 'Alpha')], { found: 120, all: 300 });
    expect(text(root, '.counted')).toBe('120 of 300');
    await choose(root, '#fleet-filter', 'with a stop');
    expect(asked()).toEqual(
      jasmine.objectContaining({ show: 'with a stop', by: 'changed', downward: 'true', first: '0' }),
    );
    await press(root, '.p-paginator-next');
    expect(asked()['first']).toBe('50');
    // The worst is looked for first.
    await press(root, 'th.finding');
    expect(asked()).toEqual(jasmine.objectContaining({ by: 'finding', downward: 'true', first: '0' }));
    await press(root, 'th.finding');
    expect(asked()['downward']).toBe('false');
    const field = root.querySelector<HTMLInputElement>('#fleet-search');
    if (field) field.value = 'alp';
    field?.dispatchEvent(new Event('input'));
    await later(250);
    expect(asked()).toEqual(jasmine.objectContaining({ search: 'alp', show: 'with a stop' }));
  });

  it('lists the boats that were deleted, and has one back', async () => {
    const root = await page(FleetPage);
    await arrived([line('a', 'Alpha')]);
    await press(root, '#open-removed');
    // Its dialog is drawn when it is first asked for.
    await later(400);
    http()
      .expectOne('api/removed-boats')
      .flush([{ id: 'z', name: 'Zander', removedAt: '2026-05-01T09:30:00Z' }]);
    await later();
    expect(document.querySelector('gk-removed-dialog, .p-dialog')?.textContent).toContain('Zander');
    document.querySelector<HTMLElement>('[aria-label="Restore Zander"]')?.click();
    await later();
    http()
      .expectOne({ method: 'POST', url: 'api/boats/z/recall' })
      .flush({ id: 'z', number: 0, revisionId: null, keptAt: '2026-05-01T09:30:00Z', plan: emptyPlan('Zander') });
    expect(await toast(root)).toContain('Zander');
  });

  it('duplicates a boat under a name of its own', async () => {
    const root = await page(FleetPage);
    await arrived([line('a', 'Alpha')]);
    await act(root, 'Alpha', 'Duplicate');
    expect((http().expectOne('api/boats/a/copy').request.body as { name: string }).name).toBe('Alpha, copy');
  });

  it('does not make a boat without a name, and makes one with its hull', async () => {
    const root = await page(FleetPage);
    await arrived([]);
    expect(text(root, '.empty')).toContain('No boat yet');
    await press(root, '#add-boat');
    // Whoever is quicker than the dialog opens is left where they are.
    for (let i = 0; i < 50 && document.activeElement?.id !== 'new-template'; i++) {
      document.getElementById('new-template')?.focus();
      await later(5);
    }
    await later(300);
    expect(document.activeElement?.id).toBe('new-template');
    const dialog = document.querySelector<HTMLElement>('.p-dialog')!;
    const form = dialog.querySelector('form');
    form?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(text(dialog, '.problem')).toContain('A name is needed');
    const name = dialog.querySelector<HTMLInputElement>('#new-boat');
    if (name) name.value = 'Gull';
    name?.dispatchEvent(new Event('input'));
    await choose(dialog, '#new-template', 'open boat, bow motor');
    expect(dialog.querySelector('#new-hull-form')).toBeNull();
    expect(text(dialog, 'form')).toContain('marked as assumed');
    await choose(dialog, '#new-template', '');
    await choose(dialog, '#new-hull-form', 'catamaran');
    form?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    http().match('api/boats?search=Gull&count=200').at(-1)?.flush({ boats: [], found: 0, all: 0, waiting: 0 });
    const made = http().expectOne(({ method }) => method === 'PUT');
    expect(made.request.body).toEqual({ name: 'Gull', hullForm: 'catamaran' });
  });

  it('begins at the name of a new boat', async () => {
    const root = await page(FleetPage);
    await press(root, '#add-boat');
    for (let i = 0; i < 100 && document.activeElement?.id !== 'new-boat'; i++) await later(20);
    expect(document.activeElement?.id).toBe('new-boat');
  });

  it('tells that the list could not be fetched, and tries again', async () => {
    const root = await page(FleetPage);
    store().dispatch(fleetServerEvents.notLoaded({ detail: 'no server' }));
    await settle();
    expect(text(root, '[role="alert"]')).toContain('no server');
    http().match('api/boats');
    await press(root, '[role="alert"] button');
    expect(asked()['count']).toBe('50');
  });

  it('keeps the list that is there where it cannot be fetched anew, and says why until it is', async () => {
    const root = await page(FleetPage);
    await arrived([line('marl', 'Old Marl')]);
    store().dispatch(fleetServerEvents.notLoaded({ detail: 'no server' }));
    await settle();
    expect(text(root, '[role="alert"]')).toContain('no server');
    expect(text(root, '[data-boat="marl"]')).toContain('Old Marl');
    await arrived([line('marl', 'Old Marl')]);
    expect(root.querySelector('[role="alert"]')).toBeNull();
  });
});
