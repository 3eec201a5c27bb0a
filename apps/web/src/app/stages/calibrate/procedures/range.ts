import type { Procedure } from './procedure.ts';
import { onTheCard } from './usual-words.ts';

export const rangeProcedure: Procedure = {
  ...onTheCard,
  title: 'Range',
  where:
    'A wall or pier for side-scan, a pile or a buoy’s sinker for a view ahead, at distances that are paced or taped.',
  steps: [
    'Say how high the face and how high what answers stand over the bottom: a wall answers at the height of the face.',
    'Three distances or more, over the range you use.',
    'By triangle, less the water column, or as shown: which is right hangs on where the target stands.',
  ],
  people: 'Two people: one holds the boat, one tapes and reads.',
  caution: 'Fend off by hand at the wall with the engine in neutral.',
  reading: 'target',
  group: 'Pictures and marks',
  picture: 'targets',
  live: null,
};
