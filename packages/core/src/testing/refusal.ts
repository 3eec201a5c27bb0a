import { calculate, type Calculation } from '../calculation/calculation.ts';

/** What is said first of an input that is refused, with its field; empty where it is taken. */
export const refusalOf = (calculation: Calculation, input: unknown): string => {
  const result = calculate(calculation, input);
  const [first] = result.ok ? [] : result.errors;
  return first ? `${first.field}: ${first.message}` : '';
};
