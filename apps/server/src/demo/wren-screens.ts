import type { Layout, Page, Plan, WaySet } from '@grey-keel/model';
import { displayFrom, layoutOf, number } from './demo-parts.ts';

/** Three stations and their pages. One number is too small, and a page added later has taken the place a key opens. */
export const wrenScreens = (): Pick<Plan, 'displays' | 'pages' | 'keys'> => {
  const page = (
    stationId: string,
    place: number,
    name: string,
    shownIn: WaySet,
    layout: Layout,
    numbers: Page['numbers'],
  ): Page => ({ stationId, place, name, shownIn, layout, numbers });
  const [port, starboard, bow] = ['a-helm-port', 'b-helm-starboard', 'c-bow'] as const;
  const depth = { depth: number('depth', 64, 0.42, 0.04) };
  return {
    displays: {
      [port]: displayFrom('display-13-five-keys'),
      [starboard]: displayFrom('display-10-place-keys'),
      [bow]: displayFrom('display-13-glass'),
    },
    pages: {
      'a1-run': page(port, 1, 'Run', { running: true }, layoutOf('rows', [8 / 3, 'chart'], [4 / 3, 'sounder']), depth),
      'a2-search': page(
        port,
        2,
        'Search',
        { searching: true },
        layoutOf('rows', [2.2, 'side-scan'], [1.8, 'forward-facing', 'chart']),
        {
          depth: number('depth', 72, 0.04, 0.06),
          heading: number('heading', 18, 0.55, 0.6),
          course: number('course', 44, 0.86, 0.6),
        },
      ),
      'a3-troll': page(
        port,
        3,
        'Troll',
        { trolling: true, 'on the spot': true },
        layoutOf('columns', [2, 'chart'], [2, 'sounder']),
        depth,
      ),
      'b1-run': page(
        starboard,
        1,
        'Run',
        { running: true },
        layoutOf('rows', [8 / 3, 'chart'], [4 / 3, 'sounder']),
        {},
      ),
      'b2-sides': page(starboard, 2, 'Sides', { searching: true }, layoutOf('rows', [4, 'side-scan']), {}),
      'b3-water': page(starboard, 3, 'Water', { trolling: true }, layoutOf('rows', [4, 'sounder']), {
        depth: number('depth', 72, 0.05, 0.05),
        temperature: number('water temperature', 40, 0.05, 0.2),
      }),
      'b4-troll': page(
        starboard,
        4,
        'Jig',
        { 'on the spot': true },
        layoutOf('columns', [2, 'sounder'], [2, 'chart']),
        {},
      ),
      'c1-run': page(bow, 1, 'Chart', { running: true }, layoutOf('columns', [2, 'chart'], [2, 'sounder']), {}),
      'c2-ahead': page(
        bow,
        2,
        'Ahead',
        { searching: true, 'on the spot': true },
        layoutOf('columns', [3, 'forward-facing'], [1, 'chart', 'sounder']),
        { depth: number('depth', 96, 0.03, 0.05) },
      ),
      'c3-troll': page(bow, 3, 'Troll', { trolling: true }, layoutOf('columns', [2, 'sounder'], [2, 'chart']), {}),
    },
    keys: {
      [port]: {
        '1-short': { does: 'mark', mark: 'seen' },
        '1-long': { does: 'mark', mark: 'hazard' },
        '2-short': { does: 'page', pageId: 'a3-troll', place: null },
        '2-long': { does: 'hold position' },
        '3-short': { does: 'page', pageId: 'a2-search', place: null },
        '4-short': { does: 'page', pageId: 'a1-run', place: null },
        '5-short': { does: 'record' },
        '5-long': { does: 'stop transmitting' },
      },
      [starboard]: {
        '1-short': { does: 'page', pageId: 'b1-run', place: 1 },
        '2-short': { does: 'page', pageId: 'b2-sides', place: 2 },
        '3-short': { does: 'page', pageId: 'b4-troll', place: 3 },
        '4-short': { does: 'mark', mark: 'seen' },
        '4-long': { does: 'page', pageId: 'b3-water', place: 3 },
      },
    },
  };
};
