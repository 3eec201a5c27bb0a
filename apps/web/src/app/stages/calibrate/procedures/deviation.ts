import type { Procedure } from './procedure.ts';
import { underWay } from './usual-words.ts';

export const deviationProcedure: Procedure = {
  result: 'Deviation card',
  enter: 'Put the card by the compass',
  done: 'Card made',
  title: 'Deviation of the compass',
  where: 'A slow full turn in calm water, everything that is magnetic or carries current where it is when under way.',
  steps: [
    'Steady on eight headings all round or more, and read compass and magnetic heading on each.',
    'The magnetic heading is a bearing of something far off, the sun, or a heading that is right already; course over ground is none, a current sets it off.',
    'Make the swing after the offset, not before: another offset entered later makes it another card.',
  ],
  people: underWay,
  caution:
    'Keep a look-out while turning. A compass that is steered by is adjusted by a licensed adjuster where the rules ask for it.',
  reading: 'heading',
  group: 'Water and way',
  picture: 'deviation',
  live: { by: 'held compass' },
};
