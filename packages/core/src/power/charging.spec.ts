import type { Battery } from '@grey-keel/model';
import { chargingLimit, usualChargingV } from './charging.ts';

const lead = { chemistry: 'lead-acid', nominalV: 12 } as const;
const lithium = (changes: Partial<Battery>) => ({ chemistry: 'lithium' as const, nominalV: 12, ...changes });

describe('what a pack bears while it is charged', () => {
  it('is what its sheet allows, whatever its cells are', () => {
    expect(chargingLimit({ ...lead, highestChargingV: 14.8, cells: 7 })).toEqual(
      jasmine.objectContaining({ mostV: 14.8, lookFromV: 14.8, by: 'sheet' }),
    );
  });

  it('is 4.2 V a sloping cell, 3.65 of iron phosphate, 2.67 of lead, counted or guessed from the nominal voltage', () => {
    const of = (pack: Parameters<typeof chargingLimit>[0]) => {
      const { mostV, by, cells } = chargingLimit(pack);
      return [cells, Number(mostV.toFixed(2)), by];
    };
    expect(of(lithium({ curve: 'sloping' }))).toEqual([3, 12.6, 'nominal voltage']);
    expect(of(lithium({ curve: 'sloping', nominalV: 14.8 }))).toEqual([4, 16.8, 'nominal voltage']);
    expect(of(lithium({ curve: 'sloping', cells: 4 }))).toEqual([4, 16.8, 'cell count']);
    expect(of(lithium({}))).toEqual([4, 14.6, 'nominal voltage']);
    expect(of(lithium({ curve: 'flat', nominalV: 24 }))).toEqual([8, 29.2, 'nominal voltage']);
    expect(of(lead)).toEqual([6, 16.02, 'nominal voltage']);
    expect(chargingLimit(lead).lookFromV).toBeCloseTo(15, 9);
  });

  it('is never under what such a pack is usually charged at', () => {
    for (const pack of [lead, lithium({}), lithium({ curve: 'sloping' }), lithium({ curve: 'sloping', nominalV: 36 })])
      expect(usualChargingV(pack)).toBeLessThanOrEqual(chargingLimit(pack).mostV + 1e-9);
    expect([usualChargingV(lead), usualChargingV(lithium({ curve: 'sloping' }))]).toEqual([14.4, 12.6]);
    expect(usualChargingV({ ...lead, highestChargingV: 14.1 })).toBe(14.1);
  });
});
