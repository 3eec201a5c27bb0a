import { bearingOf, eastNorth, overTheSide, simulatedBoat, wrapped } from '@grey-keel/core';
import { normal, sailedRuns, seeded } from '@grey-keel/core/testing';
import { answer, type Found, type Scenario, stepped, z95 } from './found.ts';

const knot = 1852 / 3600;
const round = (deg: number): number => ((deg % 360) + 360) % 360;

/** Pairs there and back, each a quarter turn from the last. */
const pairsFrom = (firstDeg: number, pairs: number): number[] =>
  Array.from({ length: 2 * pairs }, (_, i) => round(firstDeg + 180 * i + 90 * Math.floor(i / 2)));
const allRound = (count: number): number[] => Array.from({ length: count }, (_, i) => (360 * i) / count);

interface Sea {
  readonly headings: readonly number[];
  /** How far the current turns over all runs, degrees. */
  readonly turnDeg?: number;
  /** Deviation that goes round twice, degrees. */
  readonly dDeg?: number;
}
/** Runs as they are typed: tenths of a knot and whole degrees, steered by the figure, averages off by 0.05 m/s and 1°. */
const typedRuns = (seed: number, { headings, turnDeg = 0, dDeg = 0 }: Sea) => {
  const uniform = seeded(seed);
  const factor = 0.85 + 0.3 * uniform();
  const offsetDeg = 20 * (uniform() - 0.5);
  const rounding = uniform() - 0.5;
  const [towardsDeg, strengthMps] = [360 * uniform(), 0.2 + 0.8 * uniform()];
  const throughMps = 3 + 2 * uniform();
  const runs = headings.map((steeredDeg, i) => {
    // Whole degrees are steered; where the sensor really stands within one is the same on every run.
    const shownDeg = Math.round(steeredDeg);
    const deviation = dDeg * Math.sin((2 * shownDeg * Math.PI) / 180);
    const through = eastNorth(shownDeg + rounding + offsetDeg + deviation, throughMps + 0.05 * normal(uniform));
    const current = eastNorth(towardsDeg + (turnDeg * i) / Math.max(1, headings.length - 1), strengthMps);
    const over = { east: through.east + current.east, north: through.north + current.north };
    const cogDeg = round(Math.round(bearingOf(over) + normal(uniform)));
    return {
      logMps: stepped(throughMps / factor, 0.1 * knot),
      headingDeg: round(shownDeg),
      sogMps: stepped(Math.hypot(over.east, over.north), 0.1 * knot),
      cogDeg,
    };
  });
  return { runs, factor, offsetDeg };
};

const typedHeading =
  (sea: (seed: number) => Sea) =>
  (seed: number): Found => {
    const { runs, offsetDeg } = typedRuns(seed, sea(seed));
    const found = answer('heading-offset', {
      runs: runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg })),
    });
    return { off: wrapped((found['offsetDeg'] ?? 0) - offsetDeg), half: found['halfInterval95Deg'] ?? null, ...found };
  };
const typedSpeed =
  (sea: (seed: number) => Sea) =>
  (seed: number): Found => {
    const { runs, factor, offsetDeg } = typedRuns(seed, sea(seed));
    const found = answer('speed-factor', {
      runs: runs.map((run) => ({ ...run, headingDeg: round(run.headingDeg + offsetDeg) })),
    });
    return { off: (found['factor'] ?? 0) - factor, half: found['factorHalfInterval95'] ?? null, flags: found.flags };
  };

const liveHeading =
  (pairs: number) =>
  (seed: number): Found | null => {
    const { boat, runs } = sailedRuns(seed, pairsFrom(seed, pairs), { withLog: false, averageS: 20 });
    if (runs.length < 2 * pairs) return null;
    const shown = runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg }));
    const found = answer('heading-offset', { runs: shown });
    const off = wrapped((found['offsetDeg'] ?? 0) - boat.errors.headingOffsetDeg);
    return { off, half: found['halfInterval95Deg'] ?? null };
  };
const liveSpeed =
  (headings: (seed: number) => readonly number[]) =>
  (seed: number): Found | null => {
    const wanted = headings(seed);
    const { boat, runs } = sailedRuns(seed, wanted, { averageS: 20 });
    if (runs.length < wanted.length) return null;
    const shown = runs.map(({ logMps, headingDeg, ...over }) => ({
      ...over,
      logMps: logMps ?? 0,
      headingDeg: round(headingDeg + boat.errors.headingOffsetDeg),
    }));
    const found = answer('speed-factor', { runs: shown });
    return { off: (found['factor'] ?? 0) - boat.errors.logFactor, half: found['factorHalfInterval95'] ?? null };
  };

