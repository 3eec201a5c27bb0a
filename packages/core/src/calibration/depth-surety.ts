/** 95 of 100 errors of rounding to a step are within this share of it: they are spread evenly over half a step each way. */
export const roundedShare = 0.475;

/** Of a normal error, 95 of 100 are within so many standard deviations. */
export const normal95 = 1.96;

/** How sure a mean is, m. */
export interface Surety {
  readonly standardErrorM: number;
  readonly halfInterval95M: number;
}

/**
 * Readings at different depths are rounded each by itself, so that their scatter holds the rounding; it only keeps the
 * error from falling under what rounding alone leaves, step / sqrt(12 n). Readings at one depth are all rounded the same
 * way: their scatter knows nothing of it, and step² / 12 stands beside it undivided. The interval takes Student's for
 * the scatter and the even spread of a rounding for the step, as independent errors; simulation finds the truth in it in
 * 94 to 98 of 100 series. A swell of height s that was not waited out lifts each reading by a part of a sine, s / sqrt 8:
 * a few readings that happen to agree are no surer than that.
 */
export const suretyOf = (
  squares: number,
  n: number,
  student: number,
  { stepM, swellM, oneDepth }: { readonly stepM: number; readonly swellM: number; readonly oneDepth: boolean },
): Surety => {
  const scatter = Math.max(squares / (n - 1), swellM ** 2 / 8) / n;
  if (oneDepth)
    return {
      standardErrorM: Math.sqrt(scatter + stepM ** 2 / 12),
      halfInterval95M: Math.sqrt(student ** 2 * scatter + (roundedShare * stepM) ** 2),
    };
  const floorM = stepM / Math.sqrt(12 * n);
  return {
    standardErrorM: Math.max(Math.sqrt(scatter), floorM),
    // What rounding leaves is known, not estimated from a few readings: Student's factor is not for it.
    halfInterval95M: Math.max(student * Math.sqrt(scatter), normal95 * floorM),
  };
};

/** Whether all readings were taken at one depth, within a step of the display. */
export const atOneDepth = (depthsM: readonly number[], stepM: number): boolean =>
  Math.max(...depthsM) - Math.min(...depthsM) <= stepM * (1 + 1e-6);
