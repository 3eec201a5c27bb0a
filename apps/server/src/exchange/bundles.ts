import { bundleVersion, type Bundle, type Plan } from '@grey-keel/model';
import type { CatalogueStore } from '../catalogue/catalogue-store.ts';

/** Packs a boat with the catalogue entries she was equipped from. */
export const packBundle = async (plan: Plan, catalogue: CatalogueStore, at: Date): Promise<Bundle> => {
  const wanted = new Map(
    [...Object.values(plan.transducers), ...Object.values(plan.displays)].flatMap(({ catalogue: from }) =>
      from ? [[`${from.entryId}/${from.version}`, from] as const] : [],
    ),
  );
  const entries = await Promise.all([...wanted.values()].map(({ entryId, version }) => catalogue.at(entryId, version)));
  return {
    format: 'grey-keel-bundle',
    version: bundleVersion,
    exportedAt: at.toISOString(),
    plan,
    catalogue: entries.filter((entry) => entry !== null),
  };
};
