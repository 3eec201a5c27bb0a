import { waysOfWorking, type Edit, type Plan, type Way } from '@grey-keel/model';
import { looksAt } from '../pages/suggest-layouts.ts';
import { inOrder } from '../plan/working-water.ts';
import { interferenceOf, interferesDb, type Interference } from './interference.ts';

type Chosen = Readonly<Record<string, number>>;

const sends = (plan: Plan, way: Way): string[] =>
  inOrder(plan.transducers).flatMap(([id, { transmitsIn }]) => (transmitsIn[way] ? [id] : []));

const usedWays = (plan: Plan): Way[] => waysOfWorking.filter((way) => plan.ways[way] && way !== 'trailer');

/** Every pair that transmits together in a way of working and shares a band, loudest first. */
export const interferenceIn = (plan: Plan, way: Way): Interference[] => {
  const ids = sends(plan, way);
  return ids
    .flatMap((source) =>
      ids.flatMap((victim) => {
        const [from, to] = [plan.transducers[source], plan.transducers[victim]];
        if (source === victim || !from || !to) return [];
        return interferenceOf(plan, [source, from.workingBeam], [victim, to.workingBeam]) ?? [];
      }),
    )
    .sort((a, b) => b.overNoiseDb - a.overNoiseDb);
};

/** What it costs to put a unit on standby in a way of working: the more it is looked at there, the more. */
export const standbyCost = (plan: Plan, id: string, way: Way): number => {
  const kind = plan.transducers[id]?.kind;
  return 2 + 2 * (kind ? (looksAt[way][kind] ?? 0) : 0);
};
/** Another of its own beams changes the picture, but leaves one. */
export const otherBeamCost = 1;

export interface QuietPlan {
  /** Another beam to work with, by transducer. */
  readonly beams: Chosen;
  /** To put on standby, by way of working. */
  readonly standby: readonly { readonly way: Way; readonly id: string }[];
  readonly cost: number;
  /** Whether everything was searched; where it was not, a cheaper plan may be there. */
  readonly complete: boolean;
  readonly edits: readonly Edit[];
}

/** How many sets of units are looked at in all before the search takes the best it has. */
const mostLooks = 20_000;

/**
 * All subsets of what sends, cheapest standby first: exact, for the few units of a boat, as long as looks are left. The
 * first set it comes to is quiet already, so that one that runs out of looks still has an answer.
 */
const cheapestStandby = (
  plan: Plan,
  way: Way,
  ids: readonly string[],
  interferes: (a: string, b: string) => boolean,
  looks: { left: number },
): { readonly off: readonly string[]; readonly cost: number } => {
  const pairs = ids.flatMap((a, i) => ids.slice(i + 1).flatMap((b) => (interferes(a, b) ? [[a, b] as const] : [])));
  let best: { off: readonly string[]; cost: number } | null = null;
  const search = (off: readonly string[], cost: number, from: number): void => {
    if (best && (cost >= best.cost || looks.left <= 0)) return;
    looks.left -= 1;
    const open = pairs.slice(from).findIndex(([a, b]) => !off.includes(a) && !off.includes(b));
    if (open < 0) {
      best = { off, cost };
      return;
    }
    const pair = pairs[from + open];
    for (const id of pair ?? []) search([...off, id], cost + standbyCost(plan, id, way), from + open + 1);
  };
  search([], 0, 0);
  return best ?? { off: [], cost: 0 };
};

/** Beams are chosen over all their combinations up to so many; beyond, only standby is thought of. */
const mostCombinations = 4096;

/**
 * The least change after which no unit interferes with another in any way of working: another beam for some (for all ways at
 * once, since a unit keeps its beam), standby in a way for others. Null where nothing interferes. Exact over all
 * combinations of beams, and for each over all sets of units, as long as these are few; beyond, `complete` is false and
 * the plan is quiet but may not be the cheapest. Of equally cheap ones the first found.
 */
export const quietPlan = (plan: Plan): QuietPlan | null => {
  const ways = usedWays(plan);
  const units = inOrder(plan.transducers);
  const now: Chosen = Object.fromEntries(units.map(([id, { workingBeam }]) => [id, workingBeam]));
  const known = new Map<string, boolean>();
  const hears = (from: string, fromBeam: number, to: string, toBeam: number): boolean => {
    const key = `${from} ${fromBeam} ${to} ${toBeam}`;
    const answer =
      known.get(key) ?? (interferenceOf(plan, [from, fromBeam], [to, toBeam])?.overNoiseDb ?? -1) > interferesDb;
    known.set(key, answer);
    return answer;
  };
  const interferes =
    (beams: Chosen) =>
    (a: string, b: string): boolean =>
      hears(a, beams[a] ?? 0, b, beams[b] ?? 0) || hears(b, beams[b] ?? 0, a, beams[a] ?? 0);
  const looks = { left: mostLooks };
  const interfered = ways.some((way) => {
    const ids = sends(plan, way);
    return ids.some((a, i) => ids.slice(i + 1).some((b) => interferes(now)(a, b)));
  });
  if (!interfered) return null;
  const count = units.reduce((product, [, { beams }]) => product * beams.length, 1);
  const combinations: Chosen[] =
    count > mostCombinations
      ? [now]
      : units.reduce<Chosen[]>(
          (made, [id, { beams, workingBeam }]) =>
            made.flatMap((chosen) => {
              // Its own beam first, so that of two as cheap the one that changes nothing is kept.
              const order = [workingBeam, ...beams.keys()].filter((beam, i, all) => all.indexOf(beam) === i);
              return order.map((beam) => ({ ...chosen, [id]: beam }));
            }),
          [{}],
        );
  let best: Omit<QuietPlan, 'edits' | 'complete'> | null = null;
  for (const beams of combinations) {
    if (best && looks.left <= 0) break;
    const changed = units.filter(([id]) => beams[id] !== now[id]).map(([id]) => id);
    let cost = otherBeamCost * changed.length;
    if (best && cost >= best.cost) continue;
    const standby = ways.flatMap((way) => {
      const { off, cost: added } = cheapestStandby(plan, way, sends(plan, way), interferes(beams), looks);
      cost += added;
      return off.map((id) => ({ way, id }));
    });
    if (best && cost >= best.cost) continue;
    best = { beams: Object.fromEntries(changed.map((id) => [id, beams[id] ?? 0])), standby, cost };
  }
  if (!best) return null;
  return {
    ...best,
    complete: count <= mostCombinations && looks.left > 0,
    edits: [
      ...Object.entries(best.beams).map(([id, workingBeam]): Edit => ({
        type: 'describeTransducer',
        id,
        changes: { workingBeam },
      })),
      ...best.standby.map(({ way, id }): Edit => ({ type: 'transmitIn', id, way, transmits: false })),
    ],
  };
};
