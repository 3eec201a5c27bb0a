/** The coarsest of some steps that all values are whole numbers of; the finest where none is. */
export const stepOf = (values: readonly number[], steps: readonly number[]): number =>
  steps.find((step) => values.every((value) => Math.abs(value / step - Math.round(value / step)) < 1e-6)) ??
  Math.min(...steps);

/** Standard deviation of rounding to a step: errors spread evenly over half a step each way. */
export const roundingSd = (step: number): number => step / Math.sqrt(12);
