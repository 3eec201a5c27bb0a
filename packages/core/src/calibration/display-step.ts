/** What is stored is rounded to a millionth: a figure typed in another unit is a whole number of its steps to that. */
const stored = 1.01e-6;

/** The coarsest of some steps, given from the coarsest on, that all values are whole numbers of; the finest where none is. */
export const stepOf = (values: readonly number[], steps: readonly number[]): number =>
  steps.find((step) =>
    values.every((value) => Math.abs(value / step - Math.round(value / step)) < 1e-6 + stored / step),
  ) ?? Math.min(...steps);

const knot = 1852 / 3600;
const foot = 0.3048;

/** The steps people read in, in SI, from the coarsest on: metric ones and those of the other units, as displays have them. */
export const speedSteps = [0.5 * knot, 0.5 / 3.6, 0.1, 0.1 * knot, 0.1 / 3.6, 0.01, 0.01 * knot, 0.001] as const;
export const angleSteps = [1, 0.5, 0.1, 0.05, 0.01] as const;
export const temperatureSteps = [1, 0.5, 0.1, 0.01] as const;
export const leadSteps = [0.1, 0.25 * foot, 0.05, 0.1 * foot, 0.01, 0.001] as const;
export const distanceSteps = [1, foot, 0.5, 0.1, 0.01] as const;

/** Standard deviation of rounding to a step: errors spread evenly over half a step each way. */
export const roundingSd = (step: number): number => step / Math.sqrt(12);
