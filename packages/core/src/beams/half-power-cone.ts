import type { Beam, Element, WorkingStep } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { beamwidthLevel } from './beamwidth-level.ts';
import { beamwidth } from './beamwidth.ts';
import { argumentAtLevel } from './directivity.ts';

/** The level at which every cone is drawn and compared. */
export const drawnLevelDb = -3;

export interface DrawnCone {
  readonly acrossDeg: number;
  /** Along the boat: the same for a cone, the narrow width for a fan. */
  readonly alongDeg: number;
  readonly working: readonly WorkingStep[];
}

const fanWidth = (direction: string, widthDeg: number, levelDb: number): WorkingStep => {
  const quoted = argumentAtLevel('line', levelDb);
  const wanted = argumentAtLevel('line', drawnLevelDb);
  return {
    says: `Width ${direction} the fan at ${drawnLevelDb} dB`,
    symbol: 'theta2',
    value: (Math.asin((Math.sin((widthDeg * Math.PI) / 360) * wanted) / quoted) * 360) / Math.PI,
    unit: '°',
    expression: '2 * asin(sin(theta1 / 2 * pi / 180) * x2 / x1) * 180 / pi',
    method: null,
    inputs: [
      { symbol: 'theta1', value: widthDeg, unit: '°', meaning: `width at ${levelDb} dB` },
      { symbol: 'x1', value: quoted, unit: '', meaning: `where sin(x) / x has fallen to ${levelDb} dB` },
      { symbol: 'x2', value: wanted, unit: '', meaning: `where sin(x) / x has fallen to ${drawnLevelDb} dB` },
    ],
    source: 'pattern of a uniform line, Urick 1983, ch. 3',
  };
};

const convert = (beam: Beam): DrawnCone => {
  if (beam.levelDb >= drawnLevelDb)
    return { acrossDeg: beam.beamwidthDeg, alongDeg: beam.alongDeg ?? beam.beamwidthDeg, working: [] };
  if (beam.alongDeg !== null) {
    const along = fanWidth('along', beam.alongDeg, beam.levelDb);
    const across = fanWidth('across', beam.beamwidthDeg, beam.levelDb);
    return { acrossDeg: across.value, alongDeg: along.value, working: [along, across] };
  }
  const answer = answerOf(beamwidthLevel, {
    beamwidthDeg: beam.beamwidthDeg,
    fromLevelDb: beam.levelDb,
    toLevelDb: drawnLevelDb,
  });
  return { acrossDeg: answer.beamwidthDeg, alongDeg: answer.beamwidthDeg, working: answer.working };
};

/** Beams never change in place, so what was worked out for one holds as long as it lives. */
const drawn = new WeakMap<Beam, DrawnCone>();

/**
 * A beam's width at -3 dB, whatever level it is quoted at (between -20 and -3 dB; a width quoted above -3 dB may have
 * none and is then left as quoted). Cones as discs, the narrow width of a fan as a line.
 */
export const halfPowerCone = (beam: Beam): DrawnCone => {
  const before = drawn.get(beam);
  if (before) return before;
  const cone = convert(beam);
  drawn.set(beam, cone);
  return cone;
};

export interface SheetCheck {
  /** What the face would give at the quoted level. */
  readonly expectedDeg: number;
  readonly expected: Answer<{ beamwidthDeg: number }>;
  /** The usual level at which sheet and face agree best, and how far they are then apart as a fraction. */
  readonly likelyLevelDb: number;
  readonly departure: number;
  /** The same at the level that is quoted. */
  readonly departureAsQuoted: number;
}

const usualLevelsDb = [-3, -6, -10] as const;

/** Checks a quoted cone against the face it comes from. Null where the face is unknown, a fan, or of constant beamwidth. */
export const checkSheet = (element: Element, beam: Beam, soundSpeedMps: number): SheetCheck | null => {
  const { apertureM } = element;
  if (apertureM === null || element.constantBeamwidth || beam.alongDeg !== null) return null;
  const at = (levelDb: number) => {
    const x = argumentAtLevel('piston', levelDb);
    if (x > (Math.PI * apertureM * beam.frequencyHz) / soundSpeedMps) return null;
    const answer = answerOf(beamwidth, {
      shape: 'piston',
      apertureM,
      frequencyHz: beam.frequencyHz,
      soundSpeedMps,
      levelDb,
    });
    return { levelDb, answer, departure: Math.abs(answer.beamwidthDeg / beam.beamwidthDeg - 1) };
  };
  const quoted = at(beam.levelDb);
  if (!quoted) return null;
  const best = usualLevelsDb.reduce((found, levelDb) => {
    const other = at(levelDb);
    return other && other.departure < found.departure ? other : found;
  }, quoted);
  return {
    expectedDeg: quoted.answer.beamwidthDeg,
    expected: quoted.answer,
    likelyLevelDb: best.levelDb,
    departure: best.departure,
    departureAsQuoted: quoted.departure,
  };
};
