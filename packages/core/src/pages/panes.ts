import type { Layout, Pane, Screen } from '@grey-keel/model';

/** A pane where it lies on its screen, in pixels from the upper left corner. */
export interface PlacedPane {
  readonly band: number;
  readonly place: number;
  readonly pane: Pane;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Cuts a length by weights: where each part begins and how long it is. */
const cut = (shares: readonly number[], length: number): { readonly from: number; readonly size: number }[] => {
  const whole = shares.reduce((sum, share) => sum + share, 0);
  let from = 0;
  return shares.map((share) => {
    const size = (share / whole) * length;
    const part = { from, size };
    from += size;
    return part;
  });
};

/** Every pane of a layout on a screen. The panes cover the screen and do not overlap. */
export const panesOf = (
  { bandsLie, bands }: Layout,
  { pixelsWide, pixelsHigh }: Pick<Screen, 'pixelsWide' | 'pixelsHigh'>,
): PlacedPane[] => {
  const rows = bandsLie === 'rows';
  const across = cut(
    bands.map(({ share }) => share),
    rows ? pixelsHigh : pixelsWide,
  );
  return bands.flatMap(({ panes }, band) => {
    const outer = across[band] ?? { from: 0, size: 0 };
    const inner = cut(
      panes.map(({ share }) => share),
      rows ? pixelsWide : pixelsHigh,
    );
    return panes.map((pane, place) => {
      const part = inner[place] ?? { from: 0, size: 0 };
      return rows
        ? { band, place, pane, x: part.from, y: outer.from, width: part.size, height: outer.size }
        : { band, place, pane, x: outer.from, y: part.from, width: outer.size, height: part.size };
    });
  });
};

/** Height and width of one pixel, metres; pixels are taken to be square. */
export const pixelPitchM = ({
  screenDiagonalM,
  pixelsWide,
  pixelsHigh,
}: Pick<Screen, 'screenDiagonalM' | 'pixelsWide' | 'pixelsHigh'>): number =>
  screenDiagonalM / Math.hypot(pixelsWide, pixelsHigh);
