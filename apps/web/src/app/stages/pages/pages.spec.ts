import { SplitComponent } from 'angular-split';
import { TestBed } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { catalogueServerEvents } from '../../state/catalogue.ts';
import { planFeature } from '../../state/plan.reducer.ts';
import { viewEvents } from '../../state/view.ts';
import { aPlan } from '../../testing/plans.ts';
import { stageHarness } from '../../testing/stage-harness.ts';
import { aDisplay, aDisplayEntry, aPage } from '@grey-keel/core/testing';
import { fitted } from '../../testing/fitted-station.ts';
import { PagesPage } from './pages-page.ts';
import { ScreenEditor } from './screen-editor.ts';

const big = {
  screenDiagonalM: 0.4,
  pixelsWide: 1920,
  pixelsHigh: 1080,
  keys: 0,
  pressesPerKey: 1,
  panesPerPage: 6,
} as const;
const entry = { ...aDisplayEntry('big', { ...big, name: 'Big one' }), version: 2 };

describe('Pages', () => {
  const { store, plan, page, write, press, choose, key, text, settle } = stageHarness();
  const number = '#number-depth';

  it('shows each station by its ways of working, a gap as a gap, and opens the way of the head strip', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    expect(text(root, '#cell-helm-running')).toBe('no page');
    expect(root.querySelector('#cell-helm-trolling gk-page-drawing')).not.toBeNull();
    expect(root.querySelector('#cell-helm-trolling')?.getAttribute('aria-pressed')).toBe('true');
    expect(text(root, 'h2')).toBe('Helm · trolling');
  });

  it('says what to do first where there is no station, no display or no way of working', async () => {
    expect(text(await page(PagesPage, aPlan()), 'p')).toContain('no station yet');
    const bare = await page(PagesPage, { ...fitted(), displays: {}, pages: {} });
    expect(bare.querySelector('gk-page-matrix')).toBeNull();
    expect(bare.querySelector('#display-helm')).not.toBeNull();
    expect((await page(PagesPage, { ...fitted(), ways: {} })).textContent).toContain('No way of working is chosen');
  });

  it('fits a display from the catalogue, keeps how it is looked at, and takes it off with its pages', async () => {
    const root = await page(PagesPage, { ...fitted(), displays: { helm: aDisplay({ readAtNight: true }) } });
    store().dispatch(catalogueServerEvents.loaded({ entries: [entry] }));
    await settle();
    await choose(root, '#display-helm', 'big');
    expect(plan().displays['helm']).toEqual(
      jasmine.objectContaining({
        name: 'Big one',
        readAtNight: true,
        catalogue: { entryId: 'big', version: 2 },
        panesPerPage: 6,
      }),
    );
    expect(plan().network.devices['helm']?.sockets).toEqual(['round S']);
    await choose(root, '#display-helm', '');
    expect([plan().displays, plan().pages]).toEqual([{}, {}]);
  });

  it('makes a page for a gap from a suggestion, or shows one that is there', async () => {
    const root = await page(PagesPage, fitted());
    await press(root, '#cell-helm-running');
    expect(text(root, '.gap:not(button)')).toContain('No page is shown here while running');
    await press(root, 'gk-suggestion-list button.p-button');
    const made = Object.values(plan().pages).find(({ name }) => name === 'running');
    expect(made).toEqual(jasmine.objectContaining({ place: 2, shownIn: { running: true }, stationId: 'helm' }));

    const other = await page(PagesPage, fitted());
    await press(other, '#cell-helm-running');
    await choose(other, '#show-page', 'troll');
    expect(plan().pages['troll']?.shownIn).toEqual({ trolling: true, running: true });
  });

  it('makes all that is missing in one step, where more than one is', async () => {
    const one = await page(PagesPage, fitted());
    expect(one.querySelector('#make-all-pages')).toBeNull();
    const start = fitted();
    const root = await page(PagesPage, { ...start, ways: { ...start.ways, searching: true } });
    const before = Object.keys(plan().pages).length;
    await press(root, '#make-all-pages');
    expect(Object.keys(plan().pages).length).toBe(before + 2);
    expect(root.querySelectorAll('gk-page-matrix gk-page-drawing').length).toBe(before + 2);
    expect(root.querySelector('#make-all-pages')).toBeNull();
    expect(store().selectSignal(planFeature.selectUndo)().length).toBe(1);
  });

  it('swaps the view of a pane, gives it a range, splits it and takes it away', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    await press(root, '.pane');
    await choose(root, '#pane-view', 'side-scan');
    await write(root, '#pane-range', '30');
    expect(plan().pages['troll']?.layout.bands[0]?.panes[0]).toEqual({ share: 1, view: 'side-scan', rangeM: 30 });
    const button = (words: string): string =>
      `.inspector button:nth-of-type(${[...root.querySelectorAll('.inspector button')].findIndex((one) => one.textContent?.trim() === words) + 1})`;
    await press(root, button('Add below'));
    expect(plan().pages['troll']?.layout.bands[0]?.panes.map(({ view }) => view)).toEqual(['side-scan', 'chart']);
    // 30 m to each side over four tenths of 1280 pixels.
    expect(text(root, 'gk-layout-gives tr:first-child gk-number')).toBe('0.12 m/px');
    await press(root, button('Delete pane'));
    expect(plan().pages['troll']?.layout.bands[0]?.panes.map(({ view }) => view)).toEqual(['chart']);
  });

  it('keeps the last pane', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const { layout } = aPage();
    const alone = aPage({ layout: { ...layout, bands: layout.bands.slice(0, 1) } });
    const root = await page(PagesPage, { ...fitted(), pages: { troll: alone } });
    await press(root, '.pane');
    await press(root, '.inspector button.p-button-text');
    expect(text(root, '[role="alert"]')).toContain('The last pane stays');
    expect(plan().pages['troll']).toEqual(alone);
  });

  it('moves a number with the arrows, sizes it with plus and minus, and removes it', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    const now = () => plan().pages['troll']?.numbers['depth'];
    await key(root, number, 'ArrowRight');
    await key(root, number, 'ArrowDown', { shiftKey: true });
    expect([now()?.x, now()?.y]).toEqual([0.41, 0.15]);
    await key(root, number, '+');
    await key(root, number, '-');
    await key(root, number, '-');
    expect(now()?.heightPx).toBe(39);
    for (let i = 0; i < 60; i++) await key(root, number, 'ArrowLeft');
    expect(now()?.x).toBe(0);
    await key(root, number, 'Delete');
    expect(plan().pages['troll']?.numbers).toEqual({});
  });

  it('judges the chosen number by day and by night, and marks one that cannot be read', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    await press(root, number);
    expect(root.querySelectorAll('.sight').length).toBe(2);
    // 40 px of 0.2036 mm at 0.9 m: 31.1 minutes.
    expect(text(root, '.sight')).toContain('31.1\u2032');
    await write(root, '#number-height', '14');
    expect(text(root, '.sight.unread')).toContain('21 px would do');
    expect(root.querySelector(number)?.classList.contains('small')).toBeTrue();
  });

  it('adds a number large enough to be read', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    await choose(root, '#add-number', 'speed');
    const added = Object.values(plan().pages['troll']?.numbers ?? {}).find(({ shows }) => shows === 'speed');
    expect(added?.heightPx).toBeGreaterThanOrEqual(21);
  });

  it('names a page, says where it is shown, and removes it', async () => {
    store().dispatch(viewEvents.wayChosen({ way: 'trolling' }));
    const root = await page(PagesPage, fitted());
    await write(root, '#page-name', 'Slow');
    expect(plan().pages['troll']?.name).toBe('Slow');
    const [running] = root.querySelectorAll<HTMLInputElement>('.shown input');
    running?.click();
    await settle();
    expect(plan().pages['troll']?.shownIn.running).toBeTrue();
    const remove = [...root.querySelectorAll<HTMLButtonElement>('button')].find(
      (one) => one.textContent?.trim() === 'Delete page',
    );
    remove?.click();
    await settle();
    expect(plan().pages).toEqual({});
  });

  it('takes the sizes of a divided screen as shares', async () => {
    await page(PagesPage, fitted());
    const fixture = TestBed.createComponent(ScreenEditor);
    for (const [name, value] of Object.entries({
      pageId: 'p-troll',
      display: aDisplay(),
      page: aPage(),
      chosen: null,
      unreadable: new Set(),
    }))
      fixture.componentRef.setInput(name, value);
    const relaid: unknown[] = [];
    fixture.componentInstance.relaid.subscribe((layout) => relaid.push(layout.bands.map(({ share }) => share)));
    await fixture.whenStable();
    const split = fixture.debugElement.query(By.directive(SplitComponent)).componentInstance as SplitComponent;
    split.dragEnd.emit({ gutterNum: 1, sizes: [75, 25] });
    expect(relaid).toEqual([[0.75, 0.25]]);
  });
});
