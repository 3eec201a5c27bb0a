import { figure, type Rule } from '../../../findings/rule.ts';
import { deepestLoading, lowestPoint } from '../../../plan/lowest-point.ts';
import { at } from '../../../plan/target.ts';
import { workingWater } from '../../../plan/working-water.ts';

/** The working water has places that are shallower than the boat needs: it grounds there, whatever its displays show. */
export const tooShallow: Rule<'brief'> = {
  id: 'too-shallow',
  stage: 'brief',
  severity: 'stop',
  find: (plan) => {
    const water = workingWater(plan);
    const loading = deepestLoading(plan);
    const shallowestM = water?.shallowestM ?? null;
    if (!water || !loading || shallowestM === null) return [];
    const lowest = lowestPoint(plan);
    const needsM = loading.draughtM + lowest.belowKeelM;
    if (needsM <= shallowestM) return [];
    return [
      {
        title: 'The boat grounds in this water',
        reason: [
          `It needs `,
          figure(needsM, 'depth'),
          ` of water, ${loading.name}, down to ${lowest.name}; the shallowest of ${water.name} is `,
          figure(shallowestM, 'depth'),
          '.',
        ],
        figure: figure(needsM - shallowestM, 'depth'),
        working: lowest.working,
        fix: {
          label: 'Correct the water or the draught, or keep to the deep',
          target: at('waters', plan.working.waterId ?? '', 'shallowestM'),
        },
      },
    ];
  },
};
