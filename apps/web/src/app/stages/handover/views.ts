import type { StageViews } from '../stage-views.ts';

export const handoverViews: StageViews = {
  stage: 'handover',
  tabs: [],
  pictures: [{ name: 'handover', theme: 'shop', press: [] }],
};
