import { normal, seeded } from '@grey-keel/core/testing';
import { answer, type Found, type Scenario, sea, shownSd, stepped, z95 } from './found.ts';

interface Waters {
  readonly count: number;
  readonly step: number;
  /** All in one water, within a tenth of a degree. */
  readonly one?: true;
}
const temperature =
  ({ count, step, one }: Waters) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const offset = 2 * (uniform() - 0.5);
    const firstC = 8 + 6 * uniform();
    // In one mixed water both stand still; between waters neither has quite settled, and half degrees are told by eye.
    const scatter = one ? 0.005 : step > 0.1 ? 0.2 : 0.12;
    const readings = Array.from({ length: count }, () => {
      const waterC = one ? firstC : 8 + 6 * uniform();
      return {
        referenceC: stepped(waterC + scatter * normal(uniform), step),
        displayedC: stepped(waterC - offset + scatter * normal(uniform), step),
      };
    });
    const found = answer('temperature-offset', {
      readings,
      displayResolutionC: step,
      referenceResolutionC: step,
    });
    return {
      off: (found['offsetC'] ?? 0) - offset,
      half: found['halfInterval95C'] ?? null,
      best: (z95 * Math.SQRT2 * shownSd(scatter, step)) / Math.sqrt(count),
    };
  };

/** When a reading is taken: nobody reads by the clock. */
const timeOf = (uniform: () => number, i: number, count: number, spanS: number): number =>
  (spanS * (i + (i > 0 && i < count - 1 ? 0.8 * (uniform() - 0.5) : 0))) / (count - 1);

interface Soundings {
  readonly count: number;
  readonly one?: true;
  /** In a sea, over so many seconds. */
  readonly spanS?: number;
}
/** A lead line marked in tenths whose marks are off as a whole, a display of tenths, and the eye at both. */
const depth =
  ({ count, one, spanS }: Soundings) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const faceM = 0.3 + 0.4 * uniform();
    const lineByM = (0.05 / z95) * normal(uniform);
    const firstM = 3 + 20 * uniform();
    const heave = sea(uniform, normal, 0.15);
    const scatter = one ? 0.01 : 0.05;
    const readings = Array.from({ length: count }, (_, i) => {
      const trueM = one || spanS !== undefined ? firstM : 3 + 20 * uniform();
      const heaved = spanS === undefined ? 0 : heave(timeOf(uniform, i, count, spanS));
      return {
        leadLineM: stepped(trueM + lineByM + scatter * normal(uniform), 0.1),
        displayedM: stepped(Math.max(0.1, trueM - faceM + heaved + scatter * normal(uniform)), 0.1),
      };
    });
    const found = answer('depth-offset', {
      readings,
      soundSpeedAssumedMps: 1450,
      soundSpeedActualMps: 1450,
      keelBelowWaterlineM: 0,
      reference: 'waterline',
      displayResolutionM: 0.1,
      leadLineByM: 0.05,
      ...(spanS === undefined ? {} : { spanS }),
    });
    return { off: (found['offsetM'] ?? 0) - faceM, half: found['halfInterval95M'] ?? null };
  };

interface Places {
  readonly count: number;
  readonly places: number;
  readonly unit: 'm' | 'deg';
  readonly step: number;
  readonly scatter: number;
  /** What is held against is no reading but exact. */
  readonly exact?: true;
  /** In a sea that moves what is read by so much, over so many seconds. */
  readonly waves?: { readonly sd: number; readonly spanS: number };
}
/** Of a step between two units, a pointing or a tilt: differences of what is known and shown, in so many places. */
const paired =
  ({ count, places, unit, step, scatter, exact, waves }: Places) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const off = (unit === 'm' ? 1 : 10) * (uniform() - 0.5);
    const at = Array.from({ length: places }, () => (exact ? 0 : 5 + 30 * uniform()));
    const moves = sea(uniform, normal, waves?.sd ?? 0);
    const pairs = Array.from({ length: count }, (_, i) => {
      const truly = at[i % places] ?? 0;
      const moved = waves ? moves(timeOf(uniform, i, count, waves.spanS)) : 0;
      const seen = truly + off + moved + scatter * normal(uniform);
      return exact
        ? { known: stepped(seen, step), shown: 0 }
        : { known: stepped(seen, step), shown: stepped(truly + scatter * normal(uniform), step) };
    });
    const found = answer('paired-offset', {
      unit,
      pairs,
      knownStep: step,
      shownStep: exact ? 0 : step,
      ...(waves ? { spanS: waves.spanS } : {}),
    });
    return { off: (found['offset'] ?? 0) - off, half: found['halfInterval95'] ?? null };
  };

