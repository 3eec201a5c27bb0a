import { inOrder } from '@grey-keel/core';
import type { Edit, Place, Plan } from '@grey-keel/model';
import { seriesVariable } from '../../shared/series.ts';

/** Something with a place on the boat: a transducer, a piece of equipment, or the screen of a station. */
export interface FittedThing {
  readonly key: string;
  readonly id: string;
  readonly of: 'transducer' | 'equipment' | 'station';
  readonly name: string;
  /** What it is, in a word or two. */
  readonly kind: string;
  readonly colour: string;
  /** Null for a screen that has not been placed yet. */
  readonly place: Place | null;
  readonly propellerDiameterM: number | null;
}

/** All that has a place, in the order of the lists: its number in the drawing is its place in this one. */
export const fittedThings = (plan: Plan): FittedThing[] => [
  ...inOrder(plan.transducers).map(([id, { name, kind, mounting, forwardM, starboardM, aboveKeelM }], i) => ({
    key: `transducer-${id}`,
    id,
    of: 'transducer' as const,
    name,
    kind: `${kind}, ${mounting}`,
    colour: seriesVariable(i),
    place: { forwardM, starboardM, aboveKeelM },
    propellerDiameterM: null,
  })),
  ...inOrder(plan.equipment).map(([id, { name, kind, forwardM, starboardM, aboveKeelM, propellerDiameterM }]) => ({
    key: `equipment-${id}`,
    id,
    of: 'equipment' as const,
    name,
    kind,
    colour: 'var(--ink)',
    place: { forwardM, starboardM, aboveKeelM },
    propellerDiameterM,
  })),
  ...inOrder(plan.stations).map(([id, { name, place }]) => ({
    key: `station-${id}`,
    id,
    of: 'station' as const,
    name,
    kind: plan.displays[id]?.name ?? 'no display',
    colour: 'var(--faint)',
    place: place ?? null,
    propellerDiameterM: null,
  })),
];

/** The edit that puts a thing somewhere. */
export const placing = ({ of, id }: FittedThing, place: Place): Edit => {
  switch (of) {
    case 'transducer':
      return { type: 'describeTransducer', id, changes: place };
    case 'equipment':
      return { type: 'describeEquipment', id, changes: place };
    case 'station':
      return { type: 'describeStation', id, changes: { place } };
  }
};

/** The plan as it would be with one thing somewhere else: what is judged while it is dragged. */
export const withPlace = (plan: Plan, { of, id }: FittedThing, place: Place): Plan => {
  switch (of) {
    case 'transducer': {
      const before = plan.transducers[id];
      return before ? { ...plan, transducers: { ...plan.transducers, [id]: { ...before, ...place } } } : plan;
    }
    case 'equipment': {
      const before = plan.equipment[id];
      return before ? { ...plan, equipment: { ...plan.equipment, [id]: { ...before, ...place } } } : plan;
    }
    case 'station': {
      const before = plan.stations[id];
      return before ? { ...plan, stations: { ...plan.stations, [id]: { ...before, place } } } : plan;
    }
  }
};
