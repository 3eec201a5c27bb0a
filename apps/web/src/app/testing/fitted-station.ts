import type { Page, Plan } from '@grey-keel/model';
import { aPlan } from './plans.ts';

export const display = {
  name: 'Display 12',
  screenDiagonalM: 0.30734,
  pixelsWide: 1280,
  pixelsHigh: 800,
  keys: 4,
  pressesPerKey: 2,
  keysBindTo: 'page' as const,
  panesPerPage: 3,
  catalogue: null,
  seatedDistanceM: null,
  readAtNight: false,
};
export const troll: Page = {
  stationId: 'helm',
  name: 'Troll',
  place: 1,
  shownIn: { trolling: true },
  layout: {
    bandsLie: 'columns',
    bands: [
      { share: 0.5, panes: [{ share: 1, view: 'chart', rangeM: null }] },
      { share: 0.5, panes: [{ share: 1, view: 'sounder', rangeM: null }] },
    ],
  },
  numbers: { depth: { shows: 'depth', heightPx: 40, x: 0.4, y: 0.1 } },
};
export const fitted = (): Plan => ({
  ...aPlan(),
  stations: { helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' } },
  displays: { helm: display },
  pages: { troll },
});
