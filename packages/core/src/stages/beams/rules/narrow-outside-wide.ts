import { sectionAt } from '../../../beams/section.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { act } from '../../../plan/target.ts';

/** Less than a twentieth is lost in the rounding of the cones themselves. */
const noticeable = 0.05;

export const narrowOutsideWide: Rule<'beams'> = {
  id: 'narrow-outside-wide',
  stage: 'beams',
  severity: 'note',
  find: (plan) => {
    const { ring } = sectionAt(plan, plan.working.depthM);
    const outside = ring?.answer.narrowOutsideWide ?? 0;
    if (!ring || outside <= noticeable) return [];
    return [
      {
        title: 'The narrow cone leaves the wide one',
        reason: [
          'At ',
          figure(plan.working.depthM, 'depth'),
          ', ',
          figure(outside, 'fraction'),
          ' of the narrow footprint lies outside the wide one: a mark in the narrow cone alone is possible.',
        ],
        figure: figure(outside, 'fraction'),
        working: ring.answer.working.filter(({ symbol }) => symbol === 'out'),
        fix: { label: 'See the section', target: act('show the section') },
      },
    ];
  },
};
