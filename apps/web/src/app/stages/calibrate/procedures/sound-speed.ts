import type { Procedure } from './procedure.ts';
import { onTheDisplay } from './usual-words.ts';

export const soundSpeedProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Speed of sound',
  where: 'Where the boat works, in the season it works. Warm water on top of cold makes a mean of both.',
  steps: [
    'Lower a thermometer to several depths, down to where you read depths; wait until it has settled at each.',
    'Take the salt by a strip or a meter; 0 in fresh water. Near river mouths it changes with the tide.',
    'Enter the mean in the display, or the water type that comes nearest to it.',
  ],
  people: 'One person is enough at rest.',
  caution:
    'A figure that is set too high shows more water than there is. Depths are never better than the lead line’s: sonar alone is no aid to navigation.',
  reading: 'sample',
  group: 'Depth',
  picture: null,
  live: null,
  comparesReadings: false,
};
