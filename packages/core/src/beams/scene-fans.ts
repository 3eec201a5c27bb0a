import type { ForwardSetting, PlacedFish, Plan, Transducer, WorkingStep } from '@grey-keel/model';
import { bottomBackscatterDb } from '../acoustics/backscatter.ts';
import { targetStrengthDb } from '../acoustics/target-strength.ts';
import { calculate } from '../calculation/calculation.ts';
import { faceDepthM, inOrder } from '../plan/working-water.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { requirementsOf, type Requirements } from './requirements.ts';
import { elementAcoustics, fanOffAxisDb, type ElementAcoustics } from './element-acoustics.ts';
import { coveredAhead, usualForward, type AheadUnit } from './forward-fan.ts';
import { groundRange } from './ground-range.ts';
import { beamRangeTerms, requiredSnrDb, targetSnrDb, type BeamRangeTerms } from './beam-range.ts';
import { sideFanFromDownDeg } from './section.ts';
import { shadowLengthM } from './side-scan-shadow.ts';
import { workingBeamOf } from './working-beam.ts';

const radian = Math.PI / 180;

/** How high a fish is for its length, roughly. */
const bodyHeight = 0.25;

/** An echo this far over the bottom's at the same range still stands out in an image. */
const overBottomDb = 3;

/** What one fan makes of one fish. */
export interface FanSeen {
  readonly beamId: string;
  readonly beam: string;
  /** `hidden`: in the echo of the bottom at the same range. `outside`: where the fan does not look. */
  readonly state: 'seen' | 'faint' | 'hidden' | 'outside';
  /** From the face to the fish, and where the picture draws it: out to the side, down, or ahead. */
  readonly slantM: number;
  readonly drawnM: number;
  /** Nearer than the bottom: a side-scan picture draws it in the water column, beside nothing. */
  readonly inWaterColumn: boolean;
  /** Where it truly is in that direction. */
  readonly trueM: number;
  /** For a side-looking fan, where on the bottom its shadow lies, from and to, beyond the fish; null where it has none. */
  readonly shadowM: readonly [number, number] | null;
  readonly snrDb: number;
  readonly working: readonly WorkingStep[];
}

export interface SceneFan {
  readonly id: string;
  readonly name: string;
  readonly kind: 'side-scan' | 'down fan' | 'forward-facing' | 'sector';
  readonly series: number;
  readonly faceM: number;
  readonly starboardM: number;
  readonly forwardM: number;
  readonly acrossDeg: number;
  readonly alongDeg: number;
  /** By fish. */
  readonly seen: Readonly<Record<string, FanSeen>>;
}

export const looksAhead = (fan: SceneFan): fan is SceneFan & AheadUnit =>
  fan.kind === 'forward-facing' || fan.kind === 'sector';

interface Looking {
  readonly id: string;
  readonly transducer: Transducer;
  readonly acoustics: ElementAcoustics;
  readonly terms: BeamRangeTerms;
  readonly faceM: number;
}

/** Signal of the fish over that of the bottom at the same slant range, dB; infinite before the first bottom. */
const overBottom = (
  it: Looking,
  requirements: Requirements,
  slantM: number,
  belowM: number,
  fishDb: number,
  axisDeg: number,
): number => {
  if (slantM <= belowM) return Number.POSITIVE_INFINITY;
  const grazing = Math.asin(belowM / slantM);
  const area = (slantM * it.acoustics.shape.alongDeg * radian * it.terms.resolutionM) / Math.cos(grazing);
  const level = fanOffAxisDb(it.acoustics.shape, 90 - grazing / radian - axisDeg, 0);
  return fishDb - (bottomBackscatterDb(requirements.hardest, grazing / radian) + 10 * Math.log10(area) + 2 * level);
};

const stateOf = (snrDb: number, contrastDb: number): FanSeen['state'] =>
  snrDb < requiredSnrDb ? 'faint' : contrastDb < overBottomDb ? 'hidden' : 'seen';

