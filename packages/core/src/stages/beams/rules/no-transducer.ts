import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

export const noTransducer: Rule<'beams'> = {
  id: 'no-transducer',
  stage: 'beams',
  severity: 'check',
  find: ({ transducers }) =>
    Object.keys(transducers).length > 0
      ? []
      : [
          {
            title: 'No transducer yet',
            reason: [
              '0 are chosen. One alone is wide for those who search, narrow for those who fish straight below; the section shows both over your depth.',
            ],
            figure: figure(0, 'count'),
            fix: { label: 'Choose from the catalogue', target: at('transducers') },
          },
        ],
};
