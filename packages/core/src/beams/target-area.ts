import { polygonArea, polygonCentroid, polygonContains } from 'd3-polygon';
import { difference, intersection } from 'polyclip-ts';
import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { argumentAtLevel, halfPowerDb } from './directivity.ts';

const radian = Math.PI / 180;
const segments = 72;
/** A mark this far under its strength on the axis, one way, is still drawn, but weak. */
const weakLevelDb = -10;
const weakRatio = argumentAtLevel('piston', weakLevelDb) / argumentAtLevel('piston', halfPowerDb);

type Place = [number, number];

export const markStrengths = ['strong', 'weak', 'none'] as const;
export type MarkStrength = (typeof markStrengths)[number];

const place = z.tuple([z.number().min(-60).max(60), z.number().min(-60).max(60)]);

/** Full width at -10 dB of a disc whose half-power width is given, degrees; never over 170. */
export const weakWidthDeg = (beamwidthDeg: number): number => {
  const sine = Math.min(Math.sin(85 * radian), weakRatio * Math.sin((beamwidthDeg / 2) * radian));
  return Math.max((2 * Math.asin(sine)) / radian, beamwidthDeg);
};

/** A disc as a polygon that has the disc's own area. */
const disc = ([x, y]: Place, radius: number): Place[] => {
  const turn = (2 * Math.PI) / segments;
  const out = radius * Math.sqrt(turn / Math.sin(turn));
  return Array.from({ length: segments }, (_, i) => [x + out * Math.cos(i * turn), y + out * Math.sin(i * turn)]);
};

const nearestOn = ([px, py]: Place, [ax, ay]: Place, [bx, by]: Place): Place => {
  const [dx, dy] = [bx - ax, by - ay];
  const length = dx * dx + dy * dy;
  const share = length === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / length));
  return [ax + share * dx, ay + share * dy];
};

/** An area that lies round more than this, seen from there, gives no direction. */
const roundDeg = 300;

/** How wide edges lie round about, seen from a place: all round less the widest gap between the bearings they fill. */
const widthSeen = (edges: readonly (readonly [Place, Place])[], [x, y]: Place): number => {
  const bearing = ([px, py]: Place): number => (Math.atan2(py - y, px - x) / radian + 360) % 360;
  // Each edge fills the shorter way between the bearings of its ends.
  const filled = edges
    .map(([from, to]) => {
      const start = bearing(from);
      const turn = ((bearing(to) - start + 540) % 360) - 180;
      return turn >= 0 ? ([start, turn] as const) : ([(start + turn + 360) % 360, -turn] as const);
    })
    .sort((a, b) => a[0] - b[0]);
  const first = filled[0];
  if (!first) return 0;
  let [end, widest] = [first[0] + first[1], 0];
  for (const [start, turn] of filled.slice(1)) {
    widest = Math.max(widest, start - end);
    end = Math.max(end, start + turn);
  }
  return 360 - Math.max(widest, first[0] + 360 - end);
};

/**
 * Where a mark must be, from which of any number of beams show it and how strong: inside the half-power cones that
 * show it strong, between half power and -10 dB of those that show it weak, outside the half-power cones of those that
 * do not show it. Places are [forward, starboard] in metres, the mark's depth below the faces. The move is the least
 * that brings `fromAtM` over the area; where that lies all round, its length is known and its direction is not. Source: plane geometry; polygons cut by Martinez, Rueda and Feito 2009.
 */
