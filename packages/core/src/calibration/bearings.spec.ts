import { bearingOf, circularMean, eastNorth, wrapped } from './bearings.ts';

describe('bearings', () => {
  it('go and come back', () => {
    for (let deg = 0; deg < 360; deg += 7) expect(bearingOf(eastNorth(deg, 3))).toBeCloseTo(deg, 9);
    expect(eastNorth(90, 2).east).toBeCloseTo(2, 12);
  });

  it('are compared the shorter way round', () => {
    expect([wrapped(359 - 2), wrapped(2 - 359), wrapped(180), wrapped(-180), wrapped(720)]).toEqual([
      -3, 3, 180, 180, 0,
    ]);
  });

  it('have a mean by their directions, also across north', () => {
    expect(circularMean([350, 20])).toBeCloseTo(5, 9);
    expect(circularMean([-170, 160])).toBeCloseTo(175, 9);
  });
});
