import type { Water, WorkingStep } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { absorption } from '../water/absorption.ts';
import { francoisGarrison } from '../water/francois-garrison.ts';
import { given, calculated } from '../calculation/working-step.ts';

export interface LostToAbsorption {
  readonly lostDb: number;
  readonly answer: Answer<{ absorptionDbPerKm: number; otherModelDiffers: number }>;
  readonly working: readonly WorkingStep[];
}

/** The depth whose pressure stands for the whole way down: half of it. */
const meanDepthM = (depthM: number): number => Math.min(7000, depthM / 2);

/** The loss alone, dB, for curves of many points: water and depth are taken to be in the calculation's range. */
export const absorptionLossDb = (
  { temperatureC, salinityPpt }: Pick<Water, 'temperatureC' | 'salinityPpt'>,
  frequencyHz: number,
  depthM: number,
): number => {
  const parts = francoisGarrison(frequencyHz / 1000, temperatureC, salinityPpt, meanDepthM(depthM), 8);
  return (2 * (parts.boricAcid + parts.magnesiumSulphate + parts.water) * depthM) / 1000;
};

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
    depthM: meanDepthM(depthM),
  });
  const lostDb = (2 * answer.absorptionDbPerKm * depthM) / 1000;
  return {
    lostDb,
    answer,
    working: [
      ...answer.working.slice(0, 1),
      calculated(
        {
          says: 'Lost to absorption, to the bottom and back',
          symbol: 'loss',
          value: lostDb,
          unit: 'dB',
          expression: '2 * alpha * d / 1000',
          source: 'sonar equation, Urick 1983, ch. 2',
        },
        given('alpha', answer.absorptionDbPerKm, 'dB/km', 'absorption one way'),
        given('d', depthM, 'm', 'depth'),
      ),
    ],
  };
};
