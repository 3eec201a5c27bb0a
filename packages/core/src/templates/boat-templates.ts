import type { Boat, BoatTemplate, Station, Way } from '@grey-keel/model';

/** What is usual on one kind of boat. Draught, keel, propellers and offsets are of one boat alone and never in it. */
export interface UsualBoat {
  /** What the kind itself says: chosen with it, so never assumed. */
  readonly kind: Pick<Boat, 'hullForm' | 'propulsion'>;
  readonly boat: Required<
    Pick<Boat, 'lengthM' | 'beamM' | 'hullMaterial' | 'cruiseSpeedMps' | 'topSpeedMps' | 'systemVoltageV' | 'bowMotor'>
  >;
  readonly stations: Readonly<Record<string, Station>>;
  readonly ways: readonly Way[];
}

const helm = (posture: Station['posture'], viewingDistanceM: number): Station => ({
  name: 'Helm',
  viewingDistanceM,
  posture,
});
const bow: Station = { name: 'Bow', viewingDistanceM: 1.2, posture: 'standing' };

const knotsMps = (knots: number): number => Math.round(((knots * 1852) / 3600) * 100) / 100;

const onTheWay: readonly Way[] = ['running', 'searching', 'trolling', 'drifting'];

/** One row: hull and propulsion, length and beam in metres, cruise and top speed in knots, stations and ways. */
const usual = (
  [hullForm, propulsion, hullMaterial]: readonly [Boat['hullForm'], Boat['propulsion'], Boat['hullMaterial']],
  [lengthM, beamM, cruiseKn, topKn]: readonly [number, number, number, number],
  stations: UsualBoat['stations'],
  ways: readonly Way[],
): UsualBoat => ({
  kind: { hullForm, propulsion },
  boat: {
    lengthM,
    beamM,
    hullMaterial,
    cruiseSpeedMps: knotsMps(cruiseKn),
    topSpeedMps: knotsMps(topKn),
    systemVoltageV: 12,
    // A station at the bow of such a boat is where the motor is worked.
    bowMotor: 'bow' in stations,
  },
  stations,
  ways,
});

/** Round figures, for a beginning; each is shown as assumed until it is confirmed. */
export const usualBoats: Readonly<Record<BoatTemplate, UsualBoat>> = {
  'open boat, one outboard': usual(
    ['planing monohull', 'single outboard', 'solid laminate'],
    [5.5, 2.1, 20, 30],
    { helm: helm('both', 0.8) },
    [...onTheWay, 'trailer'],
  ),
  'open boat, bow motor': usual(
    ['planing monohull', 'single outboard', 'aluminium'],
    [5.5, 2.2, 22, 35],
    { helm: helm('seated', 0.8), bow },
    ['running', 'searching', 'on the spot', 'casting', 'trailer'],
  ),
  'cabin boat, twin outboards': usual(
    ['planing monohull', 'twin outboards', 'cored composite'],
    [8.5, 2.8, 24, 38],
    { helm: helm('both', 0.9) },
    [...onTheWay, 'anchored'],
  ),
  'cabin boat, sterndrive': usual(
    ['planing monohull', 'sterndrive', 'solid laminate'],
    [7.5, 2.6, 20, 30],
    { helm: helm('seated', 0.8) },
    [...onTheWay, 'anchored'],
  ),
  'catamaran, twin outboards': usual(
    ['catamaran', 'twin outboards', 'solid laminate'],
    [7.5, 2.5, 22, 34],
    { helm: helm('both', 0.9) },
    [...onTheWay, 'trailer'],
  ),
  'flat-bottomed, electric': usual(
    ['flat-bottomed', 'electric', 'aluminium'],
    [4.3, 1.5, 4, 6],
    { helm: helm('seated', 0.7) },
    ['searching', 'trolling', 'casting', 'anchored', 'trailer'],
  ),
  'displacement, inboard shaft': usual(
    ['displacement', 'inboard shaft', 'solid laminate'],
    [9, 3, 6, 8],
    { helm: helm('standing', 0.9) },
    [...onTheWay, 'anchored'],
  ),
};
