import { cardStanding } from '../../handover/card.ts';
import { figure, type Rule } from '../rule.ts';

export const cardStale: Rule = {
  id: 'card-stale',
  stage: 'handover',
  severity: 'check',
  find: (plan) => {
    if (cardStanding(plan) !== 'stale') return [];
    return [
      {
        title: 'The printed card is out of date',
        reason: [`A figure on it has changed since it was printed; ${Object.keys(plan.cards).length} printed so far.`],
        figure: figure(Object.keys(plan.cards).length, 'count'),
        wayOut: { label: 'Print it again', target: 'print-card' },
      },
    ];
  },
};
