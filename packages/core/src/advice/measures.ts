import type { Beam, Criterion, Mounting } from '@grey-keel/model';
import { blankingM, ringingOf } from '../acoustics/ring-down.ts';
import { targetStrengthDb } from '../acoustics/target-strength.ts';
import {
  deepestAcoustics,
  elementAcoustics,
  resolutionOf,
  type Derived,
  type ElementAcoustics,
} from '../beams/element-acoustics.ts';
import {
  bottomReachM,
  bottomSnrDb,
  beamRangeTerms,
  requiredSnrDb,
  targetReachM,
  targetSnrDb,
  traceSnrDb,
  type BeamRangeTerms,
} from '../beams/beam-range.ts';
import type { Candidate } from './candidate.ts';
import type { Requirements } from '../beams/requirements.ts';

const radian = Math.PI / 180;

/** One beam of a candidate in this boat's water. */
export interface BeamMeasures {
  readonly frequencyHz: number;
  readonly coneDeg: number;
  /** As it works at the working depth. */
  readonly acoustics: ElementAcoustics;
  /** With its longest pulse, which `terms` and every reach go by. */
  readonly deepest: ElementAcoustics;
  readonly mounting: Mounting;
  readonly terms: BeamRangeTerms;
  readonly targetStrengthDb: number;
  readonly reachM: number;
  readonly bottomReachM: number;
  readonly footprintM: number;
  readonly resolutionM: number;
  readonly deadZoneM: number;
  /** Below the face, while it sends and rings. */
  readonly blankM: number;
  /** The fastest it still reads the bottom at the working depth, up to the boat's top speed. */
  readonly holdsBottomToMps: number;
}

/** What a transducer, or several together, give this boat: of each thing the best any of their beams gives. */
export interface Measures {
  readonly reachM: number;
  readonly bottomReachM: number;
  /** Of the beam that reaches farthest, over what a fish wants, at the bottom of the boat's water. */
  readonly spareDb: number;
  /** Of the widest and of the narrowest cone that sees the fish at the working depth. */
  readonly footprintM: number;
  readonly detailM: number;
  readonly resolutionM: number;
  readonly deadZoneM: number;
  /** Right below the face nothing is seen: the least of those that see the fish. */
  readonly blankM: number;
  readonly holdsBottomToMps: number;
  readonly powerW: number;
  /** How easily it is fitted to this hull, 0 to 1: the hardest of several. */
  readonly fitting: number;
  readonly beams: readonly BeamMeasures[];
  readonly derived: readonly Derived[];
}

/** Hidden height on the downhill side of the usual slope, as the dead-zone calculation has it. */
const deadZoneAt = (coneDeg: number, depthM: number, slopeDeg: number, pulseM: number): number => {
  const half = Math.min(80 - slopeDeg, coneDeg / 2) * radian;
  const slope = slopeDeg * radian;
  const first = (depthM * Math.cos(slope)) / (slope <= half ? 1 : Math.cos(slope - half));
  return Math.max(0, depthM - (Math.max(0, first - pulseM) * Math.cos(half + slope)) / Math.cos(slope));
};

/** Pulse and ringing there and back, as the ring-down calculation has it. */
const blankOf = (
  { frequencyHz, bandwidthHz }: Beam,
  { pulseLengthS }: ElementAcoustics,
  soundSpeedMps: number,
): number => blankingM({ pulseLengthS, ringingS: ringingOf(frequencyHz, bandwidthHz) / frequencyHz, soundSpeedMps });

const speedSteps = 24;

/** A hole through a hull is work and a risk; how much depends on what the hull is made of. Our own round figures. */
const throughHull: Record<Requirements['hullMaterial'], number> = {
  'solid laminate': 0.7,
  wood: 0.7,
  aluminium: 0.5,
  steel: 0.5,
  'cored composite': 0.1,
};
/** In a small open boat the hole is where the feet are, and there is no dry bilge above it. */
const smallOpenM = 6;
const inSmallOpen = 0.4;
const fittingOf = ({ mounting }: Candidate, { hullMaterial, lengthM, open }: Requirements): number => {
  if (mounting !== 'through-hull') return 1;
  return throughHull[hullMaterial] * (open && lengthM !== null && lengthM < smallOpenM ? inSmallOpen : 1);
};

