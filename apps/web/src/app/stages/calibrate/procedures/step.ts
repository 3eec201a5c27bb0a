import type { Procedure } from './procedure.ts';
import { onTheDisplay } from './usual-words.ts';

export const stepProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Step between two units',
  where: 'At rest over a flat, hard bottom, at several depths. Both units under the same water, side by side.',
  steps: [
    'Read both at one moment, each with what is set in it.',
    'Take three pairs or more, shallow and deep: at one depth all share the steps they are read in, and a step that grows with depth is a speed of sound, no offset.',
    'It makes the two agree; the lead line says whether they are right.',
  ],
  people: 'One person at each station, or one who photographs both.',
  caution: 'Two displays that agree can both be wrong. A wrong depth grounds the boat: measure one by lead line first.',
  reading: 'pair',
  group: 'Depth',
  picture: null,
  live: null,
};
