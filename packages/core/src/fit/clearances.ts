import type { Equipment, Place, Plan, Transducer, WorkingStep } from '@grey-keel/model';
import { elementAcoustics } from '../beams/element-acoustics.ts';
import { sideFanFromDownDeg } from '../beams/section.ts';
import { keelLinesM } from '../beams/silhouette.ts';
import { workingBeamOf } from '../beams/working-beam.ts';
import { isSet } from '../plan/held-by.ts';
import { inOrder } from '../plan/working-water.ts';
import { given, calculated } from '../calculation/working-step.ts';

const radian = Math.PI / 180;
const geometry = 'plane geometry';

/** The pieces of equipment of a kind, in the order they were made. */
export const equipmentOf = (plan: Plan, ...kinds: Equipment['kind'][]): (readonly [string, Equipment])[] =>
  inOrder(plan.equipment).filter(([, { kind }]) => kinds.includes(kind));

const apartM = (a: Place, b: Place): number =>
  Math.hypot(a.forwardM - b.forwardM, a.starboardM - b.starboardM, a.aboveKeelM - b.aboveKeelM);

/** From a place to a piece of equipment, m: to the nearest of its line for what runs forward. */
export const awayFromM = (place: Place, piece: Equipment): number => {
  const along = Math.min(piece.runsForwardM ?? 0, Math.max(0, place.forwardM - piece.forwardM));
  return apartM(place, { ...piece, forwardM: piece.forwardM + along });
};

/** From a face to the tips of a propeller's blades, m. */
export const toBladeTips = (face: Place, propeller: Equipment): WorkingStep =>
  calculated(
    {
      says: 'From the face to the blades',
      symbol: 'd',
      value: apartM(face, propeller) - (propeller.propellerDiameterM ?? 0) / 2,
      unit: 'm',
      expression: 'sqrt(x ^ 2 + y ^ 2 + z ^ 2) - D / 2',
      source: geometry,
    },
    given('x', face.starboardM - propeller.starboardM, 'm', 'across'),
    given('y', face.forwardM - propeller.forwardM, 'm', 'along'),
    given('z', face.aboveKeelM - propeller.aboveKeelM, 'm', 'up and down'),
    given('D', propeller.propellerDiameterM ?? 0, 'm', `diameter of ${propeller.name}`),
  );

/** Something beside a side-looking fan that reaches below its face: how much of the fan it takes. */
export interface Blocked {
  readonly by: string;
  readonly side: 'port' | 'starboard';
  /** Of the fan's own width, degrees. */
  readonly lostDeg: number;
  readonly working: WorkingStep;
}

/** How far down something beside the face reaches, in boat coordinates. */
interface Obstruction {
  readonly name: string;
  readonly forwardM: number;
  readonly starboardM: number;
  readonly lowestM: number;
}

/** The fan passes something that stands so far ahead or astern of it. */
const passesM = 0.3;

const obstructions = (plan: Plan, ownId: string): Obstruction[] => [
  ...equipmentOf(plan, 'propeller', 'bow motor').map(([, one]) => ({
    name: one.name,
    forwardM: one.forwardM,
    starboardM: one.starboardM,
    lowestM: one.aboveKeelM - (one.propellerDiameterM ?? 0) / 2,
  })),
  ...inOrder(plan.transducers)
    .filter(([id]) => id !== ownId)
    .map(([, one]) => ({
      name: one.name,
      forwardM: one.forwardM,
      starboardM: one.starboardM,
      lowestM: one.aboveKeelM,
    })),
];

/** The keel of a V or a displacement hull, and the hulls of a catamaran, as far in from its sides as they are wide. */
const hulls = (plan: Plan, { forwardM, starboardM }: Transducer): Obstruction[] => {
  const { hullForm, beamM, lengthM } = plan.boat;
  if (lengthM === null || forwardM < 0 || forwardM > lengthM) return [];
  if (hullForm === 'planing monohull' || hullForm === 'displacement')
    return Math.abs(starboardM) > 0.02 ? [{ name: 'the keel', forwardM, starboardM: 0, lowestM: 0 }] : [];
  if (hullForm !== 'catamaran' || beamM === null) return [];
  const innerM = 0.2 * beamM;
  return [-1, 1]
    .filter((side) => Math.abs(starboardM - side * innerM) > 0.02)
    .map((side) => ({
      name: side < 0 ? 'the port hull' : 'the starboard hull',
      forwardM,
      starboardM: side * innerM,
      lowestM: 0,
    }));
};

