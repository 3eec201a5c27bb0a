import type { Layout, Pane, View } from '@grey-keel/model';

/** Where a pane stands: its band, and its place in the band. */
export interface PanePlace {
  readonly band: number;
  readonly place: number;
}

type Band = Layout['bands'][number];

const leastShare = 0.05;
/** Shares are kept to a thousandth: finer than a pixel of any screen. */
const rounded = (share: number): number => Math.min(1, Math.max(leastShare, Math.round(share * 1000) / 1000));

const sum = (shares: readonly number[]): number => shares.reduce((whole, share) => whole + share, 0);
const normal = (shares: readonly number[]): number[] => shares.map((share) => rounded(share / sum(shares)));

const withBands = (layout: Layout, bands: readonly Band[]): Layout => {
  const shares = normal(bands.map(({ share }) => share));
  return { ...layout, bands: bands.map((band, i) => ({ ...band, share: shares[i] ?? band.share })) };
};

const withPanes = (band: Band, panes: readonly Pane[]): Band => {
  const shares = normal(panes.map(({ share }) => share));
  return { ...band, panes: panes.map((pane, i) => ({ ...pane, share: shares[i] ?? pane.share })) };
};

const inBand = (layout: Layout, band: number, change: (band: Band) => Band): Layout => ({
  ...layout,
  bands: layout.bands.map((one, i) => (i === band ? change(one) : one)),
});

/** Gives a pane another view or range. */
export const changePane = (
  layout: Layout,
  { band, place }: PanePlace,
  changes: Partial<Pick<Pane, 'view' | 'rangeM'>>,
): Layout =>
  inBand(layout, band, (one) => ({
    ...one,
    panes: one.panes.map((pane, i) => (i === place ? { ...pane, ...changes } : pane)),
  }));

/** New shares of the bands, as any weights. */
export const resizeBands = (layout: Layout, shares: readonly number[]): Layout =>
  withBands(
    layout,
    layout.bands.map((band, i) => ({ ...band, share: shares[i] ?? band.share })),
  );

/** New shares of the panes of one band, as any weights. */
export const resizePanes = (layout: Layout, band: number, shares: readonly number[]): Layout =>
  inBand(layout, band, (one) =>
    withPanes(
      one,
      one.panes.map((pane, i) => ({ ...pane, share: shares[i] ?? pane.share })),
    ),
  );

const most = 4;

/** Halves a pane: the new view beside it or below it. Null where a layout has no room for another there. */
export const splitPane = (
  layout: Layout,
  { band, place }: PanePlace,
  where: 'beside' | 'below',
  view: View,
): Layout | null => {
  const target = layout.bands[band];
  const pane = target?.panes[place];
  if (!target || !pane) return null;
  const within = (where === 'beside') === (layout.bandsLie === 'rows');
  if (within) {
    if (target.panes.length >= most) return null;
    const half = { ...pane, share: pane.share / 2 };
    return inBand(layout, band, (one) =>
      withPanes(one, one.panes.toSpliced(place, 1, half, { ...half, view, rangeM: null })),
    );
  }
  // A single band may as well lie the other way: its panes keep their order and each becomes a band.
  if (layout.bands.length === 1 && target.panes.length > 1)
    return splitPane(
      {
        bandsLie: layout.bandsLie === 'rows' ? 'columns' : 'rows',
        bands: target.panes.map((one) => ({ share: one.share, panes: [{ ...one, share: 1 }] })),
      },
      { band: place, place: 0 },
      where,
      view,
    );
  if (layout.bands.length >= most) return null;
  const half = { ...target, share: target.share / 2 };
  return withBands(
    layout,
    layout.bands.toSpliced(band, 1, half, { share: half.share, panes: [{ share: 1, view, rangeM: null }] }),
  );
};

/** Takes a pane away; its neighbours take its room. Null for the last one. */
export const removePane = (layout: Layout, { band, place }: PanePlace): Layout | null => {
  const target = layout.bands[band];
  if (!target) return null;
  if (target.panes.length > 1) return inBand(layout, band, (one) => withPanes(one, one.panes.toSpliced(place, 1)));
  return layout.bands.length > 1 ? withBands(layout, layout.bands.toSpliced(band, 1)) : null;
};
