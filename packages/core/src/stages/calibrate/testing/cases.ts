import type { Edit } from '@grey-keel/model';
import type { RuleCases } from '../../../testing/rule-case.ts';
import { aPlan, edited, pair, withEntered } from '../../../testing/sample-plan.ts';

const plan = aPlan();
const offset = (changes: object): Edit => ({ type: 'describeDepthOffset', transducerId: 'a-wide', changes });
const slip = (leadLineM: number, displayedM: number): Edit => ({
  type: 'recordReading',
  transducerId: 'a-wide',
  readingId: 'r5',
  reading: pair(leadLineM, displayedM),
});
const entered = withEntered(plan, 'a-wide');
const turned = edited(
  plan,
  offset({ offsetSetM: -0.39 }),
  ...['r1', 'r2', 'r3', 'r4'].map((readingId): Edit => ({
    type: 'correctReading',
    transducerId: 'a-wide',
    readingId,
    changes: { displayedM: (plan.depthOffsets['a-wide']?.readings[readingId]?.displayedM ?? 0) - 0.39 },
  })),
);

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const calibrateCases: RuleCases = {
  'offset-wrong-sign': { speaks: turned, silent: plan, value: 0.78 },
  'offset-stale': {
    speaks: edited(entered, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.18 } }),
    silent: entered,
    value: 0.3925,
  },
  'offset-flagged': { speaks: edited(plan, slip(10.7, 9.87)), silent: edited(plan, slip(10.7, 10.31)), value: 0.83 },
  'reading-half': {
    speaks: edited(plan, { type: 'recordReading', transducerId: 'a-wide', readingId: 'r5', reading: pair(9, null) }),
    silent: plan,
    value: 9,
  },
  'offset-uncertain': { speaks: edited(plan, offset({ toleranceM: 0.02 })), silent: plan },
  'offset-geometry': {
    speaks: edited(plan, { type: 'describeTransducer', id: 'a-wide', changes: { aboveKeelM: 0.4 } }),
    silent: plan,
    value: 0.2925,
  },
};
