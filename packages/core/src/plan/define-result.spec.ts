import type { Plan } from '@grey-keel/model';
import { aPlan, edited } from '../testing/sample-plan.ts';
import { defineResult } from './define-result.ts';

/** How many hulls long the water is deep: a result that nobody needs, of two numbers of a plan. */
const hullsDeep = (
  version: number,
  noted: () => { fingerprint: string; inputs?: unknown } | null,
  asked: object[] = [],
) =>
  defineResult({
    keys: () => ['it'],
    slice: (plan: Plan) =>
      plan.boat.lengthM === null ? null : { lengthM: plan.boat.lengthM, depthM: plan.working.depthM },
    version,
    compute: (slice) => {
      asked.push(slice);
      return slice.depthM / slice.lengthM;
    },
    noted,
    words: { lengthM: 'the length', depthM: 'the depth' },
  });
const deeper = (plan: Plan): Plan => edited(plan, { type: 'workAtDepth', depthM: 40 });

describe('a result that can go stale', () => {
  const plan = aPlan();
  const at = hullsDeep(1, () => null);
  const inputs = at.slice(plan, 'it')!;
  const noted = { fingerprint: at.fingerprint(inputs), inputs };

  it('is worked out of its slice alone, once for each', () => {
    const asked: object[] = [];
    const result = hullsDeep(1, () => null, asked);
    expect(result.of(plan, 'it')).toBeCloseTo(32 / 7.4, 9);
    result.of(edited(plan, { type: 'describeBoat', changes: { name: 'Other' } }), 'it');
    result.of(deeper(plan), 'it');
    expect(asked).toEqual([
      { lengthM: 7.4, depthM: 32 },
      { lengthM: 7.4, depthM: 40 },
    ]);
  });

  it('is missing until it is noted, fresh then, stale with what has changed in words, and fresh again', () => {
    const result = hullsDeep(1, () => noted);
    expect(at.standing(plan, 'it')).toEqual({ state: 'missing', changed: [] });
    expect(result.standing(plan, 'it')).toEqual({ state: 'fresh', changed: [] });
    expect(result.standing(deeper(plan), 'it')).toEqual({ state: 'stale', changed: ['the depth'] });
    const back = edited(deeper(plan), { type: 'workAtDepth', depthM: 32 });
    expect(result.standing(back, 'it').state).toBe('fresh');
    const wider = edited(plan, { type: 'describeBoat', changes: { beamM: 3 } });
    expect(result.standing(wider, 'it').state).toBe('fresh');
  });

  it('is stale when it is worked out otherwise now, and says no part that has not changed', () => {
    expect(hullsDeep(2, () => noted).standing(plan, 'it')).toEqual({ state: 'stale', changed: [] });
  });

  it('is missing where there is nothing it could be of', () => {
    const bare = edited(plan, { type: 'describeBoat', changes: { lengthM: null } });
    expect(hullsDeep(1, () => noted).standing(bare, 'it').state).toBe('missing');
    expect(at.of(bare, 'it')).toBeNull();
  });

  it('does not mind a change of units and back', () => {
    const feet = edited(plan, { type: 'workAtDepth', depthM: (32 / 0.3048) * 0.3048 + 1e-9 });
    expect(hullsDeep(1, () => noted).standing(feet, 'it').state).toBe('fresh');
  });
});
