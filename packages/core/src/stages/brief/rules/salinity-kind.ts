import type { Water } from '@grey-keel/model';
import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** Usual bounds of fresh, brackish and sea water, ppt (Venice system, 1958). */
const bounds: Record<Water['kind'], readonly [number, number]> = {
  fresh: [0, 0.5],
  brackish: [0.5, 30],
  salt: [30, 40],
};

export const salinityKind: Rule<'brief'> = {
  id: 'salinity-kind',
  stage: 'brief',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.waters).flatMap(([id, water]) => {
      const [low, high] = bounds[water.kind];
      if (water.salinityPpt >= low && water.salinityPpt <= high) return [];
      return [
        {
          subject: id,
          title: 'Salinity and kind of water disagree',
          reason: [
            `${water.name} is called ${water.kind}, with `,
            figure(water.salinityPpt, 'salinity'),
            ' of salt; ',
            `${water.kind} water has ${low} to ${high} ppt.`,
          ],
          figure: figure(water.salinityPpt, 'salinity'),
          fix: { label: 'Set the salinity', target: at('waters', id, 'salinityPpt') },
        },
      ];
    }),
};
