import { answerOf, calculations, overTheSide, simulatedBoat, wrapped, type Calculation } from '@grey-keel/core';
import { normal, sailedRuns, seeded } from '@grey-keel/core/testing';
import { parseArgs } from 'node:util';

/**
 * How often the 95 % interval of each procedure holds what a simulated boat hides, at its least count and the next two:
 * `npm run intervals -- --count 10000`, or of some alone, `--only depth`. Beside the mean half interval stands the narrowest
 * that would do, had somebody known beforehand how such boats scatter: what 95 of 100 are off by at most. The difference is
 * what is paid for having to find the scatter out of so few readings. Independent of our own estimator stands the best one's, by
 * the bound of Cramér and Rao (Rao 1945): what nobody undercuts who has to be right on the whole and knows the scatter.
 * It is there where the scatter of the readings is put in here, not where a whole boat is sailed. Boats whose runs could
 * not be taken are told as refused.
 */
const { values } = parseArgs({
  options: { count: { type: 'string', default: '1000' }, only: { type: 'string', default: '' } },
});
const boats = Number(values.count);

interface Found {
  readonly off: number;
  readonly half: number;
  /** Half the interval of the best estimator there can be, where its variance can be written down. */
  readonly best?: number;
}
const z95 = 1.96;
/** Standard deviation of a figure with normal scatter that is shown in steps. */
const shownSd = (sd: number, step: number): number => Math.hypot(sd, step / Math.sqrt(12));
const named = (name: string): Calculation => {
  const found = calculations.get(name);
  if (!found) throw new Error(`There is no calculation ${name}.`);
  return found;
};
const answer = (name: string, input: unknown): Record<string, number> =>
  answerOf(named(name), input) as unknown as Record<string, number>;
const pairsFrom = (firstDeg: number, pairs: number): number[] =>
  Array.from({ length: 2 * pairs }, (_, i) => (firstDeg + 180 * i + 90 * Math.floor(i / 2)) % 360);

const heading = (seed: number, pairs: number): Found | null => {
  const { boat, runs } = sailedRuns(seed, pairsFrom(seed, pairs), { withLog: false, averageS: 20 });
  if (runs.length < 2 * pairs) return null;
  const shown = runs.map(({ headingDeg, sogMps, cogDeg }) => ({ headingDeg, sogMps, cogDeg }));
  const { offsetDeg = 0, halfInterval95Deg = 0 } = answer('heading-offset', { runs: shown });
  return { off: wrapped(offsetDeg - boat.errors.headingOffsetDeg), half: halfInterval95Deg };
};
const speed = (seed: number, count: number): Found | null => {
  const headings = Array.from({ length: count }, (_, k) => (13 * seed + (k * 360) / count) % 360);
  const { boat, runs } = sailedRuns(seed, headings, { averageS: 20 });
  if (runs.length < count) return null;
  const turn = boat.errors.headingOffsetDeg + 360;
  const shown = runs.map(({ logMps, headingDeg, ...over }) => ({
    ...over,
    logMps: logMps ?? 0,
    headingDeg: (headingDeg + turn) % 360,
  }));
  const { factor = 0, factorHalfInterval95 = 0 } = answer('speed-factor', { runs: shown });
  return { off: factor - boat.errors.logFactor, half: factorHalfInterval95 };
};
const temperature = (seed: number, count: number): Found => {
  const uniform = seeded(seed);
  const offset = 2 * (uniform() - 0.5);
  const readings = Array.from({ length: count }, () => {
    const waterC = 8 + 6 * uniform();
    const stepped = (value: number): number => Math.round(10 * value) / 10;
    return {
      referenceC: stepped(waterC + 0.12 * normal(uniform)),
      displayedC: stepped(waterC - offset + 0.12 * normal(uniform)),
    };
  });
  const { offsetC = 0, halfInterval95C = 0 } = answer('temperature-offset', { readings });
  const best = (z95 * Math.SQRT2 * shownSd(0.12, 0.1)) / Math.sqrt(count);
  return { off: offsetC - offset, half: halfInterval95C, best };
};
/** Of the first coefficient, on so many headings all round. */
const deviation = (seed: number, count: number): Found => {
  const uniform = seeded(seed);
  const [a = 0, b = 0, c = 0] = Array.from({ length: 3 }, () => 8 * (uniform() - 0.5));
  const first = 360 * uniform();
  const swing = Array.from({ length: count }, (_, i) => {
    const compassDeg = (first + (360 * i) / count) % 360;
    const theta = (compassDeg * Math.PI) / 180;
    const magneticDeg = compassDeg + a + b * Math.sin(theta) + c * Math.cos(theta) + normal(uniform);
    return { compassDeg, magneticDeg: (magneticDeg + 360) % 360 };
  });
  const found = answerOf(named('heading-deviation'), { swing }) as unknown as {
    aDeg: number;
    halfIntervals95Deg: readonly number[];
  };
  return { off: found.aDeg - a, half: found.halfIntervals95Deg[0] ?? 0, best: z95 / Math.sqrt(count) };
};

