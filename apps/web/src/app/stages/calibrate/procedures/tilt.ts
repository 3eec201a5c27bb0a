import type { Procedure } from './procedure.ts';
import { onTheCard, overside } from './usual-words.ts';

export const tiltProcedure: Procedure = {
  ...onTheCard,
  title: 'Tilt of the pole',
  where: 'At rest in calm water, people where they stand when fishing, the pole down as it is used.',
  steps: [
    'Hold a plumb line or a level to the pole and read the angle, bow up positive.',
    'Three readings or more, a minute apart, so that rolling cancels.',
    'The maker says at which tilt the view changes by itself: what is left until then is your margin.',
  ],
  people: 'One person is enough at rest.',
  caution: overside,
  reading: 'reading',
  group: 'Pictures and marks',
  picture: null,
  live: null,
};
