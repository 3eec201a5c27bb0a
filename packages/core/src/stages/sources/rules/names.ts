import type { Edit, Plan, Target } from '@grey-keel/model';
import { inOrder } from '../../../plan/working-water.ts';
import { isFactoryName, suggestSourceName } from '../../../sources/source-names.ts';
import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { typeHeld } from '../../../plan/held-by.ts';
import { setUpIn } from '../../../plan/read-at.ts';
import { at } from '../../../plan/target.ts';

export const thingName = (plan: Plan, id: string): string =>
  plan.transducers[id]?.name ?? plan.equipment[id]?.name ?? id;

const rename = (plan: Plan, id: string): { label: string; target: Target; edits: Edit[] } => {
  const name = suggestSourceName(plan, id);
  return {
    label: `Call it "${name}"`,
    target: at('sources', id, 'name'),
    edits: [{ type: 'describeSource', id, changes: { name } }],
  };
};

export const sourceTwice: Rule<'sources'> = {
  id: 'source-twice',
  stage: 'sources',
  severity: 'check',
  find: (plan) => {
    const byName = new Map<string, string[]>();
    for (const [id, { name }] of inOrder(plan.sources))
      if (name !== '') byName.set(name.trim().toLowerCase(), [...(byName.get(name.trim().toLowerCase()) ?? []), id]);
    return [...byName.values()].flatMap((ids): Found[] => {
      const last = ids[ids.length - 1];
      if (ids.length < 2 || last === undefined) return [];
      return [
        {
          subject: last,
          title: 'Two sources share a name',
          reason: [
            figure(ids.length, 'count'),
            ` sources are called "${plan.sources[last]?.name ?? ''}": ${ids.map((id) => thingName(plan, id)).join(', ')}.`,
          ],
          figure: figure(ids.length, 'count'),
          fix: rename(plan, last),
        },
      ];
    });
  },
};

export const sourceFactoryName: Rule<'sources'> = {
  id: 'source-factory-name',
  stage: 'sources',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.sources)
      .filter(([, { name }]) => name !== '' && isFactoryName(name))
      .map(([id, { name }]) => ({
        subject: id,
        title: 'A source has the name it came with',
        reason: [
          `${thingName(plan, id)} is listed as "${name}", one of `,
          figure(Object.keys(plan.sources).length, 'count'),
          ' sources: that tells nothing.',
        ],
        figure: figure(Object.keys(plan.sources).length, 'count'),
        fix: rename(plan, id),
      })),
};

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

/** What is printed on the cable's tag is not what the display was told. */
export const typeWrong: Rule<'sources'> = {
  id: 'type-wrong',
  stage: 'sources',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.sources)
      .map(([id, { tag }]) => ({ id, tag, selected: typeHeld(plan, id) ?? '' }))
      .filter(({ tag, selected }) => tag !== '' && selected !== '' && plain(tag) !== plain(selected))
      .map(({ id, tag, selected }) => ({
        subject: id,
        title: 'The wrong type is selected',
        reason: [
          `The tag of ${thingName(plan, id)} says "${tag}"; "${selected}" is selected on `,
          figure(Object.keys(plan.displays).length, 'count'),
          ' displays: power and tuning are meant for another element.',
        ],
        figure: figure(Object.keys(plan.displays).length, 'count'),
        fix: {
          label: `Select "${tag}"`,
          target: at('held', setUpIn(plan, id), 'type', id),
        },
      })),
};
