import type { Point } from '@grey-keel/core';

export interface Box extends Point {
  readonly w: number;
  readonly h: number;
}

/** Where a name stands, seen from its mark: `x` and `y` are of its text, which begins, ends or has its middle there. */
export interface NameBeside extends Point {
  readonly words: string;
  readonly anchor: 'start' | 'middle' | 'end';
  /** Where a line from the mark ends that leads to a name which does not touch it. */
  readonly line: Point | null;
}

export interface NamedMark extends Point {
  readonly name: string;
  /** Whether it chooses before others. */
  readonly first: boolean;
}

/** Of letters of 12 px, and what a capital takes more: more than they do on the average, so that there is room for them. */
const letterPx = 6;
const capitalPx = 2;
const tallPx = 14;
/** From the middle of the line down to the letters' foot. */
const footPx = 4;
const mostLetters = 22;
/** Half of a mark as it is drawn, with the air to its name: to the side and up. */
const asidePx = 15;
const abovePx = 11;
/** The middle of a mark nobody sees cut. */
const edgePx = 12;
/** A name that is nearer than this to another's mark would be read as that one's. */
const apartPx = 6;
/** Rows above and below, the nearest first; the farthest have a line to their mark. */
const rows = [0, -1, 1, -2, 2, -3, 3, -4, 4];

const overlap = (a: Box, b: Box): boolean => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
const within = (a: Box, frame: Box): boolean =>
  a.x >= frame.x && a.x + a.w <= frame.x + frame.w && a.y >= frame.y && a.y + a.h <= frame.y + frame.h;
const around = ({ x, y }: Point, aside: number, above: number): Box => ({
  x: x - aside,
  y: y - above,
  w: 2 * aside,
  h: 2 * above,
});
const shrunk = ({ x, y, w, h }: Box, by: number): Box => ({ x: x + by, y: y + by, w: w - 2 * by, h: h - 2 * by });

/** As much of a name as a drawing has room for. */
const shortened = (name: string): string =>
  name.length > mostLetters ? `${name.slice(0, mostLetters - 1).trimEnd()}…` : name;

interface Choice {
  readonly box: Box;
  readonly name: NameBeside;
}

const widthOf = (words: string): number => letterPx * words.length + capitalPx * (words.match(/\p{Lu}/gu) ?? []).length;

/** The places beside a mark in the order they are tried, and the box its name fills there; both seen from the mark. */
const choicesBeside = (words: string): Choice[] => {
  const w = widthOf(words);
  const leftOf = { start: 0, middle: -w / 2, end: -w };
  return rows.flatMap((row) => {
    const side = Math.sign(row);
    const middle = row * tallPx + side * (abovePx - tallPx / 2);
    const put = (anchor: NameBeside['anchor'], x: number): Choice => {
      const box = { x: x + leftOf[anchor], y: middle - tallPx / 2, w, h: tallPx };
      const line =
        Math.abs(row) > 1 ? { x: Math.min(box.x + w, Math.max(box.x, 0)), y: middle - (side * tallPx) / 2 } : null;
      return { box, name: { words, anchor, x, y: middle + footPx, line } };
    };
    const aside = [put('start', asidePx), put('end', -asidePx)];
    // Above and below it may reach over the mark.
    return row === 0 ? aside : [put('start', -asidePx), put('end', asidePx), put('middle', 0), ...aside];
  });
};

/** Whether the line from a mark to its name goes over one of these. */
const goesOver = (from: Point, by: Point, boxes: readonly Box[]): boolean =>
  [0.2, 0.4, 0.6, 0.8, 1].some((part) => {
    const at = { x: from.x + part * by.x, y: from.y + part * by.y, w: 0, h: 0 };
    return boxes.some((box) => overlap(at, box));
  });

/**
 * Where the names of marks are written: beside their marks, over no mark, no other name and nothing that is `taken`, clear
 * of every other mark, within the frame; where the marks lie thick, a little farther with a line to the mark. A name for
 * which there is no room at all is null: its number stands in the list.
 */
export const namesBeside = (
  marks: readonly NamedMark[],
  frame: Box,
  taken: readonly Box[] = [],
): (NameBeside | null)[] => {
  const spoken = [...taken];
  const found = marks.map((): NameBeside | null => null);
  const order = marks.map((_, i) => i).sort((a, b) => Number(marks[b]?.first) - Number(marks[a]?.first));
  for (const i of order) {
    const mark = marks[i];
    if (!mark || !within(around(mark, edgePx, edgePx), frame)) continue;
    const others = marks.filter((one) => one !== mark).map((one) => around(one, asidePx, abovePx));
    const clear = others.map((box) => shrunk(box, -apartPx));
    for (const { box: beside, name } of choicesBeside(shortened(mark.name))) {
      const box = { ...beside, x: mark.x + beside.x, y: mark.y + beside.y };
      const hasRoom = within(box, shrunk(frame, 3)) && ![...spoken, ...clear].some((one) => overlap(box, one));
      if (!hasRoom || (name.line && goesOver(mark, name.line, [...others, ...spoken]))) continue;
      spoken.push(box);
      found[i] = name;
      break;
    }
  }
  return found;
};
