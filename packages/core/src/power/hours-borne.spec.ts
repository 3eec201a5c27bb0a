import fc from 'fast-check';
import { hoursBorne } from './hours-borne.ts';

const lead = { capacityAh: 100, peukert: 1.25, ratedHours: 20 };
const current = fc.double({ min: 0.01, max: 400, noNaN: true });

describe('how long a battery bears a current', () => {
  it('is the rated time at the rated current, by hand four times the current for 20 / 4^1.25 h', () => {
    expect(hoursBorne(5, lead)).toBeCloseTo(20, 12);
    // 4^1.25 = 4 * sqrt(2) = 5.657, and 20 / 5.657 = 3.536.
    expect(hoursBorne(20, lead)).toBeCloseTo(3.536, 3);
  });

  it('never gives more charge than the battery holds, nor more at a greater current', () => {
    const gives = (currentA: number): number => currentA * hoursBorne(currentA, lead);
    fc.assert(
      fc.property(current, current, (a, b) => {
        expect(gives(a)).toBeLessThanOrEqual(lead.capacityAh * (1 + 1e-9));
        expect(gives(Math.max(a, b))).toBeLessThanOrEqual(gives(Math.min(a, b)) * (1 + 1e-9));
      }),
    );
  });

  it('is the charge over the current where nothing is lost by a greater one', () => {
    fc.assert(
      fc.property(current, (currentA) => {
        expect(hoursBorne(currentA, { ...lead, peukert: 1 }) * currentA).toBeCloseTo(lead.capacityAh, 6);
      }),
    );
  });
});
