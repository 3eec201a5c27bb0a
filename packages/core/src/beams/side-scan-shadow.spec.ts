import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { shadowLengthM, sideScanShadow } from './side-scan-shadow.ts';

describe('side-scan-shadow', () => {
  it('of a target half as high as the unit is as long as the way to it', () => {
    expect(answerOf(sideScanShadow, { heightM: 10, groundRangeM: 30, shadowM: 30 }).targetHeightM).toBeCloseTo(5, 9);
    expect(shadowLengthM(10, 30, 5)).toBeCloseTo(30, 9);
  });

  it('says the height back that throws the shadow, and a ray over the top meets its end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0.01, max: 0.95, noNaN: true }),
        (heightM, groundRangeM, share) => {
          const shadowM = shadowLengthM(heightM, groundRangeM, share * heightM);
          const { targetHeightM } = answerOf(sideScanShadow, { heightM, groundRangeM, shadowM });
          expect(targetHeightM).toBeCloseTo(share * heightM, 6);
          // The slope of the ray from the unit over the target is that from the unit to the shadow's end.
          expect((heightM - targetHeightM) / groundRangeM).toBeCloseTo(heightM / (groundRangeM + shadowM), 9);
        },
      ),
    );
  });

  it('has no end for a target as high as the unit, and refuses one that was not measured', () => {
    expect(shadowLengthM(10, 30, 10)).toBe(Number.POSITIVE_INFINITY);
    expect(calculate(sideScanShadow, { heightM: 10, groundRangeM: 1, shadowM: 60 })).toEqual({
      ok: false,
      errors: [jasmine.objectContaining({ field: 'shadowM', range: '0 to 50' })],
    });
  });
});
