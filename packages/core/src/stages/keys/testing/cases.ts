import type { Edit, KeyAction } from '@grey-keel/model';
import type { RuleCases } from '../../../testing/rule-case.ts';
import { aPage, aPlan, edited } from '../../../testing/sample-plan.ts';

const plan = aPlan();
const key = (slot: string, action: KeyAction): Edit => ({ type: 'bindKey', stationId: 'helm', slot, action });
const placed = edited(
  plan,
  { type: 'describeDisplay', stationId: 'helm', changes: { keysBindTo: 'place' } },
  key('1-short', { does: 'page', pageId: 'p-troll', place: 1 }),
);
const second = (place: number): Edit => ({
  type: 'addPage',
  id: 'p-other',
  page: aPage({ name: 'Other', place, shownIn: {}, numbers: {} }),
});

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const keysCases: RuleCases = {
  'key-on-trailer': {
    speaks: edited(plan, key('3-long', { does: 'start transmitting' })),
    silent: edited(
      plan,
      { type: 'useWay', way: 'trailer', used: false },
      key('3-long', { does: 'start transmitting' }),
    ),
    value: 2,
  },
  'key-lost': {
    speaks: edited(plan, { type: 'removePage', id: 'p-troll' }),
    silent: edited(plan, { type: 'describeDisplay', stationId: 'helm', changes: { keys: 1 } }),
    value: 0,
  },
  'key-place': { speaks: edited(placed, second(1)), silent: edited(placed, second(2)), value: 1 },
  'key-twice': {
    speaks: edited(plan, key('2-short', { does: 'mark', mark: 'seen' }), key('4-long', { does: 'mark', mark: 'seen' })),
    silent: edited(
      plan,
      key('2-short', { does: 'mark', mark: 'seen' }),
      key('4-long', { does: 'mark', mark: 'hazard' }),
    ),
    value: 2,
  },
  'key-slip': {
    speaks: edited(plan, key('2-short', { does: 'hold position' })),
    silent: edited(plan, key('2-long', { does: 'hold position' })),
    value: 1,
  },
  'page-without-key': {
    speaks: edited(plan, key('1-short', { does: 'stop transmitting' })),
    silent: edited(
      plan,
      key('1-short', { does: 'stop transmitting' }),
      key('4-long', { does: 'page', pageId: 'p-troll', place: null }),
    ),
    value: 1,
  },
};
