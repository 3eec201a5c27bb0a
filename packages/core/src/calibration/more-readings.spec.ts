import { moreReadings } from './more-readings.ts';

describe('how many more readings', () => {
  it('are enough: with them the interval is within the tolerance, and with one fewer it is not', () => {
    // Student's t at 97.5 %: 12.706, 4.303, 3.182, 2.776 for 1 to 4 degrees of freedom (published tables).
    const half = (n: number): number => [12.706, 4.303, 3.182, 2.776][n - 2]! / Math.sqrt(n);
    const more = moreReadings({ readings: 2, fitted: 1, half: half(2), tolerance: half(4) * 1.001 });
    expect(more).toBe(2);
    // Half as wide takes four times as many; 2.262 and 2.023 are for 9 and 39 degrees of freedom.
    const [ten, forty] = [2.262 / Math.sqrt(10), 2.023 / Math.sqrt(40)];
    expect(moreReadings({ readings: 10, fitted: 1, half: ten, tolerance: forty * 1.001 })).toBe(30);
    expect(moreReadings({ readings: 5, fitted: 1, half: 1, tolerance: 1 })).toBe(0);
    expect(moreReadings({ readings: 3, fitted: 1, half: 5, tolerance: 0.01 })).toBeNull();
    // What all share stays: 0.3 of it never comes under 0.3, and 3-4-5 leaves 0.4 to shrink.
    expect(moreReadings({ readings: 10, fitted: 1, half: 0.5, shared: 0.3, tolerance: 0.299 })).toBeNull();
    expect(moreReadings({ readings: 10, fitted: 1, half: 0.5, shared: 0.3, tolerance: 0.5 })).toBe(0);
    const less = moreReadings({ readings: 10, fitted: 1, half: 0.5, shared: 0.3, tolerance: 0.4 });
    expect(less).toBe(moreReadings({ readings: 10, fitted: 1, half: 0.4, tolerance: Math.sqrt(0.16 - 0.09) }));
    expect(less).toBeGreaterThan(0);
  });
});
