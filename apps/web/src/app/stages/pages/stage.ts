import { at, inOrder } from '@grey-keel/core';
import type { WebStage } from '../web-stage.ts';

export const pagesStage: WebStage = {
  stage: 'pages',
  title: 'Pages',
  decides: 'What each screen shows in each way of working, and whether it can be read.',
  help: [
    'One page for each way of working at each station; the matrix shows the gaps.',
    'Side-scan lives by width, a sounder by height: see what each layout gives in metres a pixel.',
    'A number is read at the angle its digits fill: 16 minutes by day, half as much again by night.',
    'School of many numbers: everything at a glance. School of few: depth large, the rest a key away.',
    'Helm wide and bow narrow, or both the same: the first spreads the work, the second never confuses.',
    'Moving a page moves its place in the list; on some displays keys hold on to the place.',
  ],
  page: () => import('./pages-page.ts').then(({ PagesPage }) => PagesPage),
  found: (plan) => [
    ...inOrder(plan.pages).map(([id, { name, stationId }]) => ({
      kind: 'page' as const,
      name: `${name}, ${plan.stations[stationId]?.name ?? ''}`,
      target: at('pages', id),
    })),
    { kind: 'setting', name: 'Displays', target: at('displays', inOrder(plan.stations)[0]?.[0] ?? '') },
  ],
};
