import type { Procedure } from './procedure.ts';
import { onTheDisplay, underWay } from './usual-words.ts';

export const sidesProcedure: Procedure = {
  ...onTheDisplay,
  result: 'Which side is which',
  enter: 'I have looked, and it holds',
  done: 'Looked at',
  title: 'Port and starboard',
  where: 'Along a bank, a pier or a moored boat that is on one side for certain, slowly.',
  steps: [
    'Pass it on one side and say on which half of the picture it comes up; then pass it on the other side.',
    'A view ahead is looked at the same way: a pole to starboard of the bow has to come up to starboard.',
    'Runs there and back over open water cannot show a swap.',
  ],
  people: underWay,
  caution: 'Near banks and piers look where you go, not at the picture.',
  reading: 'look',
  group: 'Pictures and marks',
  picture: 'sides',
  live: null,
  comparesReadings: false,
};
