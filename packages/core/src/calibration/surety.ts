import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingInput, WorkingStep } from '@grey-keel/model';
import { calculated, given } from '../calculation/working-step.ts';
import { roundingSd } from './display-step.ts';

/** Of a normal error, 95 of 100 are within so many standard deviations. */
export const normal95 = 1.96;

/** A rounding that readings share: its error does not shrink with their number. */
export interface SharedRounding {
  /** Even errors lie within half a step each way. */
  readonly halfStep: number;
}

/** Of an even error, 95 of 100 are within so much of half its step. */
const evenShare = 0.95;

/**
 * Within what 95 of 100 sums of even errors lie: of one exactly, of the two widest exactly (a trapezium), further ones
 * beside them as independent errors.
 */
const evenHalf = (halfSteps: readonly number[]): number => {
  const [a = 0, b = 0, ...rest] = [...halfSteps].sort((one, other) => other - one);
  const outside = 1 - evenShare;
  const widest = b > outside * a ? a + b - Math.sqrt(4 * outside * a * b) : evenShare * a;
  return Math.hypot(widest, ...rest.map((one) => evenShare * one));
};

/** Where so many of the readings in one place are alike, they were rounded alike; fewer, and the place lies between two steps. */
const mostlyAlike = 0.75;

/** In how many places figures lie: those within a step of each other were rounded the same way. */
const placesOf = (values: readonly number[], step: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const starts: number[] = [];
  for (const value of sorted) {
    const from = starts[starts.length - 1];
    if (from === undefined || value > from + step * (1 + 1e-6)) starts.push(value);
  }
  const [first = 0] = sorted;
  const alike = Math.max(
    ...[first, first + step].map((cell) => sorted.filter((one) => Math.abs(one - cell) < step / 2).length),
  );
  // Two readings within a step may always have been rounded alike.
  return starts.length === 1 && values.length > 2 && alike < mostlyAlike * values.length ? 2 : starts.length;
};

/** What rounding does to the figures of one instrument. */
export interface Rounding {
  /** Of one reading, as it counts in the mean of them all; 0 where they share it. */
  readonly apartVariance: number;
  readonly shared: SharedRounding | null;
}

/**
 * What rounding to a step leaves in the mean of some figures: one error for each place they lie in. In several places their
 * scatter knows of it; in one they are all rounded alike, and it does not. `times` is what one unit of the figure makes of
 * the result.
 */
export const roundingOf = (values: readonly number[], step: number, times = 1): Rounding => {
  const size = step * Math.abs(times);
  if (size === 0) return { apartVariance: 0, shared: null };
  const places = placesOf(values, step);
  return places > 1
    ? { apartVariance: (roundingSd(size) ** 2 * values.length) / places, shared: null }
    : { apartVariance: 0, shared: { halfStep: size / 2 } };
};

/** How long a wave takes where nobody said, s: short seas and wakes are quicker, a swell slower. */
export const usualWaveS = 8;

/** How many of some readings count, that were taken within a span: two to each wave; all of them where it is not said. */
export const effectiveNumber = (readings: number, spanS: number | null, periodS: number): number =>
  spanS === null ? readings : Math.min(readings, Math.max(1, (2 * spanS) / periodS));

export interface SuretyParts {
  /** Standard error of the result as the readings' own scatter has it. */
  readonly scatter: number;
  readonly degreesOfFreedom: number;
  /** Standard error that rounding alone leaves, where each reading is rounded by itself. */
  readonly floor: number;
  /** What all readings share: roundings, and half 95 % intervals of whatever else they have in common. */
  readonly roundings?: readonly (SharedRounding | null)[];
  readonly shared?: readonly number[];
  /** They say nothing of how sure they are: two that share what they are rounded by. */
  readonly untold?: boolean;
}

/** How sure a result is; the interval is null where its readings carry none. */
export interface Surety {
  readonly standardError: number;
  readonly halfInterval95: number | null;
  /** What of it does not shrink with more readings. */
  readonly sharedHalf95: number;
}

