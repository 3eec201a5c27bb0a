import { answerOf } from '../../../calculation/calculation.ts';
import { inOrder, workingWater } from '../../../plan/working-water.ts';
import { absorption } from '../../../water/absorption.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { act } from '../../../plan/target.ts';

/** Between fresh water and the sea neither absorption model was measured: say how far they part. */
export const brackishAbsorption: Rule<'beams'> = {
  id: 'brackish-absorption',
  stage: 'beams',
  severity: 'note',
  find: (plan) => {
    const water = workingWater(plan);
    if (!water || water.salinityPpt <= 0.5 || water.salinityPpt >= 30) return [];
    const frequencies = inOrder(plan.transducers).flatMap(([, { beams }]) =>
      beams.map(({ frequencyHz }) => frequencyHz),
    );
    const frequencyHz = frequencies[0];
    if (frequencyHz === undefined) return [];
    const { otherModelDiffers, working } = answerOf(absorption, {
      frequencyHz,
      temperatureC: water.temperatureC,
      salinityPpt: water.salinityPpt,
    });
    return [
      {
        title: 'Absorption is less certain here',
        reason: [
          'Water of ',
          figure(water.salinityPpt, 'salinity'),
          ' lies between what the models were measured in; at ',
          figure(frequencyHz, 'frequency'),
          ' the two differ by ',
          figure(Math.abs(otherModelDiffers), 'fraction'),
          '.',
        ],
        figure: figure(Math.abs(otherModelDiffers), 'fraction'),
        working,
        fix: { label: 'See the losses by frequency', target: act('show the absorption') },
      },
    ];
  },
};
