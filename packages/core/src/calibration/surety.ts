import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { WorkingInput, WorkingStep } from '@grey-keel/model';
import { calculated, given } from '../calculation/working-step.ts';
import { roundingSd } from './display-step.ts';

/** Of a normal error, 95 of 100 are within so many standard deviations. */
export const normal95 = 1.96;

/**
 * Within what share of a step 95 of 100 mean errors lie, of roundings in so many places: of one, spread evenly over half a
 * step each way; of the mean of two, a triangle over it; of more, near enough a normal error of step / sqrt(12 k).
 */
const roundedShare = (places: number): number =>
  places <= 1 ? 0.475 : places === 2 ? (1 - Math.sqrt(0.05)) / 2 : normal95 / Math.sqrt(12 * places);

/** A rounding that readings share: its error does not shrink with their number. */
export interface SharedRounding {
  /** 95 of 100 errors are within it, and their standard deviation. */
  readonly half: number;
  readonly sd: number;
}

/** In how many places figures lie: those within a step of each other were rounded the same way. */
const placesOf = (values: readonly number[], step: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  let [places, from] = [0, -Infinity];
  for (const value of sorted)
    if (value > from + step * (1 + 1e-6)) {
      places += 1;
      from = value;
    }
  return places;
};

/** What rounding does to the figures of one instrument. */
export interface Rounding {
  /** Of one reading, where each was rounded by itself; 0 where they share it. */
  readonly apartVariance: number;
  readonly shared: SharedRounding | null;
}

/**
 * What rounding to a step leaves in the mean of some figures. Figures that lie in about as many places as there are of them
 * are rounded each by itself; such as lie in one place or few are rounded alike in each. `times` is what one unit of the
 * figure makes of the result.
 */
export const roundingOf = (values: readonly number[], step: number, times = 1): Rounding => {
  const places = placesOf(values, step);
  const size = step * Math.abs(times);
  if (size === 0 || places > values.length / 2) return { apartVariance: roundingSd(size) ** 2, shared: null };
  return {
    apartVariance: 0,
    shared: { half: roundedShare(places) * size, sd: roundingSd(size) / Math.sqrt(places) },
  };
};

/** How long a wave takes where nobody said, s: short seas and wakes are quicker, a swell slower. */
export const usualWaveS = 8;

/** How many of some readings count, that were taken within a span: two to each wave; all of them where it is not said. */
export const effectiveNumber = (readings: number, spanS: number | null, periodS: number): number =>
  spanS === null ? readings : Math.min(readings, Math.max(1, (2 * spanS) / periodS));

/** Standard deviation of readings about their mean, of which `counting` are independent; 0 where that cannot be told. */
export const scatterSd = (squares: number, readings: number, counting: number = readings): number =>
  counting > 1 + 1e-9 ? Math.sqrt(squares / (readings * (1 - 1 / counting))) : 0;

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
    K: Math.hypot(...rounded.map(({ half }) => half)),
    Ks: Math.hypot(...rounded.map(({ sd }) => sd)),
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
 * scatter by is the step itself.
 */
export const partsOfMean = ({
  squares,
  readings,
  counting = readings,
  leastVariance = 0,
  roundings,
  shared = [],
}: MeanParts): SuretyParts => {
  const sd = Math.sqrt(Math.max(scatterSd(squares, readings, counting) ** 2, leastVariance));
  return {
    scatter: sd / Math.sqrt(counting),
    degreesOfFreedom: counting - 1,
    floor: Math.sqrt(roundings.reduce((sum, { apartVariance }) => sum + apartVariance, 0) / readings),
    roundings: roundings.map((one) => one.shared),
    shared,
    untold: readings === 2 && roundings.some((one) => one.shared !== null),
  };
};
