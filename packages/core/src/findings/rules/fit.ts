import type { Rule } from '../rule.ts';
import { mountingHull, nearPropeller, inWash, flowStirred, axisTilted } from './fit-flow.ts';
import { sideBlocked, aheadMount, sightHidden } from './fit-sight.ts';
import { headingNear, marksShifted, twoHeights } from './fit-antennas.ts';

export const fitRules: readonly Rule[] = [
  mountingHull,
  nearPropeller,
  inWash,
  flowStirred,
  axisTilted,
  sideBlocked,
  aheadMount,
  headingNear,
  marksShifted,
  twoHeights,
  sightHidden,
];
