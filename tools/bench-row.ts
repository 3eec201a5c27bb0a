export interface Row {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly baseline: string;
  readonly baselineValue: number;
  readonly ratio: number;
}

const rounds = 7;
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** What nineteen of twenty stay within. */
export const p95 = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(0.95 * (values.length - 1))] ?? 0;

/** Measures the thing and its baseline turn by turn, so that both see the same machine. */
export const row = async (
  name: string,
  unit: string,
  thing: () => Promise<number> | number,
  baseline: string,
  base: () => Promise<number> | number,
): Promise<Row> => {
  const [values, bases]: [number[], number[]] = [[], []];
  for (let i = 0; i < rounds; i++) {
    values.push(await thing());
    bases.push(await base());
  }
  const [value, baselineValue] = [median(values), median(bases)];
  return { name, value, unit, baseline, baselineValue, ratio: value / baselineValue };
};

export const microseconds = (times: number, work: () => void): number => {
  const start = performance.now();
  for (let i = 0; i < times; i++) work();
  return ((performance.now() - start) * 1000) / times;
};

export const milliseconds = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};
