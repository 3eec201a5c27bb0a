import { createHash } from 'node:crypto';
import { bundleVersion, type Bundle, type CatalogueEntry, type Plan } from '@grey-keel/model';
import type { Photographs } from '../photographs/photographs.ts';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';

/** Packs a boat with the catalogue entries it was equipped from, and its photographs. */
export const packBundle = async (
  whole: Plan,
  catalogue: CatalogueStore,
  photographs: Photographs,
  at: Date,
): Promise<Bundle> => {
  // Its revisions stay here: elsewhere there is nothing that a named state could lead back to.
  const { restorePoints: _points, ...plan } = whole;
  const wanted = new Map(
    [...Object.values(plan.transducers), ...Object.values(plan.displays)].flatMap(({ catalogue: from }) =>
      from ? [[`${from.entryId}/${from.version}`, from] as const] : [],
    ),
  );
  const entries = await Promise.all([...wanted.values()].map(({ entryId, version }) => catalogue.at(entryId, version)));
  const pictures = await photographs.of(Object.keys(plan.photographs ?? {}));
  return {
    format: 'grey-keel-bundle',
    version: bundleVersion,
    exportedAt: at.toISOString(),
    plan,
    catalogue: entries.filter((entry) => entry !== null),
    ...(Object.keys(pictures).length === 0
      ? {}
      : {
          photographs: Object.fromEntries(
            Object.entries(pictures).map(([id, bytes]) => [id, bytes.toString('base64')]),
          ),
        }),
  };
};

export interface BroughtIn {
  /** The boat, its parts pointing to the entries as they are called here. */
  readonly plan: Plan;
  readonly added: readonly CatalogueEntry[];
  /** Of these, the ones that came in under another id, since what is here under theirs is something else. */
  readonly beside: readonly { readonly id: string; readonly name: string }[];
}

/**
 * The photographs of a bundle under ids that are free here: one whose id is another picture's here comes in beside it, under
 * an id made from its bytes, so that the same bundle again gives the same boat. What no part of the plan shows stays out.
 */
export const photographsBeside = (
  plan: Plan,
  pictures: Readonly<Record<string, Buffer>>,
  here: Readonly<Record<string, Buffer>>,
): { readonly plan: Plan; readonly pictures: Readonly<Record<string, Buffer>> } => {
  if (!plan.photographs) return { plan, pictures: {} };
  const named = Object.entries(plan.photographs).map(([id, photograph]) => {
    const bytes = pictures[id];
    const there = here[id];
    const free =
      bytes && there && !there.equals(bytes)
        ? `${id.slice(0, longestStem)}-${createHash('sha256').update(bytes).digest('hex').slice(0, 7)}`
        : id;
    return { free, photograph, bytes };
  });
  return {
    plan: { ...plan, photographs: Object.fromEntries(named.map(({ free, photograph }) => [free, photograph])) },
    pictures: Object.fromEntries(named.flatMap(({ free, bytes }) => (bytes ? [[free, bytes]] : []))),
  };
};

/** Longer than this an id may not be with what is put behind it. */
const longestStem = 40;

/**
 * How the entries of a bundle come into a catalogue without changing anything that is in it: one that is here as it is
 * stays, one whose id is free comes in under it, and one that differs from what has its id comes in beside.
 */
export const besideWhatIsHere = (bundle: Bundle, here: readonly CatalogueEntry[]): BroughtIn => {
  const key = (id: string, version: number): string => `${id}/${version}`;
  const known = new Map(here.map((entry) => [key(entry.id, entry.version), JSON.stringify(entry.item)]));
  const ids = new Set(here.map(({ id }) => id));
  const added: CatalogueEntry[] = [];
  const beside: { id: string; name: string }[] = [];
  const moved = new Map<string, { entryId: string; version: number }>();
  for (const { id, version, item } of bundle.catalogue) {
    if (known.get(key(id, version)) === JSON.stringify(item)) continue;
    const taken = ids.has(id);
    let free = id;
    for (let i = 2; ids.has(free); i++) free = `${id.slice(0, longestStem)}-${i}`;
    ids.add(free);
    added.push({ id: free, version: 1, shipped: false, item });
    moved.set(key(id, version), { entryId: free, version: 1 });
    if (taken) beside.push({ id: free, name: item.type === 'transducer' ? item.element.name : item.name });
  }
  const pointing = <T extends { readonly catalogue: { entryId: string; version: number } | null }>(
    parts: Readonly<Record<string, T>>,
  ): Record<string, T> =>
    Object.fromEntries(
      Object.entries(parts).map(([id, part]) => {
        const to = part.catalogue && moved.get(key(part.catalogue.entryId, part.catalogue.version));
        return [id, to ? { ...part, catalogue: to } : part];
      }),
    );
  const { plan } = bundle;
  return {
    plan: { ...plan, transducers: pointing(plan.transducers), displays: pointing(plan.displays) },
    added,
    beside,
  };
};
