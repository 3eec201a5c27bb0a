import { unitSets } from '@grey-keel/core';
import { roundTicks } from './round-ticks.ts';

describe('the marks of a scale', () => {
  const written = (endM: number, units: keyof typeof unitSets, count = 5): string[] =>
    roundTicks('depth', endM, count, unitSets[units]).map(({ words }) => words);

  it('are round in the unit that is shown, and stand where that depth is', () => {
    expect(written(100, 'metric')).toEqual(['0 m', '20 m', '40 m', '60 m', '80 m', '100 m']);
    expect(written(100, 'feet')).toEqual(['0 ft', '50 ft', '100 ft', '150 ft', '200 ft', '250 ft', '300 ft']);
    // A foot is 0.3048 m (international, 1959).
    expect(roundTicks('depth', 100, 5, unitSets.feet).at(-1)?.atM).toBeCloseTo(91.44, 9);
  });

  it('have as many decimals as they need to differ', () => {
    expect(written(2, 'metric', 4)).toEqual(['0.0 m', '0.5 m', '1.0 m', '1.5 m', '2.0 m']);
  });
});
