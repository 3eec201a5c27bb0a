import tQuantile from '@stdlib/stats-base-dists-t-quantile';

/** Beyond so many more, patience ends: something else than the number of readings is wrong. */
const mostMore = 40;

/**
 * How many more readings are likely to bring the half of a 95 % interval within a tolerance, if the next scatter as the
 * first did; 0 where it is there, null where forty more would not do. `fitted` values are worked out from the readings;
 * they come in groups of `together`. Source: standard error of a mean, Student 1908.
 */
export const moreReadings = ({
  readings,
  fitted,
  half,
  tolerance,
  together = 1,
}: {
  readonly readings: number;
  readonly fitted: number;
  readonly half: number;
  readonly tolerance: number;
  readonly together?: number;
}): number | null => {
  const perReading = (n: number): number => tQuantile(0.975, n - fitted) / Math.sqrt(n);
  for (let more = 0; more <= mostMore; more += together)
    if ((half * perReading(readings + more)) / perReading(readings) <= tolerance) return more;
  return null;
};
