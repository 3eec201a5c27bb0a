import type { StageViews } from '../stage-views.ts';

export const sourcesViews: StageViews = {
  stage: 'sources',
  tabs: [],
  pictures: [{ name: 'sources', theme: 'shop', press: [] }],
};
