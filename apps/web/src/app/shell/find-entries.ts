import { glossary } from '@grey-keel/core';
import type { FleetEntry, Plan, Target } from '@grey-keel/model';
import { stageRegister } from '../stages/stages.ts';
import type { Found } from '../stages/web-stage.ts';

/** One thing that can be found by its name, and where it is. `target` is what is brought into view there. */
export interface FindEntry {
  readonly kind: Found['kind'] | 'stage' | 'boat' | 'help' | 'term';
  readonly name: string;
  readonly boatId: string | null;
  readonly stage: string;
  readonly target: Target | null;
  readonly does?: 'units' | 'theme' | 'shortcuts' | 'terms';
}

/** The same whatever boat is open. */
const terms = glossary.flatMap((group) =>
  group.terms.map(({ term }): FindEntry => ({
    kind: 'term',
    name: term,
    boatId: null,
    stage: '',
    target: null,
    does: 'terms',
  })),
);

/** Everything that can be found from an open boat, in the order it is offered. */
export const findEntries = (plan: Plan | null, boatId: string | null, fleet: readonly FleetEntry[]): FindEntry[] => {
  const entry = (kind: FindEntry['kind'], name: string, stage: string, target: Target | null): FindEntry => ({
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
          ...stageRegister.map(({ stage, number, title }) => entry('stage', `${number} ${title}`, stage, null)),
          ...stageRegister.flatMap(({ stage, found }) =>
            found(plan).map(({ kind, name, target }) => entry(kind, name, stage, target)),
          ),
        ];
  const everywhere: FindEntry[] = [
    { kind: 'setting', name: 'Units', boatId, stage: '', target: null, does: 'units' },
    { kind: 'setting', name: 'Theme: shop, sun, night', boatId, stage: '', target: null, does: 'theme' },
    { kind: 'help', name: 'Shortcuts', boatId, stage: '', target: null, does: 'shortcuts' },
    { kind: 'help', name: 'Terms', boatId, stage: '', target: null, does: 'terms' },
  ];
  const boats = fleet.map(({ id, name }): FindEntry => ({
    kind: 'boat',
    name,
    boatId: id,
    stage: 'brief',
    target: null,
  }));
  return [...here, ...everywhere, ...boats, ...terms];
};

const most = 10;

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
