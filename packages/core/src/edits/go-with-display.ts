import type { Plan, SettingKind } from '@grey-keel/model';
import { readAt } from '../plan/read-at.ts';
import { pruneEmpty } from './by-leaf.ts';

/** What is keyed for a transducer into the display it is read on. */
export const setUpKinds = ['depth-offset', 'sides', 'type', 'name'] as const satisfies readonly SettingKind[];

interface Line {
  readonly asLeft: { readonly at: string | null } | null;
}

/**
 * What was keyed in for a transducer while no display of it was known stands with the transducer itself. Once its display is
 * known it stands there: it is the instrument that was meant. What was entered there later stays.
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
      if (!there || (line.asLeft?.at ?? '') > (there.asLeft?.at ?? ''))
        ((draft.held[displayId] as typeof kinds)[kind] ??= {})[id] = { ...line };
      delete kinds[kind]?.[id];
    }
    pruneEmpty(draft, ['held', id]);
  }
};
