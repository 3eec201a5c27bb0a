import type { Procedure } from './procedure.ts';
import { onTheDisplay } from './usual-words.ts';

export const pointingProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Pointing',
  where: 'At rest or anchored, one target that stands out: a pile, a buoy’s sinker, a moored boat’s keel.',
  steps: [
    'On a known bearing: sight the target over the bow with a compass or a protractor, and read where the picture has it.',
    'By two units on one target: take what the one that is right shows for the target off the bow.',
    'By the thin slice: turn until the target just goes out on each side; a pair of the two, half the slice to each side.',
  ],
  people: 'Two people: one sights, one reads. At rest.',
  caution: 'Never transmit at swimmers or divers, nor out of the water. Local rules on live sonar come first.',
  reading: 'reading',
  group: 'Pictures and marks',
  picture: 'bearings',
  live: null,
};
