import { calibrationKinds } from '@grey-keel/model';
import type { StageViews } from '../stage-views.ts';

export const calibrateViews: StageViews = {
  // The first of each kind; the boat that is looked at has no log.
  tabs: ['depth', ...calibrationKinds.filter((kind) => kind !== 'speed'), 'drill'],
  pictures: [
    { name: 'calibrate', theme: 'shop', press: [] },
    { name: 'working', theme: 'shop', press: ['[data-tab="heading"]', '#result gk-number button'] },
  ],
};
