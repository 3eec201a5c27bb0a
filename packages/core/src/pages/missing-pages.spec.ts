import type { Layout, Pane, View } from '@grey-keel/model';
import { pageFor, pagesAt } from '../plan/pages-at.ts';
import { aPlan, edited, fitted } from '../testing/sample-plan.ts';
import { layoutInWords } from './layout-in-words.ts';
import { makeMissingPages, missingPages } from './missing-pages.ts';
import { suggestLayouts } from './suggest-layouts.ts';

const plan = edited(
  fitted(aPlan()),
  { type: 'useWay', way: 'running', used: true },
  { type: 'useWay', way: 'searching', used: true },
  { type: 'useWay', way: 'trailer', used: true },
);
const pane = (view: View): Pane => ({ share: 0.5, view, rangeM: null });

describe('pages that are missing', () => {
  it('are those of ways with something to look at and no page', () => {
    const ways = missingPages(plan).map(({ way }) => way);
    expect(ways).toContain('running');
    expect(ways).toContain('searching');
    // On the trailer nothing is looked at; trolling has its page.
    expect(ways).not.toContain('trailer');
    expect(ways).not.toContain('trolling');
  });

  it('are made all at once, each from the first suggestion for it, at the end of the list', () => {
    const before = missingPages(plan);
    const at = pagesAt(plan, before[0]?.stationId ?? '').length;
    let made = 0;
    const whole = edited(plan, ...makeMissingPages(plan, () => `made-${(made += 1)}`));
    expect(missingPages(whole)).toEqual([]);
    for (const { stationId, way } of before)
      expect(pageFor(whole, stationId, way)?.page.layout).toEqual(suggestLayouts(plan, stationId, way)[0]!.layout);
    const places = pagesAt(whole, before[0]?.stationId ?? '').map(({ page }) => page.place);
    expect(places).toEqual(Array.from({ length: at + before.length }, (_, i) => i + 1));
  });
});

describe('a layout in words', () => {
  it('tells what stands beside what, and what over what', () => {
    const rows: Layout = { bandsLie: 'rows', bands: [{ share: 1, panes: [pane('chart'), pane('sounder')] }] };
    expect(layoutInWords(rows)).toBe('chart beside sounder');
    const columns: Layout = {
      bandsLie: 'columns',
      bands: [
        { share: 0.6, panes: [pane('side-scan')] },
        { share: 0.4, panes: [pane('sounder'), pane('down fan')] },
      ],
    };
    expect(layoutInWords(columns)).toBe('side-scan beside (sounder over down fan)');
    expect(layoutInWords({ bandsLie: 'rows', bands: [{ share: 1, panes: [pane('chart')] }] })).toBe('chart');
  });
});
