import { inOrder } from '../../../plan/working-water.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

export const sameName: Rule<'beams'> = {
  id: 'same-name',
  stage: 'beams',
  severity: 'check',
  find: (plan) => {
    const all = inOrder(plan.transducers);
    const names = new Map<string, string[]>();
    for (const [id, { name }] of all) {
      const key = name.trim().toLowerCase();
      names.set(key, [...(names.get(key) ?? []), id]);
    }
    return [...names.values()].flatMap((ids) => {
      const last = ids[ids.length - 1];
      if (ids.length < 2 || last === undefined) return [];
      return [
        {
          subject: last,
          title: 'Two transducers share a name',
          reason: [
            `${ids.length} are called ${plan.transducers[last]?.name ?? ''}: on the displays they cannot be told apart.`,
          ],
          figure: figure(ids.length, 'count'),
          fix: { label: 'Rename one', target: at('transducers', last, 'name') },
        },
      ];
    });
  },
};
