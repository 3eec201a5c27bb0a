import type { Edit, View } from '@grey-keel/model';
import type { RuleCases } from '../../../testing/rule-case.ts';
import { aPlan, edited } from '../../../testing/sample-plan.ts';

const plan = aPlan();
const digits = (heightPx: number): Edit => ({
  type: 'describeNumber',
  pageId: 'p-troll',
  id: 'depth',
  changes: { heightPx },
});
const showing = (view: View): Edit => ({
  type: 'describePage',
  id: 'p-troll',
  changes: { layout: { bandsLie: 'rows', bands: [{ share: 1, panes: [{ share: 1, view, rangeM: null }] }] } },
});
const quiet = (id: string): Edit => ({ type: 'transmitIn', id, way: 'trolling', transmits: false });

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const pagesCases: RuleCases = {
  'display-missing': {
    speaks: edited(plan, { type: 'removeDisplay', stationId: 'helm' }),
    silent: plan,
    value: 0,
  },
  'page-missing': {
    speaks: edited(plan, { type: 'useWay', way: 'running', used: true }),
    silent: edited(
      plan,
      { type: 'useWay', way: 'running', used: true },
      { type: 'showPageIn', id: 'p-troll', way: 'running', shown: true },
      { type: 'transmitIn', id: 'a-wide', way: 'running', transmits: true },
    ),
    value: 1,
  },
  // 20 px of 0.2036 mm at 0.9 m fill 15.6 minutes of arc, 21 px 16.3.
  'number-small': { speaks: edited(plan, digits(20)), silent: edited(plan, digits(21)), value: 15.56 },
  'panes-too-many': {
    speaks: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { panesPerPage: 1 } }),
    silent: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { panesPerPage: 2 } }),
    value: 2,
  },
  'view-without-transducer': { speaks: edited(plan, showing('side-scan')), silent: plan, value: 0 },
  'view-quiet': {
    speaks: edited(plan, quiet('a-wide'), quiet('b-narrow')),
    silent: edited(plan, quiet('a-wide')),
    value: 2,
  },
};
