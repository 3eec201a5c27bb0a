import type { StageViews } from '../stage-views.ts';

export const keysViews: StageViews = {
  stage: 'keys',
  tabs: [],
  pictures: [{ name: 'keys', theme: 'shop', press: [] }],
};
