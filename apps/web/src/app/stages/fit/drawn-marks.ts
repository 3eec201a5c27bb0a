import type { Point } from '@grey-keel/core';
import { marksApart } from './marks-apart.ts';
import { namesBeside, type Box, type NameBeside } from './names-beside.ts';

export interface MarkAtHome extends Point {
  readonly name: string;
  /** Whether it is what the drawing is about: its name comes before others'. */
  readonly main: boolean;
}

export interface DrawnMark {
  readonly spot: Point;
  /** Drawn so far from its place that a line leads there. */
  readonly led: boolean;
  readonly name: NameBeside | null;
}

/** A mark that is drawn farther than this from its place has a line to it. */
const leadFromPx = 3;
/** What the scale of a view takes of its upper left corner. */
const scaleBox = ({ x, y }: Box): Box => ({ x, y, w: 130, h: 30 });
/** The dot where a mark belongs that is drawn beside. */
const dotPx = 3;

const drawn = (marks: readonly MarkAtHome[], frame: Box, least: number, held: number): readonly DrawnMark[] => {
  const apart = marksApart(marks, frame, least, held).map((spot, i) => {
    const home = marks[i] ?? spot;
    return { spot, home, led: Math.hypot(spot.x - home.x, spot.y - home.y) > leadFromPx };
  });
  // Those that are drawn apart have their names first, then what this is about; what is held is named beside the drawing, too.
  const names = namesBeside(
    apart.map(({ spot, led }, i) => ({
      ...spot,
      name: marks[i]?.name ?? '',
      first: i !== held && (led || marks[i]?.main === true),
    })),
    frame,
    [
      scaleBox(frame),
      ...apart.flatMap(({ home, led }) =>
        led ? [{ x: home.x - dotPx, y: home.y - dotPx, w: 2 * dotPx, h: 2 * dotPx }] : [],
      ),
    ],
  );
  return apart.map(({ spot, led }, i) => ({ spot, led, name: names[i] ?? null }));
};

/**
 * How marks and their names are drawn where one is dragged: as long as nothing but the one that is held moves, all others
 * stay where they were, and only once it is let go (`settled` counts how often) do they make room. A drag costs nothing so.
 */
export const drawnBetweenDrags = (): ((
  ...asked: [marks: readonly MarkAtHome[], frame: Box, least: number, held: number, settled: number]
) => readonly DrawnMark[]) => {
  let last: { readonly asked: readonly unknown[]; readonly drawn: readonly DrawnMark[] } | null = null;
  return (marks, frame, least, held, settled) => {
    const asked = [
      ...marks.flatMap(({ x, y, name, main }, i) => (i === held ? [name] : [x, y, name, main])),
      ...[frame.x, frame.y, frame.w, frame.h],
      least,
      held,
      settled,
    ];
    if (asked.length !== last?.asked.length || asked.some((one, i) => one !== last?.asked[i]))
      last = { asked, drawn: drawn(marks, frame, least, held) };
    return last.drawn.map((one, i) => (i === held ? { ...one, spot: marks[i] ?? one.spot } : one));
  };
};
