import type { StageViews } from '../stage-views.ts';

export const calibrateViews: StageViews = {
  stage: 'calibrate',
  // What is calibrated on the boat the demo opens on; the first is shown at once.
  tabs: [
    'depth-b-narrow',
    'step-b-narrow',
    'sound-speed-a-helm-port',
    'temperature-a-wide',
    'heading-e-compass',
    'deviation-e-compass',
    'sides-c-sides',
    'pointing-d-ahead',
    'range-c-sides',
    'tilt-d-ahead',
    'antenna-b-helm-starboard',
    'noise-a-wide',
    'battery-a-start',
    'drill',
  ],
  pictures: [
    { name: 'calibrate', theme: 'shop', press: [] },
    { name: 'working', theme: 'shop', press: ['[data-calibration="heading-e-compass"]', '#result gk-number button'] },
  ],
};
