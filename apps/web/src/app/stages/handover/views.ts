import type { StageViews } from '../stage-views.ts';

export const handoverViews: StageViews = {
  tabs: [],
  pictures: [{ name: 'handover', theme: 'shop', press: [] }],
};