/** A fan that sweeps the bottom beside or below as the boat passes: what counts is across, not along. */
const passedBy = (
  it: Looking,
  requirements: Requirements,
  depthM: number,
  rollDeg: number,
  fish: PlacedFish,
): FanSeen => {
  const { transducer, acoustics, terms, faceM } = it;
  const side = transducer.kind === 'side-scan';
  const toStarboard = fish.starboardM - transducer.starboardM;
  const across = Math.abs(toStarboard);
  const down = fish.depthM - faceM;
  const belowM = Math.max(0.05, depthM - faceM);
  const slantM = Math.max(0.05, Math.hypot(across, down));
  const fromDownDeg = Math.atan2(across, down) / radian;
  // A boat that leans to starboard looks to port: its starboard fan comes nearer to straight down.
  const axisDeg = (side ? sideFanFromDownDeg : 0) - Math.sign(toStarboard) * rollDeg;
  const patternDb = fanOffAxisDb(acoustics.shape, fromDownDeg - axisDeg, 0);
  const strengthDb = targetStrengthDb('love-dorsal', fish.lengthCm, acoustics.frequencyHz);
  const onAxisDb = targetSnrDb(terms, strengthDb, slantM);
  const snrDb = onAxisDb + 2 * patternDb;
  const contrastDb = overBottom(it, requirements, slantM, belowM, strengthDb + 2 * patternDb, axisDeg);
  const targetHeightM = Math.max(0, depthM - fish.depthM);
  const flat = calculate(groundRange, { slantRangeM: slantM, heightM: belowM, targetHeightM });
  const shadow = (heightM: number): number => shadowLengthM(belowM, across, heightM);
  const overTheTop = shadow(targetHeightM + bodyHeight * (fish.lengthCm / 100));
  // A picture corrected for the water column takes every echo to lie on the bottom.
  const drawnM = side ? Math.sqrt(Math.max(0, slantM ** 2 - belowM ** 2)) : faceM + slantM;
  return {
    beamId: it.id,
    beam: transducer.name,
    state: stateOf(snrDb, contrastDb),
    slantM,
    drawnM,
    trueM: side ? across : fish.depthM,
    inWaterColumn: side && slantM < belowM,
    shadowM: side && Number.isFinite(overTheTop) ? [shadow(targetHeightM), overTheTop] : null,
    snrDb,
    working: [
      ...(side && flat.ok ? flat.answer.working.slice(0, 1) : []),
      calculated(
        {
          says: side ? 'Where a picture that takes off the water column draws it' : 'Depth at which it is drawn',
          symbol: 'd',
          value: drawnM,
          unit: 'm',
          expression: side ? 'sqrt(max(0, s ^ 2 - h ^ 2))' : 'f + s',
          source: side ? 'Blondel 2009, ch. 2' : 'a fan draws every echo straight below',
        },
        given('s', slantM, 'm', 'slant range'),
        side
          ? given('h', belowM, 'm', 'height of the unit above the bottom')
          : given('f', faceM, 'm', 'depth of the face'),
      ),
      signal(snrDb, onAxisDb, patternDb),
    ],
  };
};

const signal = (snrDb: number, onAxisDb: number, patternDb: number): WorkingStep =>
  calculated(
    {
      says: 'Signal over noise, off the axis both ways',
      symbol: 'SNR',
      value: snrDb,
      unit: 'dB',
      expression: 'S0 + 2 * B',
      source: 'sonar equation, Urick 1983, ch. 2',
    },
    given('S0', onAxisDb, 'dB', 'on the axis at that range'),
    given('B', patternDb, 'dB', 'of the fan in that direction, one way'),
  );

