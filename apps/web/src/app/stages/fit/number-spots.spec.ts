import { numberSpots } from './number-spots.ts';

const frame = { x: 0, y: 0, w: 400, h: 300 };
const stays = { x: 0, y: 0 };

describe('the numbers of marks', () => {
  it('stand in their marks while none lies on another', () => {
    expect(
      numberSpots(
        [
          { x: 50, y: 50 },
          { x: 90, y: 50 },
        ],
        frame,
      ),
    ).toEqual([stays, stays]);
  });

  it('step aside where a mark lies on theirs, clear of every mark, of one another and of the edge', () => {
    const marks = [
      { x: 200, y: 12 },
      { x: 205, y: 14 },
      { x: 198, y: 18 },
      { x: 232, y: 12 },
    ];
    const spots = numberSpots(marks, frame);
    expect(spots.slice(2)).toEqual([stays, stays]);
    const [first, second] = [0, 1].map((i) => ({ x: marks[i]!.x + spots[i]!.x, y: marks[i]!.y + spots[i]!.y }));
    for (const spot of [first!, second!]) {
      expect(spot.y).toBeGreaterThan(8);
      for (const mark of marks) expect(Math.abs(spot.x - mark.x) >= 14 || Math.abs(spot.y - mark.y) >= 14).toBeTrue();
    }
    expect(Math.hypot(first!.x - second!.x, first!.y - second!.y)).toBeGreaterThan(11);
  });

  it('of what is looked at stays, and that of what it lies on steps aside', () => {
    const spots = numberSpots(
      [
        { x: 100, y: 100 },
        { x: 104, y: 100 },
      ],
      frame,
      0,
    );
    expect(spots[0]).toEqual(stays);
    expect(spots[1]).not.toEqual(stays);
  });
});
