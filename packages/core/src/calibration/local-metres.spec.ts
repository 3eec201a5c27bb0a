import fc from 'fast-check';
import { metresFrom, overGround, placeFrom } from './local-metres.ts';

describe('metres on the water', () => {
  it('are a nautical mile to the minute of latitude, and less to that of longitude by its cosine', () => {
    const at = { latitudeDeg: 60, longitudeDeg: 179.99 };
    const mile = 1852;
    expect(metresFrom(at, { latitudeDeg: 60 + 1 / 60, longitudeDeg: 179.99 }).north).toBeCloseTo(mile, 6);
    // At 60° a minute of longitude is half a mile, over the date line, too.
    expect(metresFrom(at, { latitudeDeg: 60, longitudeDeg: 179.99 + 1 / 60 - 360 }).east).toBeCloseTo(mile / 2, 6);
  });

  it('go there and back', () => {
    const metres = fc.double({ min: -900, max: 900, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: -75, max: 75, noNaN: true }), metres, metres, (latitudeDeg, east, north) => {
        const origin = { latitudeDeg, longitudeDeg: 12 };
        const back = metresFrom(origin, placeFrom(origin, { east, north }));
        expect(back.east).toBeCloseTo(east, 6);
        expect(back.north).toBeCloseTo(north, 6);
      }),
    );
  });

  it('turn with the boat: ahead of one that points east lies east, starboard of it south; northward as on a chart', () => {
    for (const [headingDeg, east, north] of [
      [90, 5, -2],
      [0, 2, 5],
    ] as const) {
      const seen = overGround(headingDeg, { forwardM: 5, starboardM: 2 });
      expect(seen.east).toBeCloseTo(east, 9);
      expect(seen.north).toBeCloseTo(north, 9);
    }
  });
});
