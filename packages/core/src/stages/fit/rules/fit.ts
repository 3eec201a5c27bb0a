import type { Rule } from '../../../findings/rule.ts';
import { mountingHull, nearPropeller, inWash, flowStirred, axisTilted } from './flow.ts';
import { sideBlocked, aheadMount, sightHidden } from './sight.ts';
import { headingNear, marksShifted, twoHeights } from './antennas.ts';

export const fitRules: readonly Rule<'fit'>[] = [
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
