import { aPlan } from '../testing/sample-plan.ts';
import { usualSideM } from './usual-side.ts';

const beamM = 2.5;
const sides = (mounting: Parameters<typeof usualSideM>[1], hullForm = aPlan().boat.hullForm): number[] => {
  const plan = { ...aPlan(), boat: { ...aPlan().boat, beamM, hullForm } };
  return [0, 1, 2, 3].map((already) => usualSideM(plan, mounting, already));
};

describe('the usual side of the next transducer', () => {
  it('goes by turns to starboard and to port, each pair further out, none where another stands', () => {
    const [a, b, c, d] = sides('through-hull') as [number, number, number, number];
    expect(a).toBeCloseTo(0.2 * beamM, 9);
    expect(b).toBeCloseTo(-a, 9);
    expect(c).toBeGreaterThan(a);
    expect(d).toBeCloseTo(-c, 9);
    expect(Math.max(...sides('transom'))).toBeLessThan(beamM / 2);
  });

  it('is under the hulls of a catamaran, and inward from there', () => {
    const [a, b, c] = sides('through-hull', 'catamaran') as [number, number, number];
    expect(a).toBeGreaterThan(0.2 * beamM);
    expect(b).toBeCloseTo(-a, 9);
    expect(c).toBeLessThan(a);
  });

  it('begins amidships at the bow and on a pole', () => {
    for (const mounting of ['bow motor', 'pole'] as const) {
      const all = sides(mounting);
      expect(all[0]).toBe(0);
      expect(new Set(all).size).toBe(all.length);
    }
  });
});
