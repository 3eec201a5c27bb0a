import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { imagingFrequency } from '../../../beams/imaging-frequency.ts';
import { answerOf } from '../../../calculation/calculation.ts';
import { defineExercise } from '../../../drill/exercise.ts';
import { figure } from '../../../findings/rule.ts';
import { workingWater } from '../../../plan/working-water.ts';

/** The highest frequency that still images a range in this water is asked. */
export interface WhichFrequencyQuestion {
  readonly rangeM: number;
  readonly temperatureC: number;
  readonly salinityPpt: number;
}

export interface WhichFrequencyAnswer {
  readonly frequencyHz: number;
}

/** Nothing that is sold images higher. */
const highestAskedHz = 1_200_000;
/** Ranges from 20 m on, by five. */
const askedRanges = 27;
/** A sounder's frequency: far below every answer. */
const startsAtHz = 190_000;

export const whichFrequency = defineExercise<WhichFrequencyQuestion, WhichFrequencyAnswer>({
  name: 'which frequency',

  make: (plan, random) => {
    const water = workingWater(plan);
    if (!water) return null;
    const { temperatureC, salinityPpt } = water;
    // Some ranges no frequency covers, and short ones the highest of all: then the next in the round is asked.
    const start = uniformInt(random, 0, askedRanges - 1);
    for (let k = 0; k < askedRanges; k++) {
      const rangeM = 20 + 5 * ((start + k) % askedRanges);
      const { frequencyHz, atEnd } = answerOf(imagingFrequency, { rangeM, temperatureC, salinityPpt });
      if (frequencyHz !== null && atEnd === 'none' && frequencyHz <= highestAskedHz)
        return { rangeM, temperatureC, salinityPpt };
    }
    return null;
  },

  startsAt: () => ({ frequencyHz: startsAtHz }),

  score: (_plan, question, { frequencyHz }) => {
    const answer = answerOf(imagingFrequency, question);
    const idealHz = answer.frequencyHz ?? 0;
    const covers = frequencyHz <= idealHz * 1.02;
    const octaves = Math.abs(Math.log2(frequencyHz / idealHz));
    return {
      // A picture that does not reach is worth less than one a little coarse.
      points: Math.round(Math.max(0, 100 * (1 - Math.max(0, octaves - 0.03))) * (covers ? 1 : 0.5)),
      parts: [
        {
          right: covers,
          words: [
            `That ${covers ? 'covers' : 'does not cover'} the range; the highest that does is `,
            figure(idealHz, 'frequency'),
            '.',
          ],
        },
      ],
      working: answer.working,
    };
  },
});
