import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { normal, seeded } from '../testing/sample-plan.ts';
import { simulatedRuns } from '../testing/simulated-runs.ts';
import { bearingOf, eastNorth } from './bearings.ts';
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

  for (const [runs, acrossMps] of [
    [3, 0.05],
    [4, 0.05],
    [3, 0.2],
    [4, 0.2],
    [6, 0.01],
  ] as const)
    it(`holds the hidden factor 93 times of 100 or more with ${runs} runs that scatter by ${acrossMps} m/s across the track`, () => {
      const uniform = seeded(100 + runs);
      const boats = 1500;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const first = 360 * uniform();
        const factor = 0.85 + 0.3 * uniform();
        const current = { east: uniform() - 0.5, north: 2 * uniform() - 1 };
        const answer = answerOf(speedFactor, {
          runs: Array.from({ length: runs }, (_, k) => {
            const headingDeg = (first + (360 * k) / runs) % 360;
            const along = eastNorth(headingDeg, 4.000_37 * factor + 0.05 * normal(uniform));
            const across = eastNorth(headingDeg + 90, acrossMps * normal(uniform));
            const over = {
              east: along.east + across.east + current.east,
              north: along.north + across.north + current.north,
            };
            return { logMps: 4.000_37, headingDeg, sogMps: Math.hypot(over.east, over.north), cogDeg: bearingOf(over) };
          }),
        });
        if (Math.abs(answer.factor - factor) <= (answer.factorHalfInterval95 ?? 0)) held += 1;
      }
      const slack = 3 * Math.sqrt((0.95 * 0.05) / boats);
      expect(held / boats).toBeGreaterThan(0.93 - slack);
      // A course that wanders much more than the log is off makes the interval wider than it need be, never narrower.
      expect(held / boats).toBeLessThan(acrossMps > 0.1 ? 1 : 0.97 + slack);
    });

  it('says nothing of its own uncertainty with two runs, and names a current that turned between pairs', () => {
    const run = (headingDeg: number, east: number, north: number) => {
      const through = eastNorth(headingDeg, 3);
      const over = { east: through.east + east, north: through.north + north };
      return { logMps: 3, headingDeg, sogMps: Math.hypot(over.east, over.north), cogDeg: bearingOf(over) };
    };
    const two = answerOf(speedFactor, { runs: [run(0, 0.5, 0), run(180, 0.5, 0)] });
    expect([two.factorHalfInterval95, two.factorStandardError]).toEqual([null, null]);
    expect(two.flags.join()).toContain('0, 180, 90, 270');
    const pairs = (east: number, north: number) =>
      answerOf(speedFactor, { runs: [run(0, 0.5, 0), run(180, 0.5, 0), run(90, east, north), run(270, east, north)] });
    expect(pairs(0.5, 0).flags).toEqual([]);
    // 60° of turn of 0.5 m/s: the difference is as long as the current itself.
    const turned = pairs(0.25, 0.433);
    expect(turned.flags.join()).toContain('0.50 m/s');
    expect(turned.factor).toBeCloseTo(1, 3);
    const round = answerOf(speedFactor, { runs: [0, 90, 180, 270].map((deg) => run(deg, 0.5, 0)) });
    expect(round.flags.join()).toContain('no pairs there and back');
  });

  it('shares the step of a log that shows one figure on every run', () => {
    // 6.0 knots shown on all: 95 of 100 are within 0.475 of a tenth of a knot, of 6.
    const knot = 1852 / 3600;
    const runs = [0, 180, 90, 270].map((headingDeg) => ({
      logMps: 6 * knot,
      headingDeg,
      sogMps: 6 * knot + (headingDeg < 180 ? 0.2 : -0.2) * knot,
      cogDeg: headingDeg,
    }));
    const { sharedHalf95, factorHalfInterval95 } = answerOf(speedFactor, { runs });
    expect(sharedHalf95).toBeGreaterThan(0.0475 / 6 - 1e-9);
    expect(factorHalfInterval95 ?? 0).toBeGreaterThanOrEqual(sharedHalf95);
  });

  it('refuses runs on nearly one heading, and says what to add', () => {
    const runs = [10, 30, 20].map((headingDeg) => ({ logMps: 3, headingDeg, sogMps: 3, cogDeg: headingDeg }));
    expect(refusalOf(speedFactor, { runs })).toContain('Add a run the other way');
    expect(refusalOf(speedFactor, { runs: runs.slice(0, 1) })).toContain('runs');
  });
});