export const targetArea = defineCalculation({
  name: 'target-area',
  purpose: 'Where a mark must be, from which of several beams show it, and the least move over it',
  version: 2,
  input: z.strictObject({
    beams: z
      .array(
        z.strictObject({
          beamwidthDeg: z.number().min(0.01).max(170),
          atM: place.default([0, 0]),
          shows: z.enum(markStrengths),
        }),
      )
      .min(1)
      .max(12),
    depthM: z.number().min(0.01).max(2000),
    fromAtM: z.tuple([z.number().min(-5000).max(5000), z.number().min(-5000).max(5000)]).default([0, 0]),
    /** True heading of the bow, for the bearing of the move. */
    headingDeg: z.number().min(0).max(360).default(0),
  }),
  output: z.strictObject({
    areaM2: z.number(),
    /** Rings of [forward, starboard]; in each polygon the first is its edge and the others are holes. */
    polygons: z.array(z.array(z.array(z.tuple([z.number(), z.number()])))),
    moveForwardM: z.number().nullable(),
    moveStarboardM: z.number().nullable(),
    moveM: z.number().nullable(),
    bearingDeg: z.number().nullable(),
    farthestM: z.number().nullable(),
    /** How wide the area lies round about, seen from there, degrees: over 300 no direction is known. Null for no area. */
    directionWidthDeg: z.number().nullable(),
    centreM: place.nullable(),
  }),
  run: ({ beams, depthM, fromAtM, headingDeg }) => {
    const shown = beams.filter(({ shows }) => shows !== 'none');
    const inner = ({ beamwidthDeg, atM }: (typeof beams)[number]): Place[] =>
      disc(atM, depthM * Math.tan((beamwidthDeg / 2) * radian));
    const wanted = shown.map((beam) => [
      beam.shows === 'weak'
        ? disc(beam.atM, depthM * Math.tan((weakWidthDeg(beam.beamwidthDeg) / 2) * radian))
        : inner(beam),
    ]);
    const without = beams.filter(({ shows }) => shows !== 'strong').map((beam) => [inner(beam)]);
    const [first, ...rest] = wanted;
    const common = first ? intersection(first, ...rest) : [];
    const cut = common.length && without.length ? difference(common, ...without) : common;
    const polygons = cut.map((rings) => rings.map((ring) => ring.map(([x, y]): Place => [x, y])));

    const areas = polygons.map(([edge = [], ...holes]) =>
      holes.reduce((sum, hole) => sum - Math.abs(polygonArea(hole)), Math.abs(polygonArea(edge))),
    );
    const areaM2 = areas.reduce((sum, area) => sum + area, 0);
    const inside = polygons.some(
      ([edge = [], ...holes]) =>
        polygonContains(edge, fromAtM) && !holes.some((hole) => polygonContains(hole, fromAtM)),
    );
    const away = ([x, y]: Place): number => Math.hypot(x - fromAtM[0], y - fromAtM[1]);
    const edges = polygons.flatMap((rings) =>
      rings.flatMap((ring) => ring.map((to, i) => [ring.at(i - 1) ?? to, to] as const)),
    );
    const nearest = inside
      ? fromAtM
      : edges
          .map(([from, to]) => nearestOn(fromAtM, from, to))
          .reduce<Place | null>((best, one) => (best && away(best) <= away(one) ? best : one), null);
    const farthestM = edges.length ? Math.max(...edges.map(([, to]) => away(to))) : null;
    const directionWidthDeg = edges.length ? (inside ? 360 : widthSeen(edges, fromAtM)) : null;
    const directed = directionWidthDeg !== null && (inside || directionWidthDeg <= roundDeg);
    const forward = nearest && nearest[0] - fromAtM[0];
    const starboard = nearest && nearest[1] - fromAtM[1];
    const inputs = [
      given('d', depthM, 'm', 'depth of the mark below the faces'),
      ...beams.map(({ beamwidthDeg, shows }, i) =>
        given(`w${i + 1}`, beamwidthDeg, '°', `cone ${i + 1} shows it ${shows === 'none' ? 'not at all' : shows}`),
      ),
    ];
    const step = (says: string, symbol: string, value: number, unit: string, method: string): WorkingStep => ({
      says,
      symbol,
      value,
      unit,
      expression: null,
      method,
      inputs,
      source: 'plane geometry; Martinez, Rueda and Feito 2009',
    });
    const largest = polygons[areas.indexOf(Math.max(...areas))]?.[0];
    return {
      areaM2,
      polygons,
      moveForwardM: directed ? forward : null,
      moveStarboardM: directed ? starboard : null,
      moveM: nearest && away(nearest),
      bearingDeg:
        forward === null || starboard === null || inside || !directed
          ? null
          : (((headingDeg + Math.atan2(starboard, forward) / radian) % 360) + 360) % 360,
      farthestM,
      directionWidthDeg,
      centreM: largest ? polygonCentroid(largest) : null,
      flags: !shown.length
        ? ['No beam shows it: it may be anywhere outside them all.']
        : areaM2 === 0
          ? ['No place fits all of that: one of the beams was read wrongly, or the fish moved.']
          : [],
      working: [
        step('Water in which the mark must be', 'A', areaM2, 'm²', 'area left when the discs are cut by one another'),
        ...(nearest ? [step('Least distance to move', 'm', away(nearest), 'm', 'the nearest point of that area')] : []),
      ],
    };
  },
});

/** A move in words: "3.2 m (0.4 boat lengths) ahead and 1.0 m (0.1 boat lengths) to port". Metres in, words for each way. */
export const moveInParts = (
  forwardM: number,
  starboardM: number,
): { readonly metres: number; readonly towards: 'ahead' | 'astern' | 'to starboard' | 'to port' }[] => {
  const parts = [
    { metres: Math.abs(forwardM), towards: forwardM < 0 ? ('astern' as const) : ('ahead' as const) },
    { metres: Math.abs(starboardM), towards: starboardM < 0 ? ('to port' as const) : ('to starboard' as const) },
  ];
  return parts.filter(({ metres }) => metres >= 0.05);
};
