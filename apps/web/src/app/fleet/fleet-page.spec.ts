import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideEffects } from '@ngrx/effects';
import { FleetEffects } from '../state/fleet.effects.ts';
import { fleetServerEvents } from '../state/fleet.ts';
import { stageHarness } from '../testing/stage-harness.ts';
import { FleetPage } from './fleet-page.ts';

describe('the fleet', () => {
  const { store, page, press, choose, text, settle } = stageHarness();
  beforeEach(() => TestBed.configureTestingModule({ providers: [provideEffects(FleetEffects)] }));
  const line = (id: string, name: string) => ({
    id,
    name,
    lengthM: 7,
    hullForm: 'catamaran',
    water: 'Pool, fresh',
    transducers: 2,
    stages: [
      { number: 1, state: 'fresh' as const },
      { number: 2, state: 'stop' as const },
    ],
    stops: 1,
    checks: 0,
    number: 3,
    keptAt: '2026-05-01T09:00:00.000Z',
  });

  it('lists the boats, and deletes one with the chance to undo it', async () => {
    const root = await page(FleetPage);
    store().dispatch(fleetServerEvents.loaded({ boats: [line('b', 'Beta'), line('a', 'Alpha')] }));
    await settle();
    expect([...root.querySelectorAll('[data-boat] a')].map((one) => one.textContent.trim())).toEqual(['Alpha', 'Beta']);
    await press(root, '[data-boat="a"] .p-button-danger');
    const http = TestBed.inject(HttpTestingController);
    http.expectOne({ method: 'DELETE', url: 'api/boats/a' }).flush(null);
    await new Promise((resolve) => setTimeout(resolve));
    await settle();
    expect(text(root, '.told')).toContain('Alpha was deleted. Undo');
    expect(root.querySelector('[data-boat="a"]')).toBeNull();
  });

  it('finds boats by words and by how they stand, and copies one', async () => {
    const root = await page(FleetPage);
    store().dispatch(
      fleetServerEvents.loaded({
        boats: [
          { ...line('a', 'Alpha'), stops: 0 },
          { ...line('b', 'Beta'), stops: 1 },
        ],
      }),
    );
    await settle();
    const listed = (): string[] =>
      [...root.querySelectorAll('[data-boat]')].map((one) => one.getAttribute('data-boat') ?? '');
    await choose(root, '#fleet-filter', 'with a stop');
    expect(listed()).toEqual(['b']);
    await choose(root, '#fleet-filter', 'all');
    const field = root.querySelector<HTMLInputElement>('#fleet-search');
    if (field) field.value = 'alp';
    field?.dispatchEvent(new Event('input'));
    await settle();
    expect(listed()).toEqual(['a']);
    await press(root, '[aria-label="Copy Alpha"]');
    const asked = TestBed.inject(HttpTestingController).expectOne('api/boats/a/copy');
    expect((asked.request.body as { name: string }).name).toBe('Alpha, copy');
  });

  it('puts boats in order by a column and back, and draws of a thousand only those in sight', async () => {
    const root = await page(FleetPage);
    const boats = Array.from({ length: 1000 }, (_, i) => ({ ...line(`b${i}`, `Boat ${1000 + i}`), stops: i % 7 }));
    store().dispatch(fleetServerEvents.loaded({ boats: boats.slice(0, 9) }));
    await settle();
    const listed = (): string[] => [...root.querySelectorAll('[data-boat] a')].map((one) => one.textContent.trim());
    const head = (words: string): Element | undefined =>
      [...root.querySelectorAll('[role="columnheader"]')].find((one) => one.textContent.includes(words));
    const byFindings = '[role="columnheader"]:nth-child(3) button';
    await press(root, byFindings);
    expect(listed()[0]).toBe('Boat 1006');
    expect(head('Findings')?.getAttribute('aria-sort')).toBe('descending');
    await press(root, byFindings);
    expect(listed()[0]).toBe('Boat 1000');
    expect(head('Findings')?.getAttribute('aria-sort')).toBe('ascending');
    store().dispatch(fleetServerEvents.loaded({ boats }));
    await settle();
    await new Promise((resolve) => setTimeout(resolve, 100));
    await settle();
    expect(root.querySelector('[role="table"]')?.getAttribute('aria-rowcount')).toBe('1001');
    expect(listed().length).toBeGreaterThan(3);
    expect(listed().length).toBeLessThan(60);
  });

  it('does not make a boat without a name, and tells what failed', async () => {
    const root = await page(FleetPage);
    root.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(text(root, '.told')).toContain('A name is needed');
    store().dispatch(fleetServerEvents.notLoaded({ detail: 'no server' }));
    await settle();
    expect(text(root, '[role="alert"]:not(.told)')).toContain('no server');
    store().dispatch(fleetServerEvents.loaded({ boats: [] }));
    await settle();
    expect(text(root, '.empty')).toContain('No boat yet');
  });
});
