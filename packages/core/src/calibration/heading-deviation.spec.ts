import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { normal, seeded } from '../testing/sample-plan.ts';
import { headingDeviation } from './heading-deviation.ts';

const radian = Math.PI / 180;
const swingOf = (deviations: readonly (readonly [compassDeg: number, deviationDeg: number])[]) =>
  deviations.map(([compassDeg, deviation]) => ({ compassDeg, magneticDeg: (compassDeg + deviation + 360) % 360 }));
const evenly = (count: number, deviationAt: (deg: number) => number) =>
  swingOf(Array.from({ length: count }, (_, i) => [(i * 360) / count, deviationAt((i * 360) / count)] as const));
const curve =
  ([a = 0, b = 0, c = 0, d = 0, e = 0]: readonly number[]) =>
  (deg: number): number =>
    a +
    b * Math.sin(deg * radian) +
    c * Math.cos(deg * radian) +
    d * Math.sin(2 * deg * radian) +
    e * Math.cos(2 * deg * radian);

describe('heading-deviation', () => {
  it('agrees with the worked example of the Handbook of Magnetic Compass Adjustment (Pub. 226)', () => {
    const answer = answerOf(headingDeviation, {
      swing: swingOf([10.5, 20, 11.5, -1.2, -5.5, -8, -12.5, -6.8].map((dev, i) => [45 * i, dev] as const)),
    });
    // Published from some of the headings only, easterly positive.
    const published = { aDeg: 1, bDeg: 12, cDeg: 8, dDeg: 5, eDeg: 1.5 } as const;
    for (const key of ['aDeg', 'bDeg', 'cDeg', 'dDeg', 'eDeg'] as const)
      expect(Math.abs(answer[key] - published[key])).toBeLessThan(0.1);
  });

  it('finds any curve again, and says what is left over', () => {
    const truth = [1.5, -8, 6, 3, -1];
    const clean = answerOf(headingDeviation, { swing: evenly(12, curve(truth)) });
    [clean.aDeg, clean.bDeg, clean.cDeg, clean.dDeg, clean.eDeg].forEach((found, i) =>
      expect(found).toBeCloseTo(truth[i] ?? 0, 9),
    );
    expect(clean.residualDeg).toBeCloseTo(0, 9);
    const three = answerOf(headingDeviation, { swing: evenly(12, (deg) => curve(truth)(deg) + (deg === 90 ? 6 : 0)) });
    expect(three.worstDeg).toBe(Math.max(...three.residualsDeg.map(Math.abs)));
    expect(three.residualDeg).toBeCloseTo(Math.sqrt(three.residualsDeg.reduce((sum, r) => sum + r * r, 0) / 12), 9);
    expect(three.worstDeg).toBeGreaterThan(three.residualDeg);
  });

  it('fits only as many terms as the swing carries, and refuses one with a gap', () => {
    const few = answerOf(headingDeviation, { swing: evenly(7, curve([1, 5, 3])) });
    expect([few.termsFitted, few.dDeg, few.eDeg, few.flags.length]).toEqual([3, 0, 0, 1]);
    expect(few.bDeg).toBeCloseTo(5, 9);
    const full = evenly(36, curve([1, 5, 3, 2, 1]));
    const gap = (deg: number) => full.filter(({ compassDeg }) => compassDeg >= deg);
    expect(answerOf(headingDeviation, { swing: gap(60) }).termsFitted).toBe(5);
    expect(answerOf(headingDeviation, { swing: gap(80) }).termsFitted).toBe(3);
    expect(refusalOf(headingDeviation, { swing: gap(120) })).toContain('gap of 130°');
    expect(refusalOf(headingDeviation, { swing: evenly(3, curve([1])) })).toContain('swing');
  });

  for (const headings of [8, 9, 10])
    it(`holds every hidden coefficient 93 to 97 times of 100 with ${headings} headings`, () => {
      const uniform = seeded(70 + headings);
      const boats = 1500;
      const held = [0, 0, 0, 0, 0];
      for (let i = 0; i < boats; i++) {
        const truth = [2, 8, 8, 3, 1].map((size) => size * normal(uniform));
        const at = curve(truth);
        const rounding = uniform() - 0.5;
        const answer = answerOf(headingDeviation, {
          // Steered by the figure: the compass lies off it by the same share of its step on every heading.
          swing: evenly(headings, (deg) => Math.round(deg + rounding + at(deg + rounding) + normal(uniform)) - deg),
        });
        [answer.aDeg, answer.bDeg, answer.cDeg, answer.dDeg, answer.eDeg].forEach((found, k) => {
          if (Math.abs(found - (truth[k] ?? 0)) <= (answer.halfIntervals95Deg?.[k] ?? 0)) held[k] = (held[k] ?? 0) + 1;
        });
      }
      for (const count of held) {
        expect(count / boats).toBeGreaterThan(0.93);
        expect(count / boats).toBeLessThan(0.98);
      }
    });
});