/** A fan at the bow, as it is set: upright ahead or down, or lying flat. */
const ahead = (it: Looking, setting: ForwardSetting, depthM: number, fish: PlacedFish): FanSeen => {
  const { transducer, acoustics, terms, faceM } = it;
  const forward = fish.forwardM - transducer.forwardM;
  const across = fish.starboardM - transducer.starboardM;
  const down = fish.depthM - faceM;
  const slantM = Math.max(0.05, Math.hypot(forward, across, down));
  // A sector that is steered turns its beam to every side.
  const turning = transducer.kind === 'sector';
  const flat = turning || setting.mode === 'flat';
  const { acrossDeg: sectorDeg, alongDeg: thinDeg } = acoustics.shape;
  const { fromDownDeg, toDownDeg } = coveredAhead(
    { kind: turning ? 'sector' : 'forward-facing', acrossDeg: sectorDeg, alongDeg: thinDeg, faceM },
    setting,
    depthM,
  );
  const inPlaneDeg = turning
    ? 0
    : flat
      ? Math.atan2(across, forward) / radian
      : Math.atan2(forward, down) / radian - (fromDownDeg + toDownDeg) / 2;
  const offPlaneDeg = flat
    ? Math.asin(Math.min(1, Math.max(-1, down / slantM))) / radian - setting.tiltDeg
    : Math.asin(Math.min(1, Math.max(-1, across / slantM))) / radian;
  const inside =
    Math.abs(inPlaneDeg) <= sectorDeg / 2 && Math.abs(offPlaneDeg) <= thinDeg / 2 && slantM <= setting.rangeM;
  // Received beams are formed inside the sector, so only the thin side takes from the echo there.
  const patternDb = fanOffAxisDb(acoustics.shape, 0, Math.min(90, Math.abs(offPlaneDeg)));
  const strengthDb = targetStrengthDb('love-dorsal', fish.lengthCm, acoustics.frequencyHz);
  const onAxisDb = targetSnrDb(terms, strengthDb, slantM);
  const snrDb = onAxisDb + 2 * patternDb;
  const trueM = flat ? Math.hypot(forward, across) : forward;
  // The upright fan draws ahead and down in its own plane; the flat one knows the slant range only.
  const drawnM = flat ? slantM : Math.sign(forward) * Math.sqrt(Math.max(0, slantM ** 2 - down ** 2));
  return {
    beamId: it.id,
    beam: transducer.name,
    state: inside ? (snrDb < requiredSnrDb ? 'faint' : 'seen') : 'outside',
    slantM,
    drawnM,
    trueM,
    inWaterColumn: false,
    shadowM: null,
    snrDb,
    working: [
      calculated(
        {
          says: 'Slant range to the fish',
          symbol: 'r',
          value: slantM,
          unit: 'm',
          expression: 'sqrt(x ^ 2 + y ^ 2 + z ^ 2)',
          source: 'plane geometry',
        },
        given('x', across, 'm', 'to starboard of the face'),
        given('y', forward, 'm', 'forward of the face'),
        given('z', down, 'm', 'below the face'),
      ),
      signal(snrDb, onAxisDb, patternDb),
    ],
  };
};

/**
 * What the fans of a boat make of the fish put into its section: those that look to the side and down as it passes
 * them, over a flat bottom; those at the bow from where it lies. Null while the water is not described.
 */
export const fansAt = (
  plan: Plan,
  depthM: number,
  fish: Readonly<Record<string, PlacedFish>> = plan.fish,
): SceneFan[] | null => {
  const requirements = requirementsOf(plan);
  if (!requirements) return null;
  const setting = plan.scene.forward ?? usualForward(depthM);
  return inOrder(plan.transducers).flatMap(([id, transducer], series) => {
    const { kind } = transducer;
    if (kind === 'sounder') return [];
    const acoustics = elementAcoustics(transducer, workingBeamOf(transducer), depthM);
    const it: Looking = {
      id,
      transducer,
      acoustics,
      terms: beamRangeTerms(acoustics, transducer.mounting, requirements.conditions),
      faceM: Math.max(0, faceDepthM(plan, transducer.aboveKeelM) ?? 0),
    };
    const passes = kind === 'side-scan' || kind === 'down fan';
    return [
      {
        id,
        name: transducer.name,
        kind,
        series,
        faceM: it.faceM,
        starboardM: transducer.starboardM,
        forwardM: transducer.forwardM,
        acrossDeg: acoustics.shape.acrossDeg,
        alongDeg: acoustics.shape.alongDeg,
        seen: Object.fromEntries(
          inOrder(fish).map(([key, one]) => [
            key,
            passes ? passedBy(it, requirements, depthM, plan.scene.rollDeg, one) : ahead(it, setting, depthM, one),
          ]),
        ),
      },
    ];
  });
};
