import type { StageViews } from '../stage-views.ts';

export const calibrateViews: StageViews = {
  stage: 'calibrate',
  tabs: [],
  pictures: [
    { name: 'calibrate', theme: 'shop', press: [] },
    { name: 'working', theme: 'shop', press: ['#result gk-number button'] },
  ],
};
