import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { seeded } from '../testing/sample-plan.ts';
import { pairsFrom, simulatedRuns } from '../testing/simulated-runs.ts';
import { bearingOf, eastNorth } from './bearings.ts';
import { headingOffset } from './heading-offset.ts';

const offsetFrom = ({ runs }: ReturnType<typeof simulatedRuns>) =>
  answerOf(headingOffset, { runs: runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg })) });

describe('heading-offset', () => {
  it('finds offset and current again, whatever current runs', () => {
    const uniform = seeded(8);
    for (const pairs of [1, 2, 3]) {
      const boat = simulatedRuns(uniform, pairsFrom(360 * uniform(), pairs), { exact: true });
      const answer = offsetFrom(boat);
      expect(answer.offsetDeg).toBeCloseTo(boat.offsetDeg, 7);
      expect(answer.currentEastMps).toBeCloseTo(boat.currentMps.east, 7);
      expect(answer.currentNorthMps).toBeCloseTo(boat.currentMps.north, 7);
      expect(answer.pairOffsetsDeg.length).toBe(pairs);
    }
  });

  it('is right where the plain mean of course less heading is not: a current across and along the track', () => {
    // 3 m/s through the water north and south, 1 m/s of current to the north-east: worked by hand with the triangle.
    const part = Math.SQRT1_2;
    const run = (headingDeg: number, north: number) => ({
      headingDeg,
      sogMps: Math.hypot(part, north),
      cogDeg: (Math.atan2(part, north) * 180) / Math.PI,
    });
    const answer = answerOf(headingOffset, { runs: [run(0, 3 + part), run(180, -3 + part)] });
    expect(answer.offsetDeg).toBeCloseTo(0, 9);
    expect(answer.naiveOffsetDeg).toBeCloseTo(
      ((Math.atan2(part, 3 + part) - Math.atan2(part, 3 - part)) * 90) / Math.PI,
      9,
    );
    expect(Math.abs(answer.naiveOffsetDeg)).toBeGreaterThan(2);
  });

  it('allows a run back that is not quite opposite, and counts a fast pair for more', () => {
    const uniform = seeded(9);
    const boat = simulatedRuns(uniform, [10, 160], { exact: true });
    expect(offsetFrom(boat).offsetDeg).toBeCloseTo(boat.offsetDeg, 7);
    const pair = (sogMps: number, offDeg: number) => [
      { headingDeg: 0, sogMps, cogDeg: offDeg },
      { headingDeg: 180, sogMps, cogDeg: 180 + offDeg },
    ];
    const answer = answerOf(headingOffset, { runs: [...pair(4, 2), ...pair(2, 7)] });
    expect(answer.offsetDeg).toBeCloseTo((16 * 2 + 4 * 7) / 20, 1);
  });

  for (const pairs of [2, 3, 4])
    it(`holds the hidden offset 93 to 97 times of 100 with ${pairs} pairs`, () => {
      const uniform = seeded(40 + pairs);
      const boats = 2000;
      let held = 0;
      for (let i = 0; i < boats; i++) {
        const boat = simulatedRuns(uniform, pairsFrom(360 * uniform(), pairs));
        const { offsetDeg, halfInterval95Deg } = offsetFrom(boat);
        if (Math.abs(offsetDeg - boat.offsetDeg) <= (halfInterval95Deg ?? 0)) held += 1;
      }
      expect(held / boats).toBeGreaterThan(0.93);
      // The step of the heading is shared, and counted as what it is at the most.
      expect(held / boats).toBeLessThan(0.985);
    });

  it('names pairs that lie on one line, and a current that turned between them', () => {
    const pair = (deg: number, east: number) =>
      [deg, deg + 180].map((headingDeg) => {
        const way = eastNorth(headingDeg, 4);
        const over = { east: way.east + east, north: way.north };
        return { headingDeg, sogMps: Math.hypot(over.east, over.north), cogDeg: bearingOf(over) };
      });
    const flags = (...pairs: ReturnType<typeof pair>[]) => answerOf(headingOffset, { runs: pairs.flat() }).flags.join();
    expect(flags(pair(20, 0.3), pair(30, 0.3))).toContain('one line');
    expect(flags(pair(20, 0.3), pair(110, 0.3))).toBe('');
    expect(flags(pair(20, 0.3), pair(110, -0.3))).toContain('0.60 m/s');
  });

  it('holds at least the step its headings are steered by, whatever agrees', () => {
    const runs = [0, 180, 90, 270].map((headingDeg) => ({ headingDeg, sogMps: 4, cogDeg: headingDeg + 3 }));
    const { halfInterval95Deg } = answerOf(headingOffset, { runs });
    expect(halfInterval95Deg).toBeGreaterThan(0.475);
  });

  it('gives no interval for one pair, and refuses a run without its run back or nearly beside it', () => {
    const out = { headingDeg: 0, sogMps: 3, cogDeg: 3 };
    const back = { headingDeg: 180, sogMps: 3, cogDeg: 183 };
    const one = answerOf(headingOffset, { runs: [out, back] });
    expect([one.halfInterval95Deg, one.standardErrorDeg, one.flags.length]).toEqual([null, null, 1]);
    expect(refusalOf(headingOffset, { runs: [out, back, out] })).toContain('without its run back');
    expect(refusalOf(headingOffset, { runs: [out, { ...back, headingDeg: 80 }] })).toContain('runs[1].headingDeg');
    expect(refusalOf(headingOffset, { runs: [out, { ...back, cogDeg: 3 }] })).toContain('stood still');
  });
});
