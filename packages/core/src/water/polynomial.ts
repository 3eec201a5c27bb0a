/** Value of a polynomial by Horner's rule, coefficients from the constant upward. */
export const polynomial = (coefficients: readonly number[], x: number): number =>
  coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0);
