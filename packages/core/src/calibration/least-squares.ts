import { inverse, Matrix, QrDecomposition } from 'ml-matrix';

export interface Fit {
  readonly values: readonly number[];
  /** Standard error of each value, from the scatter of what is left over; null where nothing is left to tell it by. */
  readonly standardErrors: readonly number[] | null;
  /** Standard error of each value for errors of one unit in what was observed. */
  readonly gains: readonly number[];
  /** Root mean square of what is left over. */
  readonly rms: number;
  readonly residuals: readonly number[];
  /** Observations less values. */
  readonly degreesOfFreedom: number;
}

/** A direction of the values that the rows say less of than so, beside the one they say most of, is not told at all. */
const leastShare = 1e-9;

/**
 * Least squares of rows · values = observed. Null where the rows do not tell the values apart.
 * Source: Draper and Smith 1998, ch. 5, by QR decomposition (ml-matrix).
 */
export const leastSquares = (rows: readonly (readonly number[])[], observed: readonly number[]): Fit | null => {
  const [first] = rows;
  if (!first || rows.length < first.length) return null;
  const design = new Matrix(rows.map((row) => [...row]));
  const qr = new QrDecomposition(design);
  const sizes = qr.upperTriangularMatrix.diagonal().map(Math.abs);
  if (Math.min(...sizes) <= leastShare * Math.max(...sizes)) return null;
  const values = qr.solve(Matrix.columnVector(observed)).to1DArray();
  const residuals = rows.map((row, i) => (observed[i] ?? 0) - row.reduce((sum, x, k) => sum + x * (values[k] ?? 0), 0));
  const squares = residuals.reduce((sum, r) => sum + r * r, 0);
  const degreesOfFreedom = rows.length - values.length;
  const sd = degreesOfFreedom > 0 ? Math.sqrt(squares / degreesOfFreedom) : null;
  const gains = inverse(design.transpose().mmul(design)).diagonal().map(Math.sqrt);
  return {
    values,
    standardErrors: sd === null ? null : gains.map((gain) => sd * gain),
    gains,
    rms: Math.sqrt(squares / rows.length),
    residuals,
    degreesOfFreedom,
  };
};
