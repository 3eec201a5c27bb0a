import type { Boat } from '@grey-keel/model';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A boat's simple outlines in metres: from astern and from the side y is up from the waterline, in plan y is forward. */
export interface Silhouette {
  readonly astern: readonly (readonly Point[])[];
  readonly side: readonly (readonly Point[])[];
  readonly plan: readonly Point[];
  readonly lengthM: number;
  readonly beamM: number;
}

const point = (x: number, y: number): Point => ({ x, y });

/** Half-width of a planing bottom at its chines, of the beam. */
const chineAt = 0.46;

/** Out from the centreline to the keel of each hull of a catamaran, of the beam. */
const hullKeelAt = 0.36;

/** Where the boat's keel lines lie to starboard, m; null where they depend on a beam nobody gave. */
export const keelLinesM = ({ hullForm, beamM }: Pick<Boat, 'hullForm' | 'beamM'>): readonly number[] | null => {
  if (hullForm !== 'catamaran') return [0];
  return beamM === null ? null : [-hullKeelAt * beamM, hullKeelAt * beamM];
};

/** From beam, draught, freeboard and the height of the chines above the waterline. */
const sections: Record<Boat['hullForm'], (b: number, d: number, f: number, chine: number) => Point[][]> = {
  'planing monohull': (b, d, f, chine) => [
    [point(-b / 2, f), point(-b * chineAt, chine), point(0, -d), point(b * chineAt, chine), point(b / 2, f)],
  ],
  displacement: (b, d, f) => [
    [
      point(-b / 2, f),
      point(-b / 2, 0),
      point(-b * 0.36, -d * 0.5),
      point(-b * 0.06, -d * 0.72),
      point(-b * 0.04, -d),
      point(b * 0.04, -d),
      point(b * 0.06, -d * 0.72),
      point(b * 0.36, -d * 0.5),
      point(b / 2, 0),
      point(b / 2, f),
    ],
  ],
  catamaran: (b, d, f) =>
    [-1, 1].map((side) => [
      point(side * b * 0.5, f),
      point(side * b * 0.48, -d * 0.4),
      point(side * b * hullKeelAt, -d),
      point(side * b * 0.22, -d * 0.4),
      point(side * b * 0.2, f * 0.35),
      point(0, f * 0.35),
      point(0, f),
    ]),
  'flat-bottomed': (b, d, f) => [[point(-b / 2, f), point(-b * 0.42, -d), point(b * 0.42, -d), point(b / 2, f)]],
};

/** Simple outlines by hull form. Length, beam and draught left unknown are drawn in the usual proportions of small craft. */
export const silhouetteOf = (boat: Boat): Silhouette => {
  const length = boat.lengthM ?? 6;
  const beam = boat.beamM ?? length * 0.35;
  const draught = boat.draughtM ?? length * 0.06;
  const freeboard = 0.35 * beam;
  const sheer = freeboard * 1.35;
  const { deadriseDeg } = boat;
  const chine =
    deadriseDeg == null
      ? -draught * 0.25
      : Math.min(freeboard * 0.9, chineAt * beam * Math.tan((deadriseDeg * Math.PI) / 180) - draught);
  const cabin =
    boat.hullForm === 'displacement'
      ? [
          point(length * 0.3, freeboard),
          point(length * 0.32, freeboard * 2.6),
          point(length * 0.58, freeboard * 2.6),
          point(length * 0.62, freeboard),
        ]
      : [
          point(length * 0.42, freeboard),
          point(length * 0.46, freeboard * 2),
          point(length * 0.62, freeboard * 2),
          point(length * 0.68, freeboard),
        ];
  const house = boat.hullForm === 'flat-bottomed' ? [] : [cabin];
  return {
    lengthM: length,
    beamM: beam,
    astern: [
      ...sections[boat.hullForm](beam, draught, freeboard, chine),
      ...(house.length
        ? [
            [
              point(-beam * 0.3, freeboard),
              point(-beam * 0.26, freeboard * 2),
              point(beam * 0.26, freeboard * 2),
              point(beam * 0.3, freeboard),
            ],
          ]
        : []),
    ],
    side: [
      [
        point(0, freeboard),
        point(0, -draught * 0.7),
        point(length * 0.12, -draught),
        point(length * 0.72, -draught),
        point(length * 0.9, -draught * 0.3),
        point(length, sheer),
      ],
      ...house,
    ],
    plan: [
      point(-beam / 2, 0),
      point(-beam / 2, length * 0.55),
      point(-beam * 0.36, length * 0.8),
      point(0, length),
      point(beam * 0.36, length * 0.8),
      point(beam / 2, length * 0.55),
      point(beam / 2, 0),
    ],
  };
};
