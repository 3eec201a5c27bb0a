import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { normal, seeded } from '../testing/sample-plan.ts';
import { pairsFrom, simulatedRuns } from '../testing/simulated-runs.ts';
import { speedFactor } from './speed-factor.ts';

const knotMps = 1852 / 3600;

describe('speed-factor', () => {
  it('takes the mean of speeds, never of times: a mile in 6 minutes with the stream and in 10 against it is 8 knots', () => {
    // The measured mile as the handbooks of navigation work it: 10 and 6 knots over ground; by times it would be 7.5.
    const answer = answerOf(speedFactor, {
      runs: [
        { logMps: 10 * knotMps, headingDeg: 0, sogMps: 10 * knotMps, cogDeg: 0 },
        { logMps: 10 * knotMps, headingDeg: 180, sogMps: 6 * knotMps, cogDeg: 180 },
      ],
    });
    expect(answer.factor).toBeCloseTo(0.8, 9);
    expect(answer.currentNorthMps).toBeCloseTo(2 * knotMps, 9);
    expect(answer.currentEastMps).toBeCloseTo(0, 9);
  });

  it('finds factor and current again on any headings, in any current', () => {
    const uniform = seeded(5);
    for (const headings of [
      [0, 180],
      [20, 140, 260],
      [10, 100, 190, 280],
      [5, 77, 300, 181, 222],
    ]) {
      const boat = simulatedRuns(uniform, headings, { exact: true });
      const turned = boat.runs.map((run) => ({ ...run, headingDeg: (run.headingDeg + boat.offsetDeg + 360) % 360 }));
      const answer = answerOf(speedFactor, { runs: turned });
      expect(answer.factor).toBeCloseTo(boat.factor, 9);
      expect(answer.currentEastMps).toBeCloseTo(boat.currentMps.east, 9);
      expect(answer.currentNorthMps).toBeCloseTo(boat.currentMps.north, 9);
      expect(answer.residualsMps.length).toBe(headings.length);
    }
  });

  it('says what ignoring the current would have given', () => {
    const one = { logMps: 3, headingDeg: 0, sogMps: 4, cogDeg: 0 };
    const { naiveFactor, factor } = answerOf(speedFactor, {
      runs: [one, { ...one, sogMps: 3.8 }, { logMps: 3, headingDeg: 180, sogMps: 2, cogDeg: 180 }],
    });
    expect(naiveFactor).toBeCloseTo(9.8 / 9, 9);
    expect(factor).toBeLessThan(1);
  });

  for (const [runs, factor] of [
    [2, 12.706],
    [3, 3.182],
    [4, 2.571],
  ] as const)
    it(`holds the hidden factor 93 to 99 times of 100 with ${runs} runs`, () => {
      const uniform = seeded(100 + runs);
      const boats = 1500;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const first = 360 * uniform();
        const headings = runs === 3 ? [0, 120, 240].map((deg) => (first + deg) % 360) : pairsFrom(first, runs / 2);
        const boat = simulatedRuns(uniform, headings);
        const shown = boat.runs.map((run, k) => ({ ...run, headingDeg: (headings[k] ?? 0) + 0.9 * normal(uniform) }));
        const legal = shown.map((run) => ({ ...run, headingDeg: (run.headingDeg + 360) % 360 }));
        const answer = answerOf(speedFactor, { runs: legal });
        const half = answer.factorHalfInterval95 ?? 0;
        if (Math.abs(answer.factor - boat.factor) <= half) held += 1;
        // Student's t for 2 n - 3 degrees of freedom.
        if (i === 0) expect(half / (answer.factorStandardError ?? 1)).toBeCloseTo(factor, 2);
      }
      expect(held / boats).toBeGreaterThan(0.93);
      expect(held / boats).toBeLessThan(0.99);
    });

  it('refuses runs on nearly one heading, and says what to add', () => {
    const runs = [10, 30, 20].map((headingDeg) => ({ logMps: 3, headingDeg, sogMps: 3, cogDeg: headingDeg }));
    expect(refusalOf(speedFactor, { runs })).toContain('Add a run the other way');
    expect(refusalOf(speedFactor, { runs: runs.slice(0, 1) })).toContain('runs');
  });
});
