import { inOrder } from '@grey-keel/core';
import type { FleetEntry, Plan } from '@grey-keel/model';
import { stageRegister } from '../stages/stages.ts';

/** One thing that can be found by its name, and where it is. `target` is the element brought into view there. */
export interface FindEntry {
  readonly kind: 'stage' | 'boat' | 'transducer' | 'station' | 'water' | 'page' | 'sought' | 'setting' | 'help';
  readonly name: string;
  readonly boatId: string | null;
  readonly stage: string;
  readonly target: string;
  readonly does?: 'units' | 'theme' | 'shortcuts';
}

/** Everything that can be found from an open boat, in the order it is offered. */
export const findEntries = (plan: Plan | null, boatId: string | null, fleet: readonly FleetEntry[]): FindEntry[] => {
  const at = (kind: FindEntry['kind'], name: string, stage: string, target: string): FindEntry => ({
    kind,
    name,
    boatId,
    stage,
    target,
  });
  const here =
    plan === null
      ? []
      : [
          ...stageRegister.map(({ stage, number, title }) => at('stage', `${number} ${title}`, stage, '')),
          ...inOrder(plan.transducers).map(([id, { name }]) => at('transducer', name, 'beams', `change-${id}`)),
          ...inOrder(plan.stations).map(([id, { name }]) => at('station', name, 'brief', `station-name-${id}`)),
          ...inOrder(plan.waters).map(([id, { name }]) => at('water', name, 'brief', `water-name-${id}`)),
          ...inOrder(plan.sought).map(([id, { name }]) => at('sought', name, 'brief', `sought-name-${id}`)),
          ...inOrder(plan.pages).map(([, { name, stationId, shownIn }]) =>
            at(
              'page',
              `${name}, ${plan.stations[stationId]?.name ?? ''}`,
              'pages',
              `cell-${stationId}-${(Object.keys(shownIn)[0] ?? '').replaceAll(' ', '-')}`,
            ),
          ),
          at('setting', 'Depth offset to the waterline or the keel', 'calibrate', 'offset-'),
          at('setting', 'Working depth', 'beams', 'working-depth'),
          at('setting', 'Displays', 'pages', 'display-'),
        ];
  const everywhere: FindEntry[] = [
    { kind: 'setting', name: 'Units', boatId, stage: '', target: '', does: 'units' },
    { kind: 'setting', name: 'Theme: shop, sun, night', boatId, stage: '', target: '', does: 'theme' },
    { kind: 'help', name: 'Shortcuts', boatId, stage: '', target: '', does: 'shortcuts' },
  ];
  const boats = fleet.map(({ id, name }): FindEntry => ({
    kind: 'boat',
    name,
    boatId: id,
    stage: 'brief',
    target: '',
  }));
  return [...here, ...everywhere, ...boats];
};

const most = 12;

/** The entries that hold every word typed, those that begin with them first. */
export const findIn = (entries: readonly FindEntry[], typed: string): FindEntry[] => {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return entries.slice(0, most);
  const held = entries.filter(({ name, kind }) =>
    words.every((word) => `${kind} ${name}`.toLowerCase().includes(word)),
  );
  const begins = ({ name }: FindEntry): boolean => name.toLowerCase().startsWith(words[0] ?? '');
  return [...held.filter(begins), ...held.filter((entry) => !begins(entry))].slice(0, most);
};
