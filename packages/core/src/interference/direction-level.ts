import type { ForwardSetting, Place, SonarKind } from '@grey-keel/model';
import type { BeamShape } from '../beams/element-acoustics.ts';
import { argumentAtLevel, halfPowerDb, linePattern, pistonPattern, type Shape } from '../beams/directivity.ts';
import { coveredAhead } from '../beams/forward-fan.ts';
import { sideFanFromDownDeg } from '../beams/section.ts';

const radian = Math.PI / 180;

/** A direction in boat coordinates: forward, starboard, down. */
export interface Direction {
  readonly forward: number;
  readonly starboard: number;
  readonly down: number;
}

export const towards = (from: Place, to: Place): Direction => ({
  forward: to.forwardM - from.forwardM,
  starboard: to.starboardM - from.starboardM,
  down: from.aboveKeelM - to.aboveKeelM,
});

/** Level of the highest side lobe, and where it stands, of a disc and of a line. Source: Urick 1983, ch. 3. */
const firstLobe = { piston: { db: -17.57, at: 5.136 }, line: { db: -13.26, at: 4.493 } } as const;
/** A pattern's lobes fall off no lower than this in front, and this behind its face, where body and hull stand. */
const floorDb = -60;
const behindDb = -80;
/** Behind its face a unit still sends something; in front of it the lobes are counted. */
const facing = -0.02;

/**
 * Level of a pattern at an argument as the crests of its lobes, dB: a interference does not wait in a null.
 * Source: asymptotes of sin x / x and 2 J1(x) / x.
 */
const crestDb = (shape: Shape, argument: number): number => {
  const x = Math.abs(argument);
  const lobe = firstLobe[shape];
  if (x < lobe.at) {
    const main = shape === 'piston' ? pistonPattern(x) : linePattern(x);
    // Between the main lobe and the first side lobe the crest of the latter is taken.
    return Math.max(lobe.db, main > 0 ? 20 * Math.log10(main) : lobe.db);
  }
  const crest = shape === 'piston' ? (2 * Math.sqrt(2 / (Math.PI * x))) / x : 1 / x;
  return Math.max(floorDb, Math.min(lobe.db, 20 * Math.log10(crest)));
};

const argument = (shape: Shape, widthDeg: number, sine: number): number =>
  (argumentAtLevel(shape, halfPowerDb) / Math.sin((Math.min(179, widthDeg) / 2) * radian)) * sine;

/** A fan about an axis: the part of the direction along its wide side and along its thin one, as sines. */
const fanDb = (shape: BeamShape, wide: number, thin: number, along: number): number =>
  along < facing
    ? behindDb
    : Math.max(
        floorDb,
        crestDb('line', argument('line', shape.acrossDeg, wide)) +
          crestDb('line', argument('line', shape.alongDeg, thin)),
      );

/** What a unit looks like from a direction: how it is mounted and set is in it. */
export interface Looks {
  readonly kind: SonarKind;
  readonly shape: BeamShape;
  readonly faceM: number;
  readonly setting: ForwardSetting;
  readonly depthM: number;
}

const middles = new WeakMap<Looks, number>();

/** From straight down to the middle of what a forward-facing fan covers: once for a unit, whatever direction is asked for. */
const middleRad = (looks: Looks): number => {
  const before = middles.get(looks);
  if (before !== undefined) return before;
  const { shape, faceM, setting, depthM } = looks;
  const unit = { kind: 'forward-facing' as const, acrossDeg: shape.acrossDeg, alongDeg: shape.alongDeg, faceM };
  const { fromDownDeg, toDownDeg } = coveredAhead(unit, setting, depthM);
  const middle = ((fromDownDeg + toDownDeg) / 2) * radian;
  middles.set(looks, middle);
  return middle;
};

/** One-way level of a unit in a direction against its axis, dB, from 0 to -80. */
export const directionLevelDb = (looks: Looks, direction: Direction): number => {
  const { kind, shape, setting } = looks;
  const length = Math.hypot(direction.forward, direction.starboard, direction.down);
  if (length === 0) return 0;
  const [f, s, d] = [direction.forward / length, direction.starboard / length, direction.down / length];
  switch (kind) {
    case 'sounder':
      if (d < facing) return behindDb;
      return shape.acrossDeg === shape.alongDeg
        ? crestDb('piston', argument('piston', shape.acrossDeg, Math.hypot(f, s)))
        : fanDb(shape, s, f, d);
    case 'down fan':
      return fanDb(shape, s, f, d);
    case 'side-scan': {
      const axis = sideFanFromDownDeg * radian;
      return Math.max(
        ...[-1, 1].map((side) => {
          const along = side * s * Math.sin(axis) + d * Math.cos(axis);
          const wide = side * s * Math.cos(axis) - d * Math.sin(axis);
          return fanDb(shape, wide, f, along);
        }),
      );
    }
    case 'forward-facing': {
      const middle = middleRad(looks);
      const along = f * Math.sin(middle) + d * Math.cos(middle);
      const up = f * Math.cos(middle) - d * Math.sin(middle);
      return setting.mode === 'flat' ? fanDb(shape, s, up, along) : fanDb(shape, up, s, along);
    }
    case 'sector': {
      // It turns to every side: only how far out of its plane the direction lies counts.
      const tilt = setting.tiltDeg * radian;
      const level = Math.hypot(f, s);
      return fanDb(
        { ...shape, acrossDeg: shape.alongDeg },
        0,
        d * Math.cos(tilt) - level * Math.sin(tilt),
        level * Math.cos(tilt) + d * Math.sin(tilt),
      );
    }
  }
};
