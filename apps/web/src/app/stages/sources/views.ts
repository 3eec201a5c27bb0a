import type { StageViews } from '../stage-views.ts';

export const sourcesViews: StageViews = {
  tabs: [],
  pictures: [{ name: 'sources', theme: 'shop', press: [] }],
};
