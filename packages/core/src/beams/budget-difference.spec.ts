import fc from 'fast-check';
import { sonarBudget } from '../acoustics/sonar-budget.ts';
import { answerOf } from '../calculation/calculation.ts';
import { budgetDifference } from './budget-difference.ts';

const water = { temperatureC: 9, salinityPpt: 0 };

describe('budget-difference', () => {
  it('adds up to the difference of two separate budgets, to a hundredth of a decibel', () => {
    const side = fc.record({
      frequencyHz: fc.integer({ min: 30_000, max: 900_000 }),
      acousticPowerW: fc.double({ min: 10, max: 1000, noNaN: true }),
      directivityIndexDb: fc.double({ min: 8, max: 35, noNaN: true }),
      bandwidthHz: fc.integer({ min: 500, max: 50_000 }),
      processingGainDb: fc.double({ min: 0, max: 20, noNaN: true }),
      noiseSpectrumDb: fc.double({ min: 20, max: 70, noNaN: true }),
      targetStrengthDb: fc.double({ min: -60, max: -25, noNaN: true }),
    });
    fc.assert(
      fc.property(side, side, fc.double({ min: 1, max: 400, noNaN: true }), (first, second, rangeM) => {
        const snr = ({ acousticPowerW, ...rest }: typeof first): number =>
          answerOf(sonarBudget, {
            ...rest,
            sourceLevelDb: 170.8 + 10 * Math.log10(acousticPowerW) + rest.directivityIndexDb,
            ...water,
            rangeM,
          }).snrDb;
        const answer = answerOf(budgetDifference, { first, second, ...water, rangeM });
        const terms = [
          answer.spreadingDb,
          answer.absorptionDb,
          answer.directivityDb,
          answer.powerDb,
          answer.bandwidthDb,
          answer.processingDb,
          answer.noiseDb,
          answer.targetDb,
        ];
        expect(answer.totalDb).toBeCloseTo(snr(first) - snr(second), 2);
        expect(terms.reduce((sum, term) => sum + term)).toBeCloseTo(answer.totalDb, 2);
        expect(answer.firstSnrDb).toBeCloseTo(snr(first), 2);
      }),
    );
  });

  it('says which term decides, and that a cone does play a part', () => {
    const one = {
      frequencyHz: 190_000,
      acousticPowerW: 300,
      directivityIndexDb: 26,
      bandwidthHz: 5000,
      noiseSpectrumDb: 40,
      targetStrengthDb: -38,
    };
    const cones = answerOf(budgetDifference, {
      first: one,
      second: { ...one, directivityIndexDb: 18 },
      ...water,
      rangeM: 40,
    });
    expect([cones.largest, cones.coneRuleDepartsDb]).toEqual(['directivity', 16]);
    const salty = { temperatureC: 9, salinityPpt: 35, rangeM: 250 };
    expect(answerOf(budgetDifference, { first: one, second: { ...one, frequencyHz: 45_000 }, ...salty }).largest).toBe(
      'absorption',
    );
  });
});
