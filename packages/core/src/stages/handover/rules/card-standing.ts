import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';
import { printedCard } from '../../../handover/card.ts';

export const cardStale: Rule<'handover'> = {
  id: 'card-stale',
  stage: 'handover',
  severity: 'check',
  find: (plan) => {
    if (printedCard.standing(plan, 'card').state !== 'stale') return [];
    return [
      {
        title: 'The printed card is out of date',
        reason: [`A figure on it has changed since it was printed; ${Object.keys(plan.cards).length} printed so far.`],
        figure: figure(Object.keys(plan.cards).length, 'count'),
        fix: { label: 'Print it again', target: at('cards') },
      },
    ];
  },
};
