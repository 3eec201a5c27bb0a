import type { CatalogueEntry, Plan, Transducer } from '@grey-keel/model';
import { inOrder } from '../plan/working-water.ts';
import { halfPowerCone } from '../beams/half-power-cone.ts';
import { judgeFitted, rankTransducers, type Place, type Ranking } from './rank.ts';

/** One thing that is to be bought or is aboard already. */
export interface ShoppingLine {
  readonly id: string;
  readonly name: string;
  readonly kind: Transducer['kind'];
  readonly mounting: Transducer['mounting'];
  readonly beams: readonly { readonly frequencyHz: number; readonly coneDeg: number }[];
  /** Where it stands among all of the catalogue if there were to be only one; null for what the catalogue does not rank. */
  readonly place: number | null;
}

/** The chosen gear, what it gives this boat together, and what it was compared with. */
export interface Shopping {
  readonly lines: readonly ShoppingLine[];
  /** The sounders aboard, judged together. */
  readonly chosen: Place | null;
  readonly compared: readonly Place[];
  readonly ranking: Ranking | null;
}

const comparedWith = 5;

/** What goes on the shopping sheet, from the plan and the catalogue alone. */
export const shoppingOf = (plan: Plan, catalogue: readonly CatalogueEntry[]): Shopping => {
  const ranking = rankTransducers(plan, catalogue, 'only one');
  const places = ranking?.places ?? [];
  return {
    lines: inOrder(plan.transducers).map(([id, { name, kind, mounting, beams, catalogue: from }]) => {
      const at = places.findIndex(({ ids }) => ids[0] === from?.entryId);
      return {
        id,
        name,
        kind,
        mounting,
        beams: beams.map((beam) => ({ frequencyHz: beam.frequencyHz, coneDeg: halfPowerCone(beam).acrossDeg })),
        place: at < 0 ? null : at + 1,
      };
    }),
    chosen: judgeFitted(plan),
    compared: places.slice(0, comparedWith),
    ranking,
  };
};
