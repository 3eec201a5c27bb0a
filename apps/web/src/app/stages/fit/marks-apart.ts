import type { Point } from '@grey-keel/core';
import { forceCollide, forceSimulation, forceX, forceY, type SimulationNodeDatum } from 'd3-force';

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

interface Mark extends SimulationNodeDatum {
  readonly home: Point;
}

const steps = 40;
/** How strongly each is drawn home, while the drawing settles. */
const pull = 0.15;
/** Of a mark's middle from the edge of its frame. */
const edge = 13;

const between = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
const inside = ({ x, y }: Point, frame: Frame): boolean =>
  x >= frame.x && x <= frame.x + frame.w && y >= frame.y && y <= frame.y + frame.h;

/**
 * Where marks are drawn that lie on one another: `least` apart, as near as that lets them to where they are, within the
 * frame. The one that is `held` stays where it is, and the others get out of its way. Whatever is far enough from all
 * others stays, too. The same marks are always drawn at the same spots.
 */
export const marksApart = (places: readonly Point[], frame: Frame, least: number, held = -1): Point[] => {
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

/**
 * The same for a drawing in which one is dragged: as long as nothing but the one that is held moves, all others stay
 * where they were, and only once it is let go (`settled` counts how often) do they make room. A drag costs nothing so.
 */
export const apartBetweenDrags = (): ((
  ...asked: [places: readonly Point[], frame: Frame, least: number, held: number, settled: number]
) => Point[]) => {
  let last: { readonly asked: readonly number[]; readonly spots: readonly Point[] } | null = null;
  return (places, frame, least, held, settled) => {
    const asked = [...places.flatMap(({ x, y }, i) => (i === held ? [] : [x, y])), least, held, settled];
    if (asked.length !== last?.asked.length || asked.some((one, i) => one !== last?.asked[i]))
      last = { asked, spots: marksApart(places, frame, least, held) };
    return last.spots.map((spot, i) => (i === held ? (places[i] ?? spot) : spot));
  };
};