/** Of the first coefficient, on so many headings all round, steered by the figure. */
const deviation =
  (count: number, step: number) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const [a = 0, b = 0, c = 0] = Array.from({ length: 3 }, () => 8 * (uniform() - 0.5));
    const rounding = step * (uniform() - 0.5);
    const first = stepped(360 * uniform(), step);
    const swing = Array.from({ length: count }, (_, i) => {
      const compassDeg = round(stepped(first + (360 * i) / count, step));
      const theta = ((compassDeg + rounding) * Math.PI) / 180;
      const truly = compassDeg + rounding + a + b * Math.sin(theta) + c * Math.cos(theta) + normal(uniform);
      return { compassDeg, magneticDeg: round(stepped(truly, step)) };
    });
    const found = answer('heading-deviation', { swing }) as unknown as {
      aDeg: number;
      halfIntervals95Deg: readonly number[];
    };
    return { off: found.aDeg - a, half: found.halfIntervals95Deg[0] ?? null, best: z95 / Math.sqrt(count) };
  };

/** Forward, of a simulated boat's own marks. */
const antenna =
  (count: number) =>
  (seed: number): Found => {
    const boat = simulatedBoat(seed);
    const marks = Array.from({ length: count }, (_, k) => {
      boat.step(20, { wheel: 0, throttle: 0.3, steerDeg: (13 * seed + (360 * k) / count) % 360, engineOn: true });
      return { headingDeg: boat.now().headingDeg, ...overTheSide(boat).buoyMark };
    });
    const found = answer('antenna-vector', { marks });
    // Headings all round: the buoy's own place costs nothing.
    return {
      off: (found['forwardM'] ?? 0) - boat.errors.antennaForwardM,
      half: found['halfInterval95M'] ?? null,
      best: (z95 * 0.4) / Math.sqrt(count),
    };
  };

export const runScenarios: readonly Scenario[] = [
  ...[2, 3, 4].map((pairs): Scenario => ({
    name: `heading, ${pairs} pairs, live`,
    find: liveHeading(pairs),
  })),
  ...[2, 3, 4].map((pairs): Scenario => ({
    name: `heading, ${pairs} pairs, typed`,
    find: typedHeading((seed) => ({ headings: pairsFrom(seed, pairs) })),
    shares: 'a step',
    widest: 2,
  })),
  {
    name: 'heading, 4 pairs, typed, a current that turns by 60°',
    find: typedHeading((seed) => ({ headings: pairsFrom(seed, 4), turnDeg: 60 })),
    shares: 'a current that cancels',
    widest: 2,
  },
  {
    name: 'heading, 3 pairs on one line, a deviation of 1.5°',
    find: typedHeading((seed) => ({ headings: [0, 180, 10, 190, 350, 170].map((deg) => deg + seed), dDeg: 1.5 })),
    told: 'one line',
  },
  {
    name: 'speed, 2 runs, typed',
    find: typedSpeed(() => ({ headings: [0, 180] })),
    none: 'two runs say nothing of their own uncertainty',
  },
  ...[4, 8].map((runs): Scenario => ({
    name: `speed, ${runs} runs in pairs, typed`,
    find: typedSpeed((seed) => ({ headings: pairsFrom(seed, runs / 2) })),
    shares: 'a step',
    widest: 2,
  })),
  {
    name: 'speed, 8 runs in pairs, typed, a current that turns by 60°',
    find: typedSpeed((seed) => ({ headings: pairsFrom(seed, 4), turnDeg: 60 })),
    shares: 'a current that cancels',
    // Each pair has a current of its own then, and three pairs' worth of scatter is left: Student asks for more.
    widest: 2.1,
  },
  {
    name: 'speed, 8 runs all round, typed, a current that turns by 60°',
    find: typedSpeed(() => ({ headings: allRound(8), turnDeg: 60 })),
    told: 'no pairs',
  },
  ...[3, 4].map((runs): Scenario => ({
    name: `speed, ${runs} runs, live`,
    find: liveSpeed((seed) =>
      runs === 3 ? allRound(3).map((deg) => round(deg + 13 * seed)) : pairsFrom(13 * seed, 2),
    ),
  })),
  ...[8, 9, 10].map((headings): Scenario => ({
    name: `deviation, ${headings} headings, typed`,
    find: deviation(headings, 1),
    shares: 'a step',
  })),
  ...[3, 4, 5].map((passes): Scenario => ({ name: `antenna, ${passes} passes`, find: antenna(passes) })),
];
