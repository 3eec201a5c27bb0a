import type { Plan } from '@grey-keel/model';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { remembered, settled } from './remembered.ts';
import { isTracked, tracked } from './tracked-plan.ts';

const named = (plan: Plan, name: string): Plan => edited(plan, { type: 'describeBoat', changes: { name } });
const long = (plan: Plan, lengthM: number): Plan => edited(plan, { type: 'describeBoat', changes: { lengthM } });

describe('what is remembered of plans', () => {
  it('is worked out once for each key, and for each plan in which what it read differs', () => {
    const asked: string[] = [];
    const length = remembered((plan, key): number | null => {
      asked.push(key);
      return key === 'none' ? null : plan.boat.lengthM;
    });
    const [first, second] = [aPlan(), long(aPlan(), 9)];
    expect([length(first, 'a'), length(first, 'a'), length(second, 'a'), length(first, 'a')]).toEqual([
      7.4, 7.4, 9, 7.4,
    ]);
    expect([length(named(first, 'Other'), 'a'), length(first, 'none'), length(first, 'none')]).toEqual([
      7.4,
      null,
      null,
    ]);
    expect(asked).toEqual(['a', 'a', 'none']);
  });

  it('rests on what was read by what it asked, too, remembered or not', () => {
    let [outer, inner] = [0, 0];
    const draught = remembered((plan) => ((inner += 1), plan.boat.draughtM));
    const keel = remembered((plan) => ((outer += 1), [plan.boat.lengthM, draught(plan, '')]));
    const plan = aPlan();
    draught(plan, '');
    expect(keel(plan, '')).toEqual([7.4, 0.5]);
    expect(keel(edited(plan, { type: 'describeBoat', changes: { draughtM: 0.8 } }), '')).toEqual([7.4, 0.8]);
    keel(named(plan, 'Other'), '');
    expect([outer, inner]).toEqual([2, 2]);
  });

  it('rests on the answer alone where that is a settled one', () => {
    let [outer, inner] = [0, 0];
    const large = settled((plan) => ((inner += 1), { large: (plan.boat.lengthM ?? 0) > 10 }));
    const said = remembered((plan) => ((outer += 1), large(plan, '').large));
    const plan = aPlan();
    expect([said(plan, ''), said(long(plan, 8), ''), said(long(plan, 12), '')]).toEqual([false, false, true]);
    expect([outer, inner]).toEqual([2, 3]);
  });

  it('is of a plan that reads as the plan does, frozen or not', () => {
    const plan = Object.freeze(aPlan());
    const watched = tracked(plan);
    expect(isTracked(watched)).toBeTrue();
    expect(tracked(watched)).toBe(watched);
    expect(JSON.parse(JSON.stringify(watched))).toEqual(plan);
    expect({ ...watched.boat }).toEqual(plan.boat);
    expect(Object.keys(watched)).toEqual(Object.keys(plan));
    expect(['boat' in watched, 'nothing' in watched, 'lengthM' in watched.boat]).toEqual([true, false, true]);
  });

  it('throws what the work throws, and asks again', () => {
    let asked = 0;
    const failing = remembered((plan): number => {
      asked += 1;
      if (plan.boat.lengthM === 7.4) throw new RangeError('no');
      return 1;
    });
    expect(() => failing(aPlan(), '')).toThrowError('no');
    expect(() => failing(aPlan(), '')).toThrowError('no');
    expect(failing(long(aPlan(), 8), '')).toBe(1);
    expect(asked).toBe(3);
  });
});
