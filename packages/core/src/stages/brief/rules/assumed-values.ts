import type { Plan } from '@grey-keel/model';
import { figure, type Rule } from '../../../findings/rule.ts';
import { assumedPlaces } from '../../../plan/assumed.ts';
import { at } from '../../../plan/target.ts';
import type { ToDo } from '../../../plan/to-do.ts';

/** What a template assumed, to be looked over; nothing where all is confirmed. */
export const assumedToConfirm = (plan: Plan): ToDo[] => {
  const { length } = assumedPlaces(plan);
  return length > 0 ? [{ what: `look over what is assumed (${length})`, target: at('assumed') }] : [];
};

export const assumedValues: Rule<'brief'> = {
  id: 'assumed-values',
  stage: 'brief',
  severity: 'check',
  find: (plan) => {
    const { length } = assumedPlaces(plan);
    if (length === 0) return [];
    return [
      {
        title: 'Figures are assumed',
        reason: [
          figure(length, 'count'),
          ' of the brief come from the kind of boat, not from this one. Change what is wrong and confirm the rest. Until then none of them counts as measured.',
        ],
        figure: figure(length, 'count'),
        fix: { label: 'Look them over', target: at('assumed') },
      },
    ];
  },
};
