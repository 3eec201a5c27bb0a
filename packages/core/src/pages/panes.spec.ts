import { views, waysOfWorking, type Layout } from '@grey-keel/model';
import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { aDisplay, aPage, aPlan, aTransducer, edited } from '../testing/sample-plan.ts';
import { pageFor, pagesAt, shownWays, usedWays } from '../plan/pages-at.ts';
import { forwardView } from '../beams/forward-view.ts';
import { paneScale } from './pane-scale.ts';
import { panesOf, pixelPitchM } from './panes.ts';
import { suggestLayouts } from './suggest-layouts.ts';
import { viewRangeM } from './view-range.ts';

const share = fc.double({ min: 0.05, max: 1, noNaN: true });
const layouts = fc.record({
  bandsLie: fc.constantFrom('rows' as const, 'columns' as const),
  bands: fc.array(
    fc.record({
      share,
      panes: fc.array(fc.record({ share, view: fc.constantFrom(...views), rangeM: fc.constant(null) }), {
        minLength: 1,
        maxLength: 4,
      }),
    }),
    { minLength: 1, maxLength: 4 },
  ),
});

describe('panesOf', () => {
  it('covers the screen once, whatever the layout', () => {
    fc.assert(
      fc.property(layouts, (layout: Layout) => {
        const panes = panesOf(layout, aDisplay());
        expect(panes.reduce((sum, { width, height }) => sum + width * height, 0)).toBeCloseTo(1280 * 800, 3);
        panes.forEach((a, i) =>
          panes.slice(i + 1).forEach((b) => {
            const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
            const high = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
            expect(Math.min(wide, high)).toBeLessThan(1e-6);
          }),
        );
      }),
    );
  });

  it('lays bands as rows or as columns by their weights', () => {
    const at = (bandsLie: 'rows' | 'columns') =>
      panesOf({ ...aPage().layout, bandsLie }, aDisplay()).map(({ x, y, width, height }) => [x, y, width, height]);
    expect(at('columns')).toEqual([
      [0, 0, 512, 800],
      [512, 0, 768, 800],
    ]);
    expect(at('rows')).toEqual([
      [0, 0, 1280, 320],
      [0, 320, 1280, 480],
    ]);
  });
});

describe('pixelPitchM', () => {
  it('is the diagonal over the diagonal in pixels', () => {
    // 12.1 in with 1280 x 800: 124.75 pixels an inch.
    expect(0.0254 / pixelPitchM(aDisplay({ screenDiagonalM: 12.1 * 0.0254 }))).toBeCloseTo(124.75, 2);
  });
});

describe('pane-scale', () => {
  it('lays both sides of a side-scan across the width, a sounder down the height, a chart across', () => {
    const per = (view: (typeof views)[number]): number =>
      answerOf(paneScale, { view, rangeM: 40, widthPx: 640, heightPx: 400 }).metresPerPixel;
    expect(per('side-scan')).toBeCloseTo(80 / 640, 12);
    expect(per('sounder')).toBeCloseTo(0.1, 12);
    expect(per('down fan')).toBeCloseTo(0.1, 12);
    expect(per('chart')).toBeCloseTo(40 / 640, 12);
    expect(per('forward-facing')).toBeCloseTo(40 / 640, 12);
  });

  it('lays a forward-facing view as `forward-view` does: a metre ahead as long as a metre down at its true window', () => {
    const [widthPx, heightPx, belowFaceM] = [640, 400, 12];
    const view = answerOf(forwardView, {
      mode: 'ahead',
      sectorDeg: 90,
      thinDeg: 20,
      belowFaceM,
      rangeM: 20,
      paneAspect: widthPx / heightPx,
    });
    const ahead = answerOf(paneScale, { view: 'forward-facing', rangeM: view.trueWindowM, widthPx, heightPx });
    // The pane shows a fifth more than the depth along its height.
    expect(ahead.metresPerPixel).toBeCloseTo((1.2 * belowFaceM) / heightPx, 9);
  });

  it('fits the whole circle of a sector into the pane: two ranges along its shorter side', () => {
    const per = (widthPx: number, heightPx: number) =>
      answerOf(paneScale, { view: 'sector', rangeM: 40, widthPx, heightPx });
    expect(per(640, 400).metresPerPixel).toBeCloseTo(80 / 400, 12);
    expect(per(300, 400).metresPerPixel).toBeCloseTo(80 / 300, 12);
    expect(per(300, 400).along).toBe('width');
  });

  it('is judged at the range of the pane, or at an automatic one that reaches past the bottom', () => {
    const plan = aPlan();
    expect(viewRangeM(plan, { view: 'sounder', rangeM: 20 })).toBe(20);
    for (const view of views) expect(viewRangeM(plan, { view, rangeM: null })).toBeGreaterThan(plan.working.depthM);
  });
});