/** Between what angles from straight down a side-scan's fan lies, on each side. */
export const sideFanEdgesDeg = (plan: Plan, transducer: Transducer): readonly [low: number, high: number] => {
  const { acrossDeg } = elementAcoustics(transducer, workingBeamOf(transducer), plan.working.depthM).shape;
  return [Math.max(0, sideFanFromDownDeg - acrossDeg / 2), Math.min(90, sideFanFromDownDeg + acrossDeg / 2)];
};

/**
 * What stands in a side-scan's view: seen from the face it covers the angles from level down to its own lowest edge,
 * and so much of the fan is lost. Angles in degrees from straight down; less than a degree is not counted.
 */
export const sideViewBlocked = (plan: Plan, id: string): Blocked[] => {
  const transducer = plan.transducers[id];
  if (transducer?.kind !== 'side-scan') return [];
  const [low, high] = sideFanEdgesDeg(plan, transducer);
  const astern = transducer.forwardM <= 0 ? [] : hulls(plan, transducer);
  return [...obstructions(plan, id), ...astern].flatMap((one): Blocked[] => {
    const across = Math.abs(one.starboardM - transducer.starboardM);
    const below = transducer.aboveKeelM - one.lowestM;
    if (Math.abs(one.forwardM - transducer.forwardM) > passesM || across < 0.02 || below <= 0) return [];
    const edgeDeg = Math.atan2(across, below) / radian;
    const lostDeg = high - Math.max(low, edgeDeg);
    if (lostDeg < 1) return [];
    return [
      {
        by: one.name,
        side: one.starboardM < transducer.starboardM ? 'port' : 'starboard',
        lostDeg,
        working: calculated(
          {
            says: 'Of the fan that is covered',
            symbol: 'l',
            value: lostDeg,
            unit: '°',
            expression: 'h - max(w, atan2(a, b) * 180 / pi)',
            source: geometry,
          },
          given('h', high, '°', 'upper edge of the fan from straight down'),
          given('w', low, '°', 'lower edge of the fan'),
          given('a', across, 'm', 'across to it'),
          given('b', below, 'm', 'it reaches below the face'),
        ),
      },
    ];
  });
};

/** An antenna, and the stations that save their marks by it and do not correct for where it stands. */
export interface MarkingAntenna {
  readonly id: string;
  readonly antenna: Equipment;
  readonly stationIds: readonly string[];
}

/** The antennas marks are saved by: where a station takes its position from, else the first aboard for every screen. */
export const markingAntennas = (plan: Plan): MarkingAntenna[] => {
  const antennas = equipmentOf(plan, 'position antenna');
  const [first] = antennas;
  return antennas
    .map(([id, antenna]) => ({
      id,
      antenna,
      stationIds: inOrder(plan.displays).flatMap(([stationId]) =>
        (plan.feeds[stationId]?.position?.sourceId ?? first?.[0]) === id && !isSet(plan, stationId, 'antenna-offset')
          ? [stationId]
          : [],
      ),
    }))
    .filter(({ stationIds }) => stationIds.length > 0);
};

/** How far a mark made at a station lies from what was below a transducer, when nothing corrects for it: a vector, m. */
export interface MarkShift {
  readonly forwardM: number;
  readonly starboardM: number;
  readonly byM: number;
  readonly working: WorkingStep;
}

/** From an antenna to a transducer: what is below the transducer is saved at the antenna, so each mark is off by this. */
export const markShift = (antenna: Place, transducer: Place): MarkShift => {
  const forwardM = transducer.forwardM - antenna.forwardM;
  const starboardM = transducer.starboardM - antenna.starboardM;
  const byM = Math.hypot(forwardM, starboardM);
  return {
    forwardM,
    starboardM,
    byM,
    working: calculated(
      {
        says: 'From the antenna to the transducer',
        symbol: 'v',
        value: byM,
        unit: 'm',
        expression: 'sqrt(f ^ 2 + s ^ 2)',
        source: geometry,
      },
      given('f', forwardM, 'm', 'forward'),
      given('s', starboardM, 'm', 'to starboard'),
    ),
  };
};

/** So near a keel line a face sits on it. */
const onKeelM = 0.05;

/** Off the vertical: what a fairing or bracket leaves of the hull's rise, or overdoes, for what is let into the hull. */
export const axisTiltDeg = (plan: Plan, { mounting, fairingDeg, starboardM }: Transducer): number => {
  if (mounting !== 'through-hull' && mounting !== 'shoot-through-hull') return 0;
  // On a keel line the bottom rises to both sides alike.
  if (keelLinesM(plan.boat)?.some((keel) => Math.abs(starboardM - keel) < onKeelM)) return 0;
  return Math.abs((plan.boat.deadriseDeg ?? 0) - (fairingDeg ?? 0));
};
