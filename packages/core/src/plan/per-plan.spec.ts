import { aPlan } from '../testing/sample-plan.ts';
import { perPlan } from './per-plan.ts';

describe('perPlan', () => {
  it('works once for each plan and key, and keeps an answer of null', () => {
    const asked: string[] = [];
    const length = perPlan((plan, key): number | null => {
      asked.push(key);
      return key === 'none' ? null : (plan.boat.lengthM ?? 0);
    });
    const [first, second] = [aPlan(), { ...aPlan(), boat: { ...aPlan().boat, lengthM: 9 } }];
    expect([length(first, 'a'), length(first, 'a'), length(first, 'b'), length(second, 'a')]).toEqual([
      7.4, 7.4, 7.4, 9,
    ]);
    expect([length(first, 'none'), length(first, 'none')]).toEqual([null, null]);
    expect(asked).toEqual(['a', 'b', 'a', 'none']);
  });
});
