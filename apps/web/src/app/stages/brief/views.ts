import type { StageViews } from '../stage-views.ts';

export const briefViews: StageViews = {
  tabs: [],
  pictures: [{ name: 'brief', theme: 'shop', press: [] }],
};
