import type { Mounting, Plan } from '@grey-keel/model';
import { keelLinesM } from '../beams/silhouette.ts';

/** How far out the first of a kind stands, and how much further each pair after it; of the beam. */
const firstOut = 0.2;
const furtherOut = 0.08;

/**
 * Where across the boat the next of a kind usually goes, m to starboard: by turns to starboard and to port, so that no two
 * stand at one place; a catamaran's on the keel lines of its hulls. What hangs at the bow or on a pole stands side by side.
 */
export const usualSideM = (plan: Plan, mounting: Mounting | null, already: number): number => {
  const beamM = plan.boat.beamM ?? 2;
  const round = (value: number): number => Math.round(100 * value) / 100;
  if (mounting === 'bow motor' || mounting === 'pole') return round(0.15 * already);
  const side = already % 2 === 0 ? 1 : -1;
  const further = Math.floor(already / 2) * furtherOut * beamM;
  const [port] = keelLinesM(plan.boat) ?? [0];
  if (plan.boat.hullForm === 'catamaran' && port !== undefined) return round(side * (Math.abs(port) - further));
  return round(side * (firstOut * beamM + further));
};