describe('the pages of a station', () => {
  const plan = edited(
    aPlan(),
    { type: 'useWay', way: 'running', used: true },
    { type: 'addPage', id: 'p-run', page: aPage({ name: 'Run', place: 1, shownIn: { running: true }, numbers: {} }) },
  );

  it('stand in the order of the list; a page put in at a place moves the later ones on', () => {
    expect(pagesAt(plan, 'helm').map(({ page }) => [page.place, page.name])).toEqual([
      [1, 'Run'],
      [2, 'Troll'],
    ]);
    const moved = edited(plan, { type: 'movePage', id: 'p-run', place: 9 });
    expect(pagesAt(moved, 'helm').map(({ page }) => [page.place, page.name])).toEqual([
      [1, 'Troll'],
      [2, 'Run'],
    ]);
    expect(pagesAt(edited(plan, { type: 'removePage', id: 'p-run' }), 'helm')[0]?.page.place).toBe(1);
  });

  it('are one for each way of working: the page shown before gives way', () => {
    const taken = edited(plan, { type: 'showPageIn', id: 'p-run', way: 'trolling', shown: true });
    expect(pageFor(taken, 'helm', 'trolling')?.id).toBe('p-run');
    expect(taken.pages['p-troll']?.shownIn).toEqual({});
    const added = edited(plan, {
      type: 'addPage',
      id: 'p-new',
      page: aPage({ name: 'New', place: 3, shownIn: { running: true } }),
    });
    expect(pageFor(added, 'helm', 'running')?.id).toBe('p-new');
    expect(added.pages['p-run']?.shownIn).toEqual({});
    expect(
      pageFor(edited(added, { type: 'showPageIn', id: 'p-new', way: 'running', shown: false }), 'helm', 'running'),
    ).toBeNull();
  });

  it('go with their display and with their station, and the keys with them', () => {
    for (const gone of [
      edited(plan, { type: 'removeDisplay', stationId: 'helm' }),
      edited(plan, { type: 'removeStation', id: 'helm' }),
    ])
      expect([gone.pages, gone.keys, gone.displays]).toEqual([{}, {}, {}]);
  });

  it('leave the trailer out of the ways that show something', () => {
    expect(usedWays(plan)).toEqual(['running', 'trolling', 'trailer']);
    expect(shownWays(plan)).toEqual(['running', 'trolling']);
  });
});

describe('suggestLayouts', () => {
  const plan = edited(
    aPlan(),
    { type: 'useWay', way: 'searching', used: true },
    {
      type: 'placeTransducer',
      id: 'c-sides',
      transducer: aTransducer({
        kind: 'side-scan',
        beams: [{ frequencyHz: 430_000, bandwidthHz: null, beamwidthDeg: 50, levelDb: -3, alongDeg: 1 }],
      }),
    },
  );

  it('ranks the best first, within the panes of the display, with views the boat has', () => {
    for (const way of waysOfWorking) {
      const found = suggestLayouts(plan, 'helm', way);
      expect(found.length === 0).toBe(way === 'trailer');
      expect(found.map(({ score }) => score)).toEqual([...found.map(({ score }) => score)].sort((a, b) => b - a));
      for (const { layout, score } of found) {
        const panes = panesOf(layout, aDisplay());
        expect(panes.length).toBeLessThanOrEqual(3);
        expect(score).toBeGreaterThan(0);
        expect(score).toBeLessThanOrEqual(1);
        for (const { pane } of panes) expect(['chart', 'sounder', 'side-scan']).toContain(pane.view);
      }
    }
  });

  it('gives side-scan the whole width when searching, and says how many pixels more that is', () => {
    const shown = edited(plan, {
      type: 'addPage',
      id: 'p-search',
      page: aPage({
        place: 2,
        shownIn: { searching: true },
        layout: {
          bandsLie: 'columns',
          bands: [
            { share: 0.5, panes: [{ share: 1, view: 'side-scan', rangeM: null }] },
            { share: 0.5, panes: [{ share: 1, view: 'chart', rangeM: null }] },
          ],
        },
      }),
    });
    const [best] = suggestLayouts(shown, 'helm', 'searching');
    expect(best?.chief).toBe('side-scan');
    expect(best?.scale.pixels).toBe(1280);
    expect(best?.morePixels).toBeCloseTo(1, 9);
    // 32 m of water: 64 m to each side over 1280 pixels.
    expect(best?.scale.metresPerPixel).toBeCloseTo(0.1, 9);
    expect(suggestLayouts(plan, 'helm', 'searching')[0]?.morePixels).toBeNull();
  });

  it('offers one view alone to a display that shows one, and nothing where there is no display', () => {
    const small = edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { panesPerPage: 1 } });
    for (const { layout } of suggestLayouts(small, 'helm', 'searching'))
      expect(panesOf(layout, aDisplay()).length).toBe(1);
    expect(suggestLayouts({ ...plan, displays: {} }, 'helm', 'searching')).toEqual([]);
  });
});
