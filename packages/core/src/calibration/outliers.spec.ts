import { normal, seeded } from '../testing/sample-plan.ts';
import { cutoffFor, findOutliers, median } from './outliers.ts';

describe('outliers', () => {
  it('takes the median of odd and even lists', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 2, 3])).toBe(2.5);
  });

  it('flags one of a clean series in about 5 of 100 series, whatever the number of readings', () => {
    for (const n of [4, 5, 6, 8, 10, 12, 15, 20, 30]) {
      const uniform = seeded(100 + n);
      const series = 4000;
      let flagged = 0;
      for (let i = 0; i < series; i++) {
        const values = Array.from({ length: n }, () => normal(uniform));
        if (findOutliers(values, 1e-9).flagged.length > 0) flagged += 1;
      }
      const rate = flagged / series;
      expect(rate).withContext(`${n} readings`).toBeGreaterThan(0.035);
      expect(rate).withContext(`${n} readings`).toBeLessThan(0.065);
    }
  });

  it('never flags one of two, and is no stricter between the entries of its table', () => {
    expect(findOutliers([0, 100], 0.01).flagged).toEqual([]);
    expect(cutoffFor(2)).toBe(Number.POSITIVE_INFINITY);
    expect(cutoffFor(11)).toBe(cutoffFor(10));
    expect(cutoffFor(500)).toBe(cutoffFor(30));
  });
});
