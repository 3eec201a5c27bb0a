import { inverse, Matrix } from 'ml-matrix';

export interface Scatter {
  /** What is left over in the directions asked for, squared and added. */
  readonly squares: number;
  /** That many independent errors would have left these squares. */
  readonly divisor: number;
  /** Of the estimate squares / divisor. */
  readonly degreesOfFreedom: number;
}

/**
 * How much the residuals of a fit of plane velocities scatter along a direction of each: for errors that differ along and
 * across. `rows` has two rows for each velocity, east and north; `along` a unit vector for each; `residuals` as the rows.
 * The divisor is the trace of the residual maker seen along these directions, the degrees of freedom follow from its
 * square. Sources: Draper and Smith 1998, ch. 2; Satterthwaite 1946.
 */
export const scatterAlong = (
  rows: readonly (readonly number[])[],
  along: readonly { readonly east: number; readonly north: number }[],
  residuals: readonly number[],
): Scatter => {
  const design = new Matrix(rows.map((row) => [...row]));
  const transposed = design.transpose();
  const hat = design.mmul(inverse(transposed.mmul(design))).mmul(transposed);
  const maker = Matrix.eye(rows.length).sub(hat);
  const pick = Matrix.zeros(along.length, rows.length);
  along.forEach(({ east, north }, i) => {
    pick.set(i, 2 * i, east);
    pick.set(i, 2 * i + 1, north);
  });
  const seen = pick.mmul(maker).mmul(pick.transpose());
  const divisor = seen.trace();
  const left = pick.mmul(Matrix.columnVector(residuals));
  return {
    squares: left.dot(left),
    divisor,
    degreesOfFreedom: divisor ** 2 / seen.mmul(seen).trace(),
  };
};
