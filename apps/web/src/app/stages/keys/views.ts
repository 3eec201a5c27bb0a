import type { StageViews } from '../stage-views.ts';

export const keysViews: StageViews = {
  tabs: [],
  pictures: [{ name: 'keys', theme: 'shop', press: [] }],
};
