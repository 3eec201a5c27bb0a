import fc from 'fast-check';
import { marksApart } from './marks-apart.ts';

const frame = { x: 100, y: 50, w: 400, h: 300 };
const least = 26;
const places = fc.array(
  fc.record({ x: fc.double({ min: 120, max: 480, noNaN: true }), y: fc.double({ min: 70, max: 330, noNaN: true }) }),
  { maxLength: 10 },
);

describe('marks that lie on one another', () => {
  it('are drawn apart, within their frame, and always so', () => {
    fc.assert(
      fc.property(places, (marks) => {
        const spots = marksApart(marks, frame, least);
        expect(spots.length).toBe(marks.length);
        spots.forEach((a, i) => {
          expect(a.x >= frame.x && a.x <= frame.x + frame.w && a.y >= frame.y && a.y <= frame.y + frame.h).toBeTrue();
          for (const b of spots.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(least - 3);
        });
        expect(marksApart(marks, frame, least)).toEqual(spots);
      }),
    );
  });

  it('leave what is looked at in its place, and what is far from all others', () => {
    const marks = [
      { x: 200, y: 200 },
      { x: 200, y: 200 },
      { x: 205, y: 198 },
      { x: 400, y: 300 },
    ];
    const spots = marksApart(marks, frame, least, 1);
    expect(spots[1]).toEqual({ x: 200, y: 200 });
    expect(Math.hypot(spots[3]!.x - 400, spots[3]!.y - 300)).toBeLessThan(0.5);
    for (const i of [0, 2]) {
      const fromHeld = Math.hypot(spots[i]!.x - 200, spots[i]!.y - 200);
      expect(fromHeld).toBeGreaterThan(least - 3);
      // No farther from home than there is need for.
      expect(fromHeld).toBeLessThan(2 * least);
    }
  });

  it('stay where they are while none lies on another', () => {
    const marks = [
      { x: 200, y: 200 },
      { x: 227, y: 200 },
    ];
    expect(marksApart(marks, frame, least)).toEqual(marks);
  });
});
