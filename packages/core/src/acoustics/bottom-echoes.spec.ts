import fc from 'fast-check';
import { answerOf, calculate } from '../calculation/calculation.ts';
import { bottomEchoes } from './bottom-echoes.ts';

const shallow = {
  depthM: 5,
  firstSnrDb: 60,
  absorptionDbPerKm: 0,
  bottom: 'sand',
  surfaceLossDb: 0,
  shownBelowFirstDb: 80,
} as const;

describe('bottom-echoes', () => {
  it('draws the second bottom at twice the depth, 6 dB down for twice the way and 9 for the sand', () => {
    const [second, third] = answerOf(bottomEchoes, shallow).echoes;
    expect(second).toEqual({ order: 2, drawnM: 10, snrDb: jasmine.any(Number) as unknown as number });
    expect(second?.snrDb).toBeCloseTo(60 - 6.02 - 9, 2);
    expect(third?.drawnM).toBe(15);
    expect(third?.snrDb).toBeCloseTo(60 - 9.54 - 18, 2);
  });

  it('are as practice sees them: the second, over rock the third, and none again over mud', () => {
    const orders = (bottom: 'mud' | 'sand' | 'gravel' | 'rock'): number[] =>
      answerOf(bottomEchoes, { depthM: 8, firstSnrDb: 80, absorptionDbPerKm: 12, bottom }).echoes.map(
        ({ order }) => order,
      );
    expect(orders('mud')).toEqual([]);
    expect(orders('sand')).toEqual([2]);
    expect(orders('gravel')).toEqual([2]);
    expect(orders('rock')).toEqual([2, 3]);
  });

  it('takes the way of the sound from the face: up to the surface, not to the face', () => {
    // Face 1 m down over 5 m: 4 m to the first, 9 m to the second; absorption counts both ways over the 5 m more.
    const [second] = answerOf(bottomEchoes, { ...shallow, faceDepthM: 1, absorptionDbPerKm: 100 }).echoes;
    expect(second?.snrDb).toBeCloseTo(60 - 20 * Math.log10(9 / 4) - 1 - 9, 9);
    expect(second?.drawnM).toBe(10);
  });

  it('grow ever weaker, end where they are no longer seen, and are fewer over mud than over rock', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.integer({ min: 0, max: 90 }),
        (depthM, firstSnrDb) => {
          const of = (bottom: 'mud' | 'rock'): readonly { snrDb: number }[] =>
            answerOf(bottomEchoes, { ...shallow, depthM, firstSnrDb, bottom }).echoes;
          const levels = of('rock').map(({ snrDb }) => snrDb);
          expect(levels.every((level, i) => level >= 15 && level < (levels[i - 1] ?? firstSnrDb))).toBeTrue();
          expect(of('mud').length).toBeLessThanOrEqual(of('rock').length);
        },
      ),
    );
    expect(answerOf(bottomEchoes, { ...shallow, firstSnrDb: 24 }).echoes).toEqual([]);
    expect(calculate(bottomEchoes, { ...shallow, faceDepthM: 5 }).ok).toBeFalse();
  });
});
