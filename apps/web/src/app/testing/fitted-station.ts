import type { Page, Plan } from '@grey-keel/model';
import { aDisplay, withHelm } from './plans.ts';

export const display = aDisplay;
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
export const fitted = (): Plan => ({ ...withHelm(), pages: { troll } });
