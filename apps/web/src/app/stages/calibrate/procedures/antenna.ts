import type { Procedure } from './procedure.ts';
import { onTheDisplay, underWay } from './usual-words.ts';

export const antennaProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Antenna to transducer',
  where: 'One small buoy on a short line in calm water, away from traffic.',
  steps: [
    'Pass it slowly so that it goes straight over the face, and set a mark at that moment.',
    'Pass it again on other headings, the other way and across: each mark lies off by the same vector, turned with the boat.',
    'Four passes carry an interval worth having; a receiver wanders by a metre or more.',
  ],
  people: underWay,
  caution: 'Keep the buoy’s line clear of the propeller; engine out of gear as it passes under.',
  reading: 'pass',
  group: 'Pictures and marks',
  picture: 'marks',
  live: { by: 'held heading' },
};
