import type { Procedure } from './procedure.ts';
import { onTheDisplay, underWay, lookOut } from './usual-words.ts';

export const speedProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Speed through water',
  where: 'Open water, light wind, deeper than the wake; the log clean. Any steady current is found with the factor.',
  steps: [
    'Hold one heading and one throttle until the log has settled, then read all four at once.',
    'Sail 0, 180, 90, 270: there and back at once, then the pair across. In a pair a current cancels even where it turns; two runs give a factor, four say how sure it is.',
    'Averages over half a minute or more; the display itself averages for some seconds.',
  ],
  people: underWay,
  caution: lookOut,
  reading: 'run',
  group: 'Water and way',
  picture: 'runs',
  live: { by: 'run', follows: 'log' },
};
