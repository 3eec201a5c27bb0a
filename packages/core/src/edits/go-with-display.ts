import type { Plan, SettingKind } from '@grey-keel/model';
import { readAt } from '../plan/read-at.ts';
import { pruneEmpty } from './by-leaf.ts';

/** What is keyed for a transducer into the display it is read on. */
export const setUpKinds = ['depth-offset', 'sides', 'type', 'name'] as const satisfies readonly SettingKind[];

interface Line {
  readonly asFound: { readonly at: string | null } | null;
  readonly asLeft: { readonly at: string | null } | null;
}
/** When something was said of a line last. */
const saidAt = ({ asFound, asLeft }: Line): string => [asFound?.at ?? '', asLeft?.at ?? ''].sort().at(-1) ?? '';

/**
 * What was keyed in for a transducer while no display of it was known stands with the transducer itself. Once its display is
 * known it stands there: it is the instrument that was meant. What was said of it there later stays.
 */
export const goWithDisplay = (draft: Plan): void => {
  for (const id of Object.keys(draft.held)) {
    const displayId = draft.transducers[id] ? readAt(draft, id) : null;
    if (displayId === null) continue;
    const kinds = draft.held[id] as Partial<Record<SettingKind, Record<string, Line>>>;
    for (const kind of setUpKinds) {
      const line = kinds[kind]?.[id];
      if (!line) continue;
      const lines = ((draft.held[displayId] ??= {}) as typeof kinds)[kind];
      const there = lines?.[id];
      if (!there || saidAt(line) > saidAt(there))
        ((draft.held[displayId] as typeof kinds)[kind] ??= {})[id] = { ...line };
      delete kinds[kind]?.[id];
    }
    pruneEmpty(draft, ['held', id]);
  }
};
