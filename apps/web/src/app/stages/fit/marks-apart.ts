import type { Point } from '@grey-keel/core';
import { forceCollide, forceSimulation, forceX, forceY, type SimulationNodeDatum } from 'd3-force';
import type { Box } from './names-beside.ts';

interface Mark extends SimulationNodeDatum {
  readonly home: Point;
}

const steps = 40;
/** How strongly each is drawn home, while the drawing settles. */
const pull = 0.15;
/** Of a mark's middle from the edge of its frame. */
const edge = 13;

const between = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
const inside = ({ x, y }: Point, frame: Box): boolean =>
  x >= frame.x && x <= frame.x + frame.w && y >= frame.y && y <= frame.y + frame.h;

/**
 * Where marks are drawn that lie on one another: `least` apart, as near as that lets them to where they are, within the
 * frame. The one that is `held` stays where it is, and the others get out of its way. Whatever is far enough from all
 * others stays, too. The same marks are always drawn at the same spots.
 */
export const marksApart = (places: readonly Point[], frame: Box, least: number, held = -1): Point[] => {
  const crowded = places.some((a, i) => places.some((b, j) => j > i && Math.hypot(a.x - b.x, a.y - b.y) < least));
  if (!crowded) return [...places];
  const marks = places.map((home, i): Mark => ({ ...home, home, ...(i === held ? { fx: home.x, fy: home.y } : {}) }));
  const within = marks.filter(({ home }) => inside(home, frame));
  forceSimulation(marks)
    .stop()
    .force('x', forceX<Mark>(({ home }) => home.x).strength(pull))
    .force('y', forceY<Mark>(({ home }) => home.y).strength(pull))
    .force('apart', forceCollide<Mark>(least / 2).iterations(3))
    .force('frame', () => {
      for (const mark of within) {
        mark.x = between(mark.x ?? 0, frame.x + edge, frame.x + frame.w - edge);
        mark.y = between(mark.y ?? 0, frame.y + edge, frame.y + frame.h - edge);
      }
    })
    .alphaDecay(0.1)
    .tick(steps);
  return marks.map(({ home, x = home.x, y = home.y }) => ({ x, y }));
};
