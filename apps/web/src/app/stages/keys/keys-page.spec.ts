import type { FittedDisplay } from '@grey-keel/model';
import { aPlan } from '../../testing/plans.ts';
import { aDisplay } from '@grey-keel/core/testing';
import { fitted } from '../../testing/fitted-station.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { KeysPage } from './keys-page.ts';

describe('Keys', () => {
  const { plan, page, choose, press, text, settle } = stageHarness();

  it('binds and clears a press, and records the place on a display that binds to places', async () => {
    const root = await page(KeysPage, fitted());
    await choose(root, '#key-helm-1-short', 'page troll');
    await choose(root, '#key-helm-2-long', 'mark hazard');
    expect(plan().keys['helm']).toEqual({
      '1-short': { does: 'page', pageId: 'troll', place: null },
      '2-long': { does: 'mark', mark: 'hazard' },
    });
    await choose(root, '#key-helm-2-long', '');
    expect(Object.keys(plan().keys['helm'] ?? {})).toEqual(['1-short']);

    const places = await page(KeysPage, { ...fitted(), displays: { helm: aDisplay({ keysBindTo: 'place' }) } });
    await choose(places, '#key-helm-1-short', 'page troll');
    expect(plan().keys['helm']?.['1-short']).toEqual({ does: 'page', pageId: 'troll', place: 1 });
    expect(text(places, 'section > p')).toContain('whatever page stands at a place');
  });

  it('draws the keys on the side of the glass where the display has them; one pressed there leads to what it does', async () => {
    const seen = async (display: Partial<FittedDisplay>) => {
      const root = await page(KeysPage, { ...fitted(), displays: { helm: aDisplay({ keys: 3, ...display }) } });
      const [glass] = root.querySelectorAll('gk-display-front .glass');
      const keys = [...root.querySelectorAll('gk-display-front .key rect')];
      return { root, keys, glass: glass?.getBoundingClientRect() };
    };
    const below = await seen({ keysAt: 'below' });
    expect(below.keys.length).toBe(3);
    for (const key of below.keys) expect(key.getBoundingClientRect().top).toBeGreaterThan(below.glass?.bottom ?? 1e9);
    expect(text(below.root, 'gk-display-front title')).toContain('3 programmable keys below the glass');
    const beside = await seen({ keysAt: 'beside' });
    for (const key of beside.keys) expect(key.getBoundingClientRect().left).toBeGreaterThan(beside.glass?.right ?? 1e9);
    beside.keys[1]?.parentElement?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    expect(document.activeElement?.id).toBe('key-helm-2-short');
    expect((await seen({ keys: 0 })).keys).toEqual([]);
  });

  it('keeps showing a binding whose page is gone', async () => {
    const root = await page(KeysPage, {
      ...fitted(),
      keys: { helm: { '1-short': { does: 'page', pageId: 'gone', place: null } } },
    });
    await settle();
    expect(text(root, '#key-helm-1-short')).toBe('a page that is gone');
  });

  it('shows a proposal of either school first, and takes it as one edit', async () => {
    const root = await page(KeysPage, fitted());
    const [short, long] = root.querySelectorAll<HTMLButtonElement>('.schools button');
    short?.click();
    await settle();
    expect(plan().keys).toEqual(fitted().keys);
    expect(text(root, '[data-slot="1-short"]')).toContain('Troll');
    await press(root, '#take-proposal');
    expect(plan().keys['helm']?.['1-short']).toEqual({ does: 'page', pageId: 'troll', place: null });
    long?.click();
    await settle();
    expect(text(root, '[data-slot="1-short"] .lost')).toBe('Troll');
    await press(root, '#take-proposal');
    expect(plan().keys['helm']?.['1-long']).toEqual({ does: 'page', pageId: 'troll', place: null });
    expect(root.querySelector('gk-key-proposal')).toBeNull();
  });

  it('puts a proposal on the free keys alone where that is asked', async () => {
    const root = await page(KeysPage, { ...fitted(), keys: { helm: { '1-short': { does: 'volume' } } } });
    await press(root, '.schools button');
    await press(root, '#take-free');
    expect(plan().keys['helm']?.['1-short']).toEqual({ does: 'volume' });
    expect(Object.keys(plan().keys['helm'] ?? {}).length).toBeGreaterThan(1);
  });

  it('says where to go while there is no display, and that some displays have no keys', async () => {
    expect(text(await page(KeysPage, aPlan()), 'section')).toContain('No station has a display yet');
    const glass = await page(KeysPage, { ...fitted(), displays: { helm: aDisplay({ keys: 0 }) } });
    expect(text(glass, 'gk-key-list')).toContain('no programmable keys');
    expect(glass.querySelector('.schools')).toBeNull();
  });
});