/** All the parts of a surety under the symbols of its working. */
interface Named {
  readonly t: number;
  readonly K: number;
  readonly Ks: number;
  readonly O: number;
}
const namedOf = ({ degreesOfFreedom, roundings = [], shared = [] }: SuretyParts): Named => {
  const rounded = roundings.flatMap((one) => one ?? []);
  return {
    t: degreesOfFreedom > 0 ? tQuantile(0.975, degreesOfFreedom) : Number.POSITIVE_INFINITY,
    K: evenHalf(rounded.map(({ halfStep }) => halfStep)),
    Ks: Math.hypot(...rounded.map(({ halfStep }) => roundingSd(2 * halfStep))),
    O: Math.hypot(...shared),
  };
};

/**
 * How sure a result is, from what is apart for each reading and what all share. Apart: Student's t times the scatter, and
 * no less than what rounding leaves, whose size is known and needs no Student. Shared errors stand beside it undivided, as
 * independent ones.
 * Sources: Student 1908; propagation of independent errors (JCGM 100:2008, ch. 5); rounding as an even error.
 */
export const suretyOf = (parts: SuretyParts): Surety => {
  const { scatter, degreesOfFreedom, floor, untold = false } = parts;
  const { t, K, Ks, O } = namedOf(parts);
  const standardError = Math.hypot(Math.max(scatter, floor), Ks, O / normal95);
  return {
    standardError,
    sharedHalf95: Math.hypot(K, O),
    halfInterval95:
      degreesOfFreedom > 1e-9 && !untold ? Math.hypot(Math.max(t * scatter, normal95 * floor), K, O) : null,
  };
};

/** The two steps of its working: standard error and half interval; none where there is no interval. */
export const suretySteps = (parts: SuretyParts, of: string, unit: string): WorkingStep[] => {
  const { standardError, halfInterval95 } = suretyOf(parts);
  if (halfInterval95 === null) return [];
  const { t, K, Ks, O } = namedOf(parts);
  const scatter: WorkingInput[] = [
    given('S', parts.scatter, unit, 'as the readings scatter'),
    given('F', parts.floor, unit, 'left by rounding each by itself'),
  ];
  return [
    calculated(
      {
        says: `Standard error of ${of}`,
        symbol: 'SE',
        value: standardError,
        unit,
        expression: 'sqrt(max(S, F) ^ 2 + R ^ 2 + O ^ 2)',
        source: 'JCGM 100:2008, ch. 5: independent errors added as squares',
      },
      ...scatter,
      given('R', Ks, unit, 'rounding that all share'),
      given('O', O / normal95, unit, 'what else they share'),
    ),
    calculated(
      {
        says: `Half of the 95 % interval of ${of}`,
        symbol: 'half',
        value: halfInterval95,
        unit,
        expression: `sqrt(max(t * S, ${normal95} * F) ^ 2 + K ^ 2 + P ^ 2)`,
        source: 'Student 1908; JCGM 100:2008, ch. 5',
      },
      given(
        't',
        t,
        '',
        `97.5 % quantile of Student's t, ${Number(parts.degreesOfFreedom.toFixed(1))} degrees of freedom`,
      ),
      ...scatter,
      given('K', K, unit, '95 of 100 shared roundings are within it'),
      given('P', O, unit, '95 of 100 of what else they share'),
    ),
  ];
};

/** The mean of readings that come one by one, whose figures are rounded by one instrument or two. */
export interface MeanParts {
  readonly squares: number;
  readonly readings: number;
  /** How many of them count, where waves tie quick ones together. */
  readonly counting?: number;
  /** The least a reading may scatter by, squared: a swell that was not waited out. */
  readonly leastVariance?: number;
  readonly roundings: readonly Rounding[];
  readonly shared?: readonly number[];
}

/**
 * What a mean is as sure as, in the parts of `suretyOf`. Two readings that share a rounding carry no interval: what they
 * scatter by is the step itself; nor do any that all lie within half a wave.
 */
export const partsOfMean = ({
  squares,
  readings,
  counting = readings,
  leastVariance = 0,
  roundings,
  shared = [],
}: MeanParts): SuretyParts => {
  const sd = readings > 1 ? Math.sqrt(Math.max(squares / (readings - 1), leastVariance)) : 0;
  return {
    scatter: sd / Math.sqrt(counting),
    degreesOfFreedom: readings - 1,
    floor: Math.sqrt(roundings.reduce((sum, { apartVariance }) => sum + apartVariance, 0) / readings),
    roundings: roundings.map((one) => one.shared),
    shared,
    untold: counting <= 1 + 1e-9 || (readings === 2 && roundings.some((one) => one.shared !== null)),
  };
};
