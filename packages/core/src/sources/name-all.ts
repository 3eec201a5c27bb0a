import type { Edit, Plan } from '@grey-keel/model';
import { devicesOf } from '../network/devices.ts';
import { inOrder } from '../plan/working-water.ts';
import { newSource } from '../edits/new-parts.ts';
import { isFactoryName, suggestSourceName } from './source-names.ts';

/**
 * The edits that name by the rule whatever a display lists and has no name yet, or still the one it left the box with.
 * Names somebody gave are left alone; each is told from the others.
 */
export const nameAll = (plan: Plan): Edit[] => {
  const ids = [
    ...inOrder(plan.transducers).map(([id]) => id),
    ...devicesOf(plan).flatMap(({ id }) => (plan.equipment[id] ? [id] : [])),
  ];
  // The rule tells a name from those given already: each is given before the next is asked for.
  let named = plan;
  return ids.flatMap((id): Edit[] => {
    const source = named.sources[id] ?? newSource();
    if (!isFactoryName(source.name)) return [];
    const name = suggestSourceName(named, id);
    if (name === source.name) return [];
    named = { ...named, sources: { ...named.sources, [id]: { ...source, name } } };
    return [{ type: 'describeSource', id, changes: { name } }];
  });
};