export const measuresOf = (candidate: Candidate, requirements: Requirements): Measures => {
  const { element, mounting } = candidate;
  const derived = new Set<Derived>();
  const beams = element.beams.map((beam): BeamMeasures => {
    const acoustics = elementAcoustics(element, beam, requirements.workingM);
    for (const one of acoustics.derived) derived.add(one);
    const deepest = deepestAcoustics(element, beam);
    const terms = beamRangeTerms(deepest, mounting, requirements.conditions);
    const strength = targetStrengthDb('love-dorsal', requirements.lengthCm, beam.frequencyHz);
    const coneDeg = acoustics.shape.acrossDeg;
    let holds = 0;
    for (let i = 1; i <= speedSteps; i++) {
      const boatSpeedMps = (requirements.topMps * i) / speedSteps;
      const running = beamRangeTerms(deepest, mounting, { ...requirements.conditions, boatSpeedMps });
      if (bottomSnrDb(running, requirements.softest, requirements.workingM) < traceSnrDb) break;
      holds = boatSpeedMps;
    }
    return {
      frequencyHz: beam.frequencyHz,
      coneDeg,
      acoustics,
      deepest,
      mounting,
      terms,
      targetStrengthDb: strength,
      reachM: targetReachM(terms, strength),
      bottomReachM: bottomReachM(terms, requirements.softest),
      footprintM: 2 * requirements.workingM * Math.tan((coneDeg / 2) * radian),
      resolutionM: resolutionOf(acoustics, requirements.conditions.soundSpeedMps),
      deadZoneM: deadZoneAt(
        coneDeg,
        requirements.workingM,
        requirements.slopeDeg,
        resolutionOf(acoustics, requirements.conditions.soundSpeedMps),
      ),
      blankM: blankOf(beam, acoustics, requirements.conditions.soundSpeedMps),
      holdsBottomToMps: holds,
    };
  });
  return {
    ...bestOf(beams, requirements),
    powerW: element.electricalPowerW ?? 0,
    fitting: fittingOf(candidate, requirements),
    beams,
    derived: [...derived],
  };
};

/** A cone that does not see the fish where it stands covers nothing there. */
export const seeingAt = (beams: readonly BeamMeasures[], { workingM }: Requirements): BeamMeasures[] =>
  beams.filter(({ terms, targetStrengthDb: strength }) => targetSnrDb(terms, strength, workingM) >= requiredSnrDb);

/** Over what a fish wants, at the bottom of the boat's water. */
export const spareDbOf = ({ terms, targetStrengthDb: strength }: BeamMeasures, { waterM }: Requirements): number =>
  targetSnrDb(terms, strength, waterM) - requiredSnrDb;

const bestOf = (
  beams: readonly BeamMeasures[],
  requirements: Requirements,
): Omit<Measures, 'powerW' | 'fitting' | 'beams' | 'derived'> => {
  const seeing = seeingAt(beams, requirements);
  const farthest = beams.reduce<BeamMeasures | null>(
    (found, beam) => (found && found.reachM >= beam.reachM ? found : beam),
    null,
  );
  const least = (of: (beam: BeamMeasures) => number): number => Math.min(Infinity, ...seeing.map(of));
  return {
    reachM: Math.max(0, ...beams.map(({ reachM }) => reachM)),
    bottomReachM: Math.max(0, ...beams.map((beam) => beam.bottomReachM)),
    spareDb: farthest ? spareDbOf(farthest, requirements) : 0,
    footprintM: Math.max(0, ...seeing.map(({ footprintM }) => footprintM)),
    detailM: least(({ footprintM }) => footprintM),
    resolutionM: least(({ resolutionM }) => resolutionM),
    deadZoneM: least(({ deadZoneM }) => deadZoneM),
    blankM: least(({ blankM }) => blankM),
    holdsBottomToMps: Math.max(0, ...beams.map(({ holdsBottomToMps }) => holdsBottomToMps)),
  };
};

/** Several transducers together. */
export const together = (parts: readonly Measures[], requirements: Requirements): Measures => {
  const beams = parts.flatMap((part) => part.beams);
  return {
    ...bestOf(beams, requirements),
    powerW: parts.reduce((sum, { powerW }) => sum + powerW, 0),
    fitting: Math.min(...parts.map(({ fitting }) => fitting)),
    beams,
    derived: [...new Set(parts.flatMap(({ derived }) => derived))],
  };
};

/** The power over which nothing is gained at a depth: 25 W a metre, from 150 W to 3 kW. Round figures of ours. */
const mostPowerW = (deepestM: number): number => Math.min(3000, Math.max(150, 25 * deepestM));

/** How good a measure is for what is wanted, 0 to 1: each says what full marks are. */
export const utility: Readonly<Record<Criterion, (measures: Measures, requirements: Requirements) => number>> = {
  // Half as much again as the fish stands deep: a margin for noise and for a fish lying badly.
  reach: ({ reachM }, { deepestM }) => Math.min(1, reachM / (1.5 * deepestM)),
  // A footprint of six tenths of the depth, a cone of about 33°.
  footprint: ({ footprintM }, { workingM }) => Math.min(1, footprintM / (0.6 * workingM)),
  // A footprint of a tenth of the depth, a cone of under 6°.
  'bottom detail': ({ detailM }, { workingM }) => (detailM > 0 ? Math.min(1, (0.1 * workingM) / detailM) : 0),
  // Two fish a hand apart.
  separation: ({ resolutionM }) => Math.min(1, 0.05 / resolutionM),
  // Nothing hidden on the usual slope is full marks, a fifth of the depth none.
  'dead zone': ({ deadZoneM }, { workingM }) => Math.max(0, 1 - deadZoneM / (0.2 * workingM)),
  speed: ({ holdsBottomToMps }, { topMps }) => (topMps > 0 ? Math.min(1, holdsBottomToMps / topMps) : 1),
  fitting: ({ fitting }) => fitting,
  // Nothing blind is full marks, a fifth of the working depth none.
  'blanking zone': ({ blankM }, { workingM }) => Math.max(0, 1 - blankM / (0.2 * workingM)),
  // None at all is full marks; none is left at what the greatest power is for that depth.
  power: ({ powerW }, { deepestM }) => Math.max(0, 1 - powerW / mostPowerW(deepestM)),
};
