import type { Point } from '@grey-keel/core';

/** Half of what a mark covers, and of what two figures do, with a little air. */
const mark = { x: 19, y: 16 };
const figures = { x: 15, y: 12 };
const steps = [21, 30, 40].flatMap((radius) =>
  [0, 4, 2, 6, 1, 3, 5, 7].map((eighth) => ({
    x: radius * Math.sin((eighth * Math.PI) / 4),
    y: -radius * Math.cos((eighth * Math.PI) / 4),
  })),
);

const meets = (a: Point, b: Point, half: Point): boolean =>
  Math.abs(a.x - b.x) < half.x && Math.abs(a.y - b.y) < half.y;

/**
 * Where the number of each mark is written, from the middle of the mark: in it, or beside it where a mark that is drawn
 * later lies on it, at the nearest spot that is free. Where none is, it stays in the mark. `top` is drawn over all others.
 */
export const numberSpots = (
  marks: readonly Point[],
  frame: { readonly x: number; readonly y: number; readonly w: number; readonly h: number },
  top = -1,
): Point[] => {
  const within = ({ x, y }: Point): boolean =>
    x > frame.x + 9 && x < frame.x + frame.w - 9 && y > frame.y + 8 && y < frame.y + frame.h - 8;
  const over = (i: number, j: number): boolean => j !== i && i !== top && (j > i || j === top);
  const hidden = marks.map((at, i) => marks.some((other, j) => over(i, j) && meets(at, other, mark)));
  const taken: Point[] = [];
  return marks.map((at, i) => {
    if (!hidden[i]) return { x: 0, y: 0 };
    const free = steps.find((step) => {
      const spot = { x: at.x + step.x, y: at.y + step.y };
      return (
        within(spot) &&
        !marks.some((other, j) => j !== i && meets(spot, other, mark)) &&
        !taken.some((other) => meets(spot, other, figures))
      );
    });
    if (!free) return { x: 0, y: 0 };
    taken.push({ x: at.x + free.x, y: at.y + free.y });
    return free;
  });
};
