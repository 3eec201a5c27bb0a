import type { Procedure } from './procedure.ts';
import { onTheDisplay, underWay, lookOut } from './usual-words.ts';

export const headingProcedure: Procedure = {
  ...onTheDisplay,
  title: 'Heading offset',
  where:
    'Open water, a straight line you can hold for a minute each way, at 4 knots or more: course means nothing at a crawl.',
  steps: [
    'Run one way at a steady speed, then back on the opposite heading at the same throttle: that is a pair.',
    'Make the next pair across the first. Two pairs carry an interval, three show a bad one.',
    'A current turns the course away from the heading both ways; in the difference of a pair it cancels.',
  ],
  people: underWay,
  caution: lookOut,
  reading: 'run',
  group: 'Water and way',
  picture: 'runs',
  live: { by: 'run', follows: 'heading' },
};
