import type { Place, Plan, Transducer } from '@grey-keel/model';
import { keelLinesM, silhouetteOf } from '../beams/silhouette.ts';
import { inOrder } from '../plan/working-water.ts';
import type { Result } from '../plan/define-result.ts';

/** Something with a place: a transducer or a piece of equipment. */
export interface PlacedThing {
  readonly id: string;
  readonly name: string;
  readonly place: Place;
  /** How far outside the hull such a thing may stand, m: astern, ahead, and to the sides. */
  readonly mayStandOutM: { readonly astern: number; readonly ahead: number; readonly aside: number };
}

const asternOf = { astern: 1.5, ahead: 0.1, aside: 0.1 };
const atTheBow = { astern: 0.1, ahead: 1.2, aside: 0.3 };
const onAPole = { astern: 1, ahead: 1, aside: 0.8 };
const onTheHull = { astern: 0.1, ahead: 0.1, aside: 0.1 };

const roomOf = ({ mounting }: Pick<Transducer, 'mounting'>): PlacedThing['mayStandOutM'] =>
  mounting === 'transom' ? asternOf : mounting === 'bow motor' ? atTheBow : mounting === 'pole' ? onAPole : onTheHull;

/** Everything aboard that has a place. */
export const placedThings = (plan: Plan): PlacedThing[] => [
  ...inOrder(plan.transducers).map(([id, one]) => ({ id, name: one.name, place: one, mayStandOutM: roomOf(one) })),
  ...inOrder(plan.equipment).map(([id, one]) => ({
    id,
    name: one.name,
    place: one,
    mayStandOutM: one.kind === 'propeller' ? asternOf : one.kind === 'bow motor' ? atTheBow : onTheHull,
  })),
];

/** Half the width of the hull's outline in plan at a distance forward of the transom, m. */
const halfWidthM = (plan: Plan, forwardM: number): number => {
  const outline = silhouetteOf(plan.boat).plan.filter(({ x }) => x >= 0);
  const [first] = outline;
  if (!first) return 0;
  for (let i = 1; i < outline.length; i++) {
    const [a, b] = [outline[i - 1], outline[i]];
    if (!a || !b || a.y === b.y) continue;
    const share = (forwardM - a.y) / (b.y - a.y);
    if (share >= 0 && share <= 1) return a.x + share * (b.x - a.x);
  }
  return forwardM <= 0 ? silhouetteOf(plan.boat).beamM / 2 : 0;
};

/** How far outside the hull a thing stands beyond what it may, m; 0 inside. Null while length or beam are unknown. */
export const outsideM = (plan: Plan, { place, mayStandOutM: may }: PlacedThing): number | null => {
  const { lengthM, beamM } = plan.boat;
  if (lengthM === null || beamM === null) return null;
  const astern = -place.forwardM - may.astern;
  const ahead = place.forwardM - lengthM - may.ahead;
  const at = Math.min(lengthM, Math.max(0, place.forwardM));
  // The outline is a simple one: a hand's breadth beside it is still on the boat.
  const aside = Math.abs(place.starboardM) - Math.max(halfWidthM(plan, at), 0.15 * beamM) - may.aside - 0.1;
  return Math.max(0, astern, ahead, aside);
};

/** What of the hull has changed since the places were chosen, in words; empty where nothing did, or nobody knows. */
export const hullChanges = (plan: Plan): string[] => {
  const { fittedHull: then, boat: now } = plan;
  if (!then) return [];
  const differs = (key: 'lengthM' | 'beamM' | 'draughtM'): boolean =>
    then[key] !== null && now[key] !== null && Math.abs(then[key] - now[key]) > 1e-6;
  return [
    ...(differs('lengthM') ? ['its length'] : []),
    ...(differs('beamM') ? ['its beam'] : []),
    ...(differs('draughtM') ? ['its draught'] : []),
    ...(then.hullForm !== now.hullForm ? ['its form'] : []),
  ];
};

/** The places on the hull: stale when the hull is another than the one they were chosen or looked over on. */
export const placesLookedOver: Result = {
  keys: () => ['hull'],
  standing: (plan) => {
    const changed = hullChanges(plan);
    return { state: plan.fittedHull ? (changed.length ? 'stale' : 'fresh') : 'missing', changed };
  },
};

/** Where the propellers stand that the brief speaks of, as usual for its engines; none for oars and a jet. */
export const usualPropellers = ({
  boat,
}: Plan): { readonly place: Place; readonly diameterM: number; readonly name: string }[] => {
  const [lengthM, beamM] = [boat.lengthM ?? 6, boat.beamM ?? 2];
  const round = (value: number): number => Math.round(100 * value) / 100;
  const at = (forwardM: number, starboardM: number, aboveKeelM: number): Place => ({
    forwardM: round(forwardM),
    starboardM: round(starboardM),
    aboveKeelM,
  });
  /** With the plate over its blades at keel level they clear it by a hand's thickness. */
  const hubOf = (diameterM: number): number => round(-diameterM / 2 - 0.04);
  const keels = keelLinesM(boat) ?? [0];
  const out = keels.length > 1 ? Math.abs(keels[0] ?? 0) : 0.18 * beamM;
  switch (boat.propulsion) {
    case 'oars':
    case 'jet':
      return [];
    case 'twin outboards':
      return [
        { name: 'Port propeller', place: at(-0.5, -out, hubOf(0.36)), diameterM: 0.36 },
        { name: 'Starboard propeller', place: at(-0.5, out, hubOf(0.36)), diameterM: 0.36 },
      ];
    case 'inboard shaft':
      return [{ name: 'Propeller', place: at(0.08 * lengthM, 0, 0.3), diameterM: 0.5 }];
    case 'sterndrive':
      return [{ name: 'Propeller', place: at(-0.4, 0, hubOf(0.38)), diameterM: 0.38 }];
    case 'electric':
      return [{ name: 'Propeller', place: at(-0.3, 0, hubOf(0.28)), diameterM: 0.28 }];
    case 'single outboard':
      return [{ name: 'Propeller', place: at(-0.5, 0, hubOf(0.34)), diameterM: 0.34 }];
  }
};
