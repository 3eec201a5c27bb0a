import { emptyPlan, type Plan } from '@grey-keel/model';
import { aWater, edited } from '../testing/sample-plan.ts';
import { workingDepthFollows } from './working-depth.ts';

const plan = edited(emptyPlan('Grebe'), {
  type: 'addWater',
  id: 'pool',
  water: aWater({ usualDeepestM: null }),
});
const told = (from: Plan, usualDeepestM: number | null, waterId = 'pool'): Plan =>
  edited(
    from,
    { type: 'describeWater', id: waterId, changes: { usualDeepestM } },
    ...workingDepthFollows(from, waterId, { usualDeepestM }),
  );

describe('the working depth', () => {
  it('goes with the usual deepest of the water that is worked in, and on with it when that is corrected', () => {
    const first = told(plan, 12);
    expect(first.working.depthM).toBe(12);
    expect(told(first, 14).working.depthM).toBe(14);
    expect(told(first, null).working.depthM).toBe(12);
    expect(told(first, 0.4).working.depthM).toBe(12);
  });

  it('stays where somebody put it, and where another water is described', () => {
    const chosen = edited(told(plan, 12), { type: 'workAtDepth', depthM: 7 });
    expect(told(chosen, 14).working.depthM).toBe(7);
    const two = edited(plan, { type: 'addWater', id: 'other', water: aWater() });
    expect(told(two, 33, 'other').working.depthM).toBe(20);
  });
});
