import type { StageViews } from '../stage-views.ts';

export const pagesViews: StageViews = {
  tabs: [],
  pictures: [{ name: 'pages', theme: 'shop', press: ['#cell-a-helm-port-searching'] }],
};
