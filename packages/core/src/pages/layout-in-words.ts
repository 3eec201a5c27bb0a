import type { Layout } from '@grey-keel/model';

/** What a layout is called: its views in the order they stand, beside or over each other. */
export const layoutInWords = ({ bandsLie, bands }: Layout): string => {
  const within = bandsLie === 'rows' ? ' beside ' : ' over ';
  const between = bandsLie === 'rows' ? ' over ' : ' beside ';
  return bands
    .map(({ panes }) => {
      const words = panes.map(({ view }) => view).join(within);
      return bands.length > 1 && panes.length > 1 ? `(${words})` : words;
    })
    .join(between);
};
