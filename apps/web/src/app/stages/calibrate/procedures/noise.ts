import type { Procedure } from './procedure.ts';
import { inThePlan, underWay, lookOut } from './usual-words.ts';

export const noiseProcedure: Procedure = {
  ...inThePlan,
  title: 'Own noise',
  where:
    'Deep, quiet water; this sonar’s pulse and power at their greatest, the other sonars off, gain as high as you ever have it.',
  steps: [
    'At rest, lower a round sinker of known diameter under the face until it is just lost: that depth tells the electrical noise.',
    'Run faster in steps over known depth until the bottom is just lost: that speed tells the boat’s own noise under way.',
    'Repeat each three times: what counts is where it is lost, not where it comes back. Say what the bottom is; its strength alone leaves the result unsure by some eight decibels.',
  ],
  people: underWay,
  caution: lookOut,
  reading: 'reading',
  group: 'Noise and power',
  picture: null,
  live: null,
};
