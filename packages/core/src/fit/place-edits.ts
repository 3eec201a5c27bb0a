import type { CatalogueEntry, Edit, Element, Mounting, Plan, Source, Transducer } from '@grey-keel/model';
import { asUsuallyPlaced } from './as-usually-placed.ts';

/** A transducer that is to go on the boat, by a mounting, and where it comes from. */
export interface ToPlace {
  readonly element: Element;
  readonly mounting: Mounting;
  readonly catalogue: Transducer['catalogue'];
  readonly temperature: Source['temperature'];
}

/** Something to be placed, and the id it gets on the boat. */
export interface PlacedAs {
  readonly id: string;
  readonly toPlace: ToPlace;
}

/** An entry of the catalogue by the mounting the hull allows, else the first it names; null for what is no transducer. */
export const entryToPlace = ({ id, version, item }: CatalogueEntry, mounting?: Mounting): ToPlace | null =>
  item.type === 'transducer'
    ? {
        element: item.element,
        mounting: mounting ?? item.mountings[0] ?? 'transom',
        catalogue: { entryId: id, version },
        temperature: item.temperatureSensor,
      }
    : null;

/** The edits that put transducers on a boat, one after the other: each where such a unit usually sits. */
export const placeEdits = (plan: Plan, placed: readonly PlacedAs[]): Edit[] => {
  let now = plan;
  return placed.flatMap(({ id, toPlace: { element, mounting, catalogue, temperature } }): Edit[] => {
    const transducer = asUsuallyPlaced(now, element, mounting, catalogue);
    now = { ...now, transducers: { ...now.transducers, [id]: transducer } };
    return [
      { type: 'placeTransducer', id, transducer },
      ...(temperature === 'none' ? [] : [{ type: 'describeSource' as const, id, changes: { temperature } }]),
    ];
  });
};
