import type { Edit, Plan, SettingValue } from '@grey-keel/model';
import { aPlan, edited, fitted, pair } from '../testing/sample-plan.ts';
import { enters } from '../testing/set-at.ts';
import { readingSoundSpeedMps, readingWater } from './depth-offset-subject.ts';
import { conditionsOfFirstReading } from './first-reading.ts';

const reading: Edit = { type: 'recordReading', transducerId: 'b-narrow', readingId: 'r1', reading: pair(5, 4.6) };
const set = (sound: SettingValue<'sound'>): Plan => edited(fitted(aPlan()), enters('helm', 'sound', sound));
const first = (plan: Plan): Plan => edited(plan, reading, ...conditionsOfFirstReading(plan, 'b-narrow'));

describe('what goes on record with a first reading', () => {
  it('is its water and the display’s setting, which later changes of the plan leave alone', () => {
    const plan = first(set({ waterType: 'salt' }));
    const [water, speedMps] = [readingWater(plan, 'b-narrow'), readingSoundSpeedMps(plan, 'b-narrow')];
    const later = edited(
      plan,
      { type: 'describeWater', id: 'pool', changes: { temperatureC: 20, salinityPpt: 30 } },
      enters('helm', 'sound', { waterType: 'fresh' }),
    );
    expect(readingWater(later, 'b-narrow')).toEqual(water);
    expect(readingSoundSpeedMps(later, 'b-narrow')).toBeCloseTo(speedMps ?? NaN, 9);
  });

  it('is the figure itself where the display has one of its own', () => {
    const plan = first(set({ soundSpeedMps: 1500 }));
    expect(plan.depthOffsets['b-narrow']).toEqual(
      jasmine.objectContaining({ displaySetTo: 'own figure', soundSpeedAssumedMps: 1500 }),
    );
  });

  it('is nothing after that, and nothing without a water', () => {
    expect(conditionsOfFirstReading(first(set({ waterType: 'salt' })), 'b-narrow')).toEqual([]);
    expect(conditionsOfFirstReading({ ...fitted(aPlan()), waters: {} }, 'b-narrow')).toEqual([]);
  });
});