const range =
  (count: number, step: number) =>
  (seed: number): Found => {
    const uniform = seeded(seed);
    const scale = 0.9 + 0.2 * uniform();
    const targets = Array.from({ length: count }, () => {
      const groundM = 10 + 35 * uniform();
      return {
        shownM: stepped(Math.hypot(groundM, 6.5), step),
        knownM: stepped(scale * groundM + 0.3 * normal(uniform), step),
        heightM: 7,
        targetHeightM: 0.5,
      };
    });
    const found = answer('range-scale', { targets });
    return { off: (found['factor'] ?? 0) - scale, half: found['halfInterval95'] ?? null };
  };

export const readingScenarios: readonly Scenario[] = [
  ...[3, 4, 5].map((count): Scenario => ({
    name: `temperature, ${count} readings in tenths`,
    find: temperature({ count, step: 0.1 }),
  })),
  ...[3, 5].flatMap((count): Scenario[] => [
    {
      name: `temperature, ${count} readings in tenths, one water`,
      find: temperature({ count, step: 0.1, one: true }),
      shares: 'a step',
    },
    {
      name: `temperature, ${count} readings in half degrees, one water`,
      find: temperature({ count, step: 0.5, one: true }),
      shares: 'a step',
    },
    { name: `temperature, ${count} readings in half degrees`, find: temperature({ count, step: 0.5 }) },
  ]),
  {
    name: 'temperature, 2 readings in half degrees, one water',
    find: temperature({ count: 2, step: 0.5, one: true }),
    none: 'two readings in one water share their steps',
  },
  ...[3, 4, 5].map((count): Scenario => ({ name: `depth, ${count} readings`, find: depth({ count }) })),
  ...[3, 5].map((count): Scenario => ({
    name: `depth, ${count} readings in one place`,
    find: depth({ count, one: true }),
    shares: 'a step',
  })),
  ...[3, 5].map((count): Scenario => ({
    name: `depth, ${count} readings within 24 s, in waves`,
    find: depth({ count, spanS: 24 }),
  })),
  {
    name: 'depth, 5 readings within 10 s, in waves',
    find: depth({ count: 5, spanS: 10 }),
    shares: 'waves that cancel',
    widest: 4,
  },
  {
    name: 'depth, 3 readings within 3 s, in waves',
    find: depth({ count: 3, spanS: 3 }),
    none: 'all within half a wave: they count as one',
  },
  ...[3, 5].map((count): Scenario => ({
    name: `step between units, ${count} pairs at one anchorage`,
    find: paired({ count, places: 1, unit: 'm', step: 0.1, scatter: 0.004 }),
    shares: 'a step',
  })),
  ...[4, 6].map((count): Scenario => ({
    name: `step between units, ${count} pairs at two anchorages`,
    find: paired({ count, places: 2, unit: 'm', step: 0.1, scatter: 0.004 }),
    shares: 'a step',
  })),
  ...[3, 5].flatMap((count): Scenario[] => [
    {
      name: `step between units, ${count} pairs at as many depths`,
      find: paired({ count, places: count, unit: 'm', step: 0.1, scatter: 0.03 }),
    },
    {
      name: `pointing, ${count} readings on as many bearings`,
      find: paired({ count, places: count, unit: 'deg', step: 0.5, scatter: 0.8 }),
    },
    {
      name: `tilt, ${count} readings that agree`,
      find: paired({ count, places: 1, unit: 'deg', step: 1, scatter: 0.05, exact: true }),
      shares: 'a step',
    },
  ]),
  {
    name: 'tilt, 5 readings within 24 s, in waves',
    find: paired({
      count: 5,
      places: 1,
      unit: 'deg',
      step: 0.5,
      scatter: 0.2,
      exact: true,
      waves: { sd: 3, spanS: 24 },
    }),
  },
  ...[3, 4, 5].map((count): Scenario => ({ name: `range, ${count} targets in half metres`, find: range(count, 0.5) })),
];
