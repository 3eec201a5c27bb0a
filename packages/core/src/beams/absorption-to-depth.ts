import type { Water } from '@grey-keel/model';
import { answerOf, type Answer, type WorkingStep } from '../calculation.ts';
import { absorption } from '../water/absorption.ts';

export interface LostToAbsorption {
  readonly lostDb: number;
  readonly answer: Answer<{ absorptionDbPerKm: number; otherModelDiffers: number }>;
  readonly working: readonly WorkingStep[];
}

/** What absorption takes from an echo on the way to a depth and back, dB. The water is taken at half the depth. */
export const lostToAbsorption = (
  water: Pick<Water, 'temperatureC' | 'salinityPpt'>,
  frequencyHz: number,
  depthM: number,
): LostToAbsorption => {
  const answer = answerOf(absorption, {
    frequencyHz,
    temperatureC: water.temperatureC,
    salinityPpt: water.salinityPpt,
    depthM: Math.min(7000, depthM / 2),
  });
  const lostDb = (2 * answer.absorptionDbPerKm * depthM) / 1000;
  return {
    lostDb,
    answer,
    working: [
      ...answer.working,
      {
        says: 'Lost to absorption, to the bottom and back',
        symbol: 'loss',
        value: lostDb,
        unit: 'dB',
        expression: '2 * alpha * d / 1000',
        method: null,
        inputs: [
          { symbol: 'alpha', value: answer.absorptionDbPerKm, unit: 'dB/km', meaning: 'absorption one way' },
          { symbol: 'd', value: depthM, unit: 'm', meaning: 'depth' },
        ],
        source: 'sonar equation, Urick 1983, ch. 2',
      },
    ],
  };
};
