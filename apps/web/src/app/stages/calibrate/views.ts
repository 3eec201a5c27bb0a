import { calibrationKinds } from '@grey-keel/model';
import type { StageViews } from '../stage-views.ts';

export const calibrateViews: StageViews = {
  // The first of each kind; the first of all is shown at once.
  tabs: ['depth', ...calibrationKinds, 'drill'],
  pictures: [
    { name: 'calibrate', theme: 'shop', press: [] },
    { name: 'working', theme: 'shop', press: ['[data-tab="heading"]', '#result gk-number button'] },
  ],
};
