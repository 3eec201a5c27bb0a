import tQuantile from '@stdlib/stats-base-dists-t-quantile';

/** Beyond so many more, patience ends: something else than the number of readings is wrong. */
const mostMore = 40;

/**
 * How many more readings are likely to bring the half of a 95 % interval within a tolerance, if the next scatter as the
 * first did; 0 where it is there, null where forty more would not do. `fitted` values are worked out from the readings;
 * each reading gives so many `equations`; what all share does not shrink. Source: standard error of a mean, Student 1908.
 */
export const moreReadings = ({
  readings,
  fitted,
  equations = 1,
  half,
  shared = 0,
  tolerance,
}: {
  readonly readings: number;
  readonly fitted: number;
  readonly equations?: number;
  readonly half: number;
  /** What of it all readings share. */
  readonly shared?: number;
  readonly tolerance: number;
}): number | null => {
  const perReading = (n: number): number => tQuantile(0.975, equations * n - fitted) / Math.sqrt(n);
  const own = Math.sqrt(Math.max(0, half ** 2 - shared ** 2));
  for (let more = 0; more <= mostMore; more++)
    if (Math.hypot((own * perReading(readings + more)) / perReading(readings), shared) <= tolerance) return more;
  return null;
};
