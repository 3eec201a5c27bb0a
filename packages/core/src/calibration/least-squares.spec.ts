import { leastSquares } from './least-squares.ts';

// NIST Statistical Reference Datasets, linear regression "Norris": y and x, and the certified values.
const norris =
  `0.1 0.2, 338.8 337.4, 118.1 118.2, 888 884.6, 9.2 10.1, 228.1 226.5, 668.5 666.3, 998.5 996.3, 449.1 448.6,
  778.9 777, 559.2 558.2, 0.3 0.4, 0.1 0.6, 778.1 775.5, 668.8 666.9, 339.3 338, 448.9 447.5, 10.8 11.6, 557.7 556,
  228.3 228.1, 998 995.8, 888.8 887.6, 119.6 120.2, 0.3 0.3, 0.6 0.3, 557.6 556.8, 339.3 339.1, 888 887.2, 998.5 999,
  778.9 779, 10.2 11.1, 117.6 118.3, 228.9 229.2, 668.4 669.1, 449.2 448.9, 0.2 0.5`
    .split(',')
    .map((pair) => pair.trim().split(' ').map(Number));

describe('least squares', () => {
  it('gives the certified line of the Norris data of NIST, and its standard errors', () => {
    const fit = leastSquares(
      norris.map(([, x = 0]) => [1, x]),
      norris.map(([y = 0]) => y),
    );
    expect(fit?.values[0]).toBeCloseTo(-0.262323073774029, 9);
    expect(fit?.values[1]).toBeCloseTo(1.00211681802045, 11);
    expect(fit?.standardErrors?.[0]).toBeCloseTo(0.232818234301152, 9);
    expect(fit?.standardErrors?.[1]).toBeCloseTo(0.000429796848199937, 12);
    expect(fit?.degreesOfFreedom).toBe(34);
  });

  it('answers nothing where the rows do not tell the values apart, and no error where none is left over', () => {
    const row = [1, 1];
    expect(leastSquares([row, row, row], [1, 2, 3])).toBeNull();
    expect(leastSquares([[1, 2]], [1])).toBeNull();
    expect(leastSquares([], [])).toBeNull();
    expect(
      leastSquares(
        [
          [1, 1],
          [1, 2],
        ],
        [1, 2],
      )?.standardErrors,
    ).toBeNull();
  });
});
