import type { Source, Transducer } from '@grey-keel/model';
import type { CatalogueTransducer } from './catalogue-table.ts';

/** A transducer that is to go on the boat, and where it comes from. */
export interface ToPlace {
  readonly element: CatalogueTransducer['item']['element'];
  readonly mounting: Transducer['mounting'];
  readonly catalogue: Transducer['catalogue'];
  readonly temperature: Source['temperature'];
}

export const fromEntry = ({ entry, item }: CatalogueTransducer): ToPlace => ({
  element: item.element,
  mounting: item.mountings[0] ?? 'transom',
  catalogue: { entryId: entry.id, version: entry.version },
  temperature: item.temperatureSensor,
});