const depth = (seed: number, count: number): Found => {
  const uniform = seeded(seed);
  const faceM = 0.3 + 0.4 * uniform();
  const readings = Array.from({ length: count }, () => {
    const leadLineM = 3 + 20 * uniform();
    const stepped = (value: number): number => Math.round(10 * value) / 10;
    return { leadLineM, displayedM: stepped(Math.max(0.1, leadLineM - faceM + 0.08 * normal(uniform))) };
  });
  const { offsetM = 0, halfInterval95M = 0 } = answer('depth-offset', {
    readings,
    soundSpeedAssumedMps: 1450,
    soundSpeedActualMps: 1450,
    keelBelowWaterlineM: 0,
    reference: 'waterline',
    displayResolutionM: 0.1,
  });
  return { off: offsetM - faceM, half: halfInterval95M, best: (z95 * shownSd(0.08, 0.1)) / Math.sqrt(count) };
};
/** Of a step between two units, a pointing or a tilt: differences of what is known and shown. */
const paired = (seed: number, count: number): Found => {
  const uniform = seeded(seed);
  const off = 10 * (uniform() - 0.5);
  const pairs = Array.from({ length: count }, () => {
    const known = 60 * (uniform() - 0.5);
    return { known, shown: Math.round(2 * (known - off + 0.8 * normal(uniform))) / 2 };
  });
  const { offset = 0, halfInterval95 = 0 } = answer('paired-offset', { unit: 'deg', pairs, step: 0.5 });
  return { off: offset - off, half: halfInterval95, best: (z95 * shownSd(0.8, 0.5)) / Math.sqrt(count) };
};
const range = (seed: number, count: number): Found => {
  const uniform = seeded(seed);
  const scale = 0.9 + 0.2 * uniform();
  const targets = Array.from({ length: count }, () => {
    const groundM = 10 + 35 * uniform();
    const shownM = Math.hypot(groundM, 6.5);
    return { shownM, knownM: scale * groundM + 0.4 * normal(uniform), heightM: 7, targetHeightM: 0.5 };
  });
  const { factor = 0, halfInterval95 = 0 } = answer('range-scale', { targets });
  const squares = targets.reduce((sum, { shownM }) => sum + shownM ** 2 - 6.5 ** 2, 0);
  return { off: factor - scale, half: halfInterval95, best: (z95 * 0.4) / Math.sqrt(squares) };
};
/** Forward, of a simulated boat's own marks. */
const antenna = (seed: number, count: number): Found => {
  const boat = simulatedBoat(seed);
  const marks = Array.from({ length: count }, (_, k) => {
    boat.step(20, { wheel: 0, throttle: 0.3, steerDeg: (13 * seed + (360 * k) / count) % 360, engineOn: true });
    const { buoyMark } = overTheSide(boat);
    return { headingDeg: boat.now().headingDeg, ...buoyMark };
  });
  const { forwardM = 0, halfInterval95M = 0 } = answer('antenna-vector', { marks });
  // Headings all round: the buoy's own place costs nothing.
  return { off: forwardM - boat.errors.antennaForwardM, half: halfInterval95M, best: (z95 * 0.4) / Math.sqrt(count) };
};

const procedures: readonly (readonly [
  name: string,
  counts: readonly number[],
  find: (seed: number, count: number) => Found | null,
])[] = [
  ['heading, pairs', [2, 3, 4], heading],
  ['speed, runs', [2, 3, 4], speed],
  // Three is what its procedure asks for: of two, the display's step alone may be the scatter, and the interval is too wide.
  ['temperature, readings', [3, 4, 5], temperature],
  ['deviation, headings', [8, 9, 10], deviation],
  ['depth, readings', [3, 4, 5], depth],
  ['step, pointing, tilt', [3, 4, 5], paired],
  ['range, targets', [3, 4, 5], range],
  ['antenna, passes', [3, 4, 5], antenna],
];
let poor = 0;
for (const [name, counts, find] of procedures.filter(([title]) => title.includes(values.only)))
  for (const count of counts) {
    const found = Array.from({ length: boats }, (_, i) => find(100_000 * count + i, count)).filter(
      (one) => one !== null,
    );
    const held = found.filter(({ off, half }) => Math.abs(off) <= half).length / found.length;
    const refused = 1 - found.length / boats;
    // Within what chance allows of 93 to 97 in a hundred.
    const slack = 3 * Math.sqrt((0.95 * 0.05) / found.length);
    const good = held > 0.93 - slack && held < 0.97 + slack && refused <= 0.1;
    poor += good ? 0 : 1;
    const half = found.reduce((sum, one) => sum + one.half, 0) / found.length;
    const bests = found.flatMap(({ best }) => (best === undefined ? [] : [best]));
    const best = bests.length ? (bests.reduce((sum, one) => sum + one, 0) / bests.length).toFixed(4) : 'not known';
    const errors = found.map(({ off }) => Math.abs(off)).sort((a, b) => a - b);
    const narrowest = errors[Math.ceil(0.95 * errors.length) - 1] ?? 0;
    console.log(
      `${name.padEnd(24)}${String(count).padStart(3)}  holds ${(100 * held).toFixed(1)} %  refused ${(100 * refused).toFixed(1)} %  half ${half.toFixed(4)}, narrowest ${narrowest.toFixed(4)}, best ${best}${good ? '' : '  OUT'}`,
    );
  }
process.exit(poor > 0 ? 1 : 0);
