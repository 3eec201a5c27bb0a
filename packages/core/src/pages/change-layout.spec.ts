import { layoutSchema, views, type Layout } from '@grey-keel/model';
import fc from 'fast-check';
import { aDisplay, aPage } from '../testing/sample-plan.ts';
import { changePane, removePane, resizeBands, resizePanes, splitPane, type PanePlace } from './change-layout.ts';
import { panesOf } from './panes.ts';

const layout = aPage().layout;
const first: PanePlace = { band: 0, place: 0 };
const seen = (of: Layout | null): string[] =>
  of ? panesOf(of, aDisplay()).map(({ pane, x, y }) => `${pane.view} ${Math.round(x)},${Math.round(y)}`) : [];

describe('changing a layout', () => {
  it('gives a pane another view or range and leaves the others', () => {
    const changed = changePane(layout, first, { view: 'side-scan', rangeM: 30 });
    expect(seen(changed)).toEqual(['side-scan 0,0', 'sounder 512,0']);
    expect(changed.bands[0]?.panes[0]?.rangeM).toBe(30);
    expect(changed.bands[1]).toEqual(layout.bands[1]);
  });

  it('resizes bands and panes by any weights', () => {
    expect(seen(resizeBands(layout, [75, 25]))).toEqual(['chart 0,0', 'sounder 960,0']);
    const split = splitPane(layout, first, 'below', 'down fan');
    expect(seen(split && resizePanes(split, 0, [30, 70]))).toEqual(['chart 0,0', 'down fan 0,240', 'sounder 512,0']);
  });

  it('splits a pane beside or below itself, whichever way the bands lie', () => {
    expect(seen(splitPane(layout, first, 'below', 'down fan'))).toEqual([
      'chart 0,0',
      'down fan 0,400',
      'sounder 512,0',
    ]);
    expect(seen(splitPane(layout, first, 'beside', 'down fan'))).toEqual([
      'chart 0,0',
      'down fan 256,0',
      'sounder 512,0',
    ]);
    const rows: Layout = { ...layout, bandsLie: 'rows' };
    expect(seen(splitPane(rows, first, 'beside', 'down fan'))).toEqual([
      'chart 0,0',
      'down fan 640,0',
      'sounder 0,320',
    ]);
  });

  it('turns a single band about so that one of its panes can be split across it', () => {
    const band: Layout = {
      bandsLie: 'rows',
      bands: [
        {
          share: 1,
          panes: [
            { share: 0.5, view: 'chart', rangeM: null },
            { share: 0.5, view: 'sounder', rangeM: null },
          ],
        },
      ],
    };
    expect(seen(splitPane(band, first, 'below', 'down fan'))).toEqual(['chart 0,0', 'down fan 0,400', 'sounder 640,0']);
  });

  it('takes a pane away until one is left', () => {
    const alone = removePane(layout, first);
    expect(seen(alone)).toEqual(['sounder 0,0']);
    expect(alone && removePane(alone, first)).toBeNull();
    const three = splitPane(layout, first, 'below', 'down fan');
    expect(seen(three && removePane(three, { band: 0, place: 1 }))).toEqual(seen(layout));
  });

  it('refuses a fifth pane in a band and what is not there', () => {
    let full: Layout | null = layout;
    for (let i = 0; i < 3; i++) full = full && splitPane(full, first, 'below', 'sector');
    expect(full?.bands[0]?.panes.length).toBe(4);
    expect(full && splitPane(full, first, 'below', 'sector')).toBeNull();
    expect(splitPane(layout, { band: 7, place: 0 }, 'below', 'sector')).toBeNull();
    expect(removePane(layout, { band: 7, place: 0 })).toBeNull();
  });

  it('stays a layout by its schema through any run of changes', () => {
    const step = fc.record({
      kind: fc.constantFrom('beside', 'below', 'remove', 'bands', 'panes'),
      band: fc.nat(3),
      place: fc.nat(3),
      view: fc.constantFrom(...views),
      shares: fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { minLength: 4, maxLength: 4 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 20 }), (steps) => {
        let now: Layout = layout;
        for (const { kind, band, place, view, shares } of steps) {
          const at = { band: band % now.bands.length, place: 0 };
          at.place = place % (now.bands[at.band]?.panes.length ?? 1);
          const next =
            kind === 'remove'
              ? removePane(now, at)
              : kind === 'bands'
                ? resizeBands(now, shares)
                : kind === 'panes'
                  ? resizePanes(now, at.band, shares)
                  : splitPane(now, at, kind, view);
          now = next ?? now;
          expect(layoutSchema.safeParse(now).success).toBeTrue();
        }
      }),
    );
  });
});
