import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { magneticVariation } from './magnetic-variation.ts';

describe('magnetic-variation', () => {
  it('agrees with the test values that are published with the World Magnetic Model 2025', () => {
    // Declination and inclination at sea level for 2025.0, table of test values of the model's report.
    for (const [latitudeDeg, longitudeDeg, declination, inclination] of [
      [80, 0, 1.28, 83.21],
      [0, 120, -0.16, -14.93],
      [-80, -120, 68.78, -72.0],
    ] as const) {
      const answer = answerOf(magneticVariation, { latitudeDeg, longitudeDeg, date: '2025-01-01' });
      expect(answer.variationDeg).withContext(`${latitudeDeg}`).toBeCloseTo(declination, 1);
      expect(Math.abs(answer.variationDeg - declination)).toBeLessThan(0.006);
      expect(Math.abs(answer.dipDeg - inclination)).toBeLessThan(0.02);
    }
    // And for the middle of 2027, by the yearly change.
    const later = answerOf(magneticVariation, { latitudeDeg: 80, longitudeDeg: 0, date: '2027-07-02' });
    expect(Math.abs(later.variationDeg - 2.59)).toBeLessThan(0.006);
  });

  it('refuses days the model is not made for, and says where a compass is of no use', () => {
    for (const date of ['2024-01-01', '2030-01-01'])
      expect(refusalOf(magneticVariation, { latitudeDeg: 47, longitudeDeg: -28, date })).toContain('2029-11-13');
    expect(refusalOf(magneticVariation, { latitudeDeg: 47, longitudeDeg: -28, date: 'soon' })).toContain('date');
    const flagsAt = (latitudeDeg: number, longitudeDeg: number): string =>
      answerOf(magneticVariation, { latitudeDeg, longitudeDeg, date: '2026-06-01' }).flags.join();
    expect(flagsAt(47, -28)).toBe('');
    expect(flagsAt(86, 139)).toContain('of no use');
    expect(flagsAt(80, 0)).toBe('');
    expect(flagsAt(80, -140)).toContain('sluggish');
  });
});
