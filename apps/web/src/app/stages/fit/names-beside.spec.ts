import fc from 'fast-check';
import type { Point } from '@grey-keel/core';
import { namesBeside, type Box, type NameBeside } from './names-beside.ts';

const frame = { x: 100, y: 50, w: 400, h: 300 };
const mark = (x: number, y: number, name = 'Bow motor', first = false) => ({ x, y, name, first });
const marks = fc.array(
  fc.record({
    x: fc.integer({ min: 110, max: 490 }),
    y: fc.integer({ min: 60, max: 340 }),
    name: fc.string({ minLength: 1, maxLength: 40 }),
    first: fc.boolean(),
  }),
  { maxLength: 14 },
);

/** What a drawing of letters of 12 px fills, told by another way than where they were put: from the text as it is drawn. */
const drawn = (mark: Point, name: NameBeside): Box => {
  const [x, w] = [mark.x + name.x, 6 * name.words.length];
  return {
    x: name.anchor === 'start' ? x : name.anchor === 'end' ? x - w : x - w / 2,
    y: mark.y + name.y - 11,
    w,
    h: 14,
  };
};
const apart = (a: Box, b: Box): boolean =>
  Math.max(a.x - (b.x + b.w), b.x - (a.x + a.w), a.y - (b.y + b.h), b.y - (a.y + a.h)) >= -1e-9;
const disc = (at: { x: number; y: number }, half: number): Box => ({
  x: at.x - half,
  y: at.y - half,
  w: 2 * half,
  h: 2 * half,
});

describe('names beside marks', () => {
  it('lie over no mark, no other name and nothing taken, and within the frame, however thick the marks lie', () => {
    const taken = { x: 100, y: 50, w: 130, h: 30 };
    fc.assert(
      fc.property(marks, (all) => {
        const names = namesBeside(all, frame, [taken]);
        expect(names.length).toBe(all.length);
        const boxes = names.map((name, i) => (name ? drawn(all[i]!, name) : null));
        boxes.forEach((box, i) => {
          if (!box) return;
          expect(box.x >= 100 && box.x + box.w <= 500 && box.y >= 50 && box.y + box.h <= 350).toBeTrue();
          expect(apart(box, taken)).toBeTrue();
          all.forEach((one, j) => expect(apart(box, disc(one, j === i ? 9 : 15))).toBeTrue());
          boxes.forEach((other, j) => expect(i === j || other === null || apart(box, other)).toBeTrue());
        });
      }),
    );
  });

  it('stand at the right of a mark, at the left where the frame ends, and have a line where they are farther off', () => {
    expect(namesBeside([mark(300, 200)], frame)[0]).toEqual(jasmine.objectContaining({ anchor: 'start', line: null }));
    expect(namesBeside([mark(480, 200)], frame)[0]).toEqual(jasmine.objectContaining({ anchor: 'end', line: null }));
    // Marks all around, but for one gap above.
    const ring = [-60, -30, 30, 60].flatMap((dx) => [0, -22, 22].map((dy) => mark(300 + dx, 200 + dy, 'x'.repeat(22))));
    const [far] = namesBeside([mark(300, 200, 'Middle', true), ...ring, mark(300, 222, 'x'.repeat(22))], frame);
    expect(far?.line).not.toBeNull();
    expect(far!.y).toBeLessThan(-22);
  });

  it('are shortened where they are long, and the first have the room there is', () => {
    const [name] = namesBeside([mark(300, 200, 'Transom narrow with a name that goes on')], frame);
    expect(name?.words).toBe('Transom narrow with a…');
    const little = { x: 0, y: 0, w: 130, h: 26 };
    const two = (first: boolean) => namesBeside([mark(30, 13, 'Aft', !first), mark(62, 13, 'Fore', first)], little);
    expect(two(true).map((one) => one !== null)).toEqual([false, true]);
    expect(namesBeside([mark(30, 13, 'Aft')], little)[0]).not.toBeNull();
    // One that lies beyond the frame is not drawn there, and has no name there.
    expect(namesBeside([mark(700, 13)], little)).toEqual([null]);
  });
});
