import type { PlacedFish, Plan, Transducer, WorkingStep } from '@grey-keel/model';
import { targetStrengthDb } from '../acoustics/target-strength.ts';
import { inOrder, faceDepthM, soundSpeedDownTo } from '../plan/working-water.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { requirementsOf, type Requirements } from './requirements.ts';
import { elementAcoustics, offAxisDb, resolutionOf, type ElementAcoustics } from './element-acoustics.ts';
import { beamRangeTerms, requiredSnrDb, targetSnrDb, type BeamRangeTerms } from './beam-range.ts';
import type { Point } from './silhouette.ts';
import { workingBeamOf } from './working-beam.ts';

const radian = Math.PI / 180;

/** What one beam makes of one fish. */
export interface FishSeen {
  readonly beamId: string;
  readonly beam: string;
  /** `faint`: under what a trace wants. `hidden`: in the echo of the bottom. */
  readonly state: 'seen' | 'faint' | 'hidden';
  readonly insideCone: boolean;
  readonly offAxisDeg: number;
  /** Where the display draws it, below the surface, and by how much that is too deep. */
  readonly displayedM: number;
  readonly tooDeepM: number;
  readonly snrDb: number;
  readonly working: readonly WorkingStep[];
}

export interface SceneFish {
  readonly id: string;
  readonly fish: PlacedFish;
  /** At or under the bottom. */
  readonly aground: boolean;
  readonly seen: readonly FishSeen[];
}

/** A sounder over a sloping bottom, from astern: x to starboard, y depth below the surface, metres. */
export interface SceneBeam {
  readonly id: string;
  readonly name: string;
  /** The transducer's place among all aboard: its colour. */
  readonly series: number;
  readonly cone: readonly Point[];
  /** The water in which the bottom's echo hides fish. */
  readonly deadZone: readonly Point[];
  readonly firstEchoM: number;
  /** What the display says the depth is, below the surface; and what is straight below. */
  readonly readsM: number;
  readonly belowM: number;
}

export interface Scene {
  readonly depthM: number;
  readonly slopeDeg: number;
  readonly beams: readonly SceneBeam[];
  readonly fish: readonly SceneFish[];
}

/** Depth of the bottom at a place to starboard. */
export const bottomAtM = (depthM: number, slopeDeg: number, starboardM: number): number =>
  depthM + starboardM * Math.tan(slopeDeg * radian);

interface Looking {
  readonly id: string;
  readonly transducer: Transducer;
  readonly series: number;
  readonly acoustics: ElementAcoustics;
  readonly terms: BeamRangeTerms;
  readonly faceM: number;
  readonly heightM: number;
  /** Edges of the cone from straight down, radians to starboard. */
  readonly fromRad: number;
  readonly toRad: number;
  readonly axisRad: number;
  /** Forward of straight down: a bow that rises throws the beam ahead. */
  readonly pitchRad: number;
  readonly firstEchoM: number;
  readonly lastClearM: number;
}

const arcSteps = 24;

const looking = (plan: Plan, requirements: Requirements, depthM: number): Looking[] => {
  const { slopeDeg, rollDeg, pitchDeg = 0 } = plan.scene;
  const slope = slopeDeg * radian;
  return inOrder(plan.transducers).flatMap(([id, transducer], series) => {
    if (transducer.kind !== 'sounder') return [];
    const beam = workingBeamOf(transducer);
    const acoustics = elementAcoustics(transducer, beam, depthM);
    const faceM = Math.max(0, faceDepthM(plan, transducer.aboveKeelM) ?? 0);
    const heightM = Math.max(0.05, bottomAtM(depthM, slopeDeg, transducer.starboardM) - faceM);
    // A boat that leans to starboard looks to port.
    const axisRad = -rollDeg * radian;
    const half = (acoustics.shape.acrossDeg / 2) * radian;
    // Past this the ray runs along the slope and never meets it.
    const limit = Math.PI / 2 - 0.02;
    const fromRad = Math.max(axisRad - half, -limit - Math.min(0, slope));
    const toRad = Math.min(axisRad + half, limit - Math.max(0, slope));
    const nearest = Math.min(toRad, Math.max(fromRad, -slope));
    const firstEchoM = (heightM * Math.cos(slope)) / Math.cos(nearest + slope);
    const lastClearM = Math.max(0, firstEchoM - resolutionOf(acoustics, requirements.conditions.soundSpeedMps));
    return [
      {
        id,
        transducer,
        series,
        acoustics,
        terms: beamRangeTerms(acoustics, transducer.mounting, requirements.conditions),
        faceM,
        heightM,
        fromRad,
        toRad,
        axisRad,
        pitchRad: pitchDeg * radian,
        firstEchoM,
        lastClearM,
      },
    ];
  });
};

const drawn = (it: Looking, slopeDeg: number): SceneBeam => {
  const { starboardM: x } = it.transducer;
  const slope = slopeDeg * radian;
  const at = (angle: number, range: number): Point => ({
    x: x + range * Math.sin(angle),
    y: it.faceM + range * Math.cos(angle),
  });
  const toBottom = (angle: number): number => (it.heightM * Math.cos(slope)) / Math.cos(angle + slope);
  const angles = Array.from({ length: arcSteps + 1 }, (_, i) => it.fromRad + ((it.toRad - it.fromRad) * i) / arcSteps);
  const onBottom = angles.map((angle) => at(angle, toBottom(angle)));
  return {
    id: it.id,
    name: it.transducer.name,
    series: it.series,
    cone: [at(0, 0), ...onBottom],
    deadZone: [...onBottom, ...angles.map((angle) => at(angle, it.lastClearM)).reverse()],
    firstEchoM: it.firstEchoM,
    readsM: it.faceM + it.firstEchoM,
    belowM: it.faceM + it.heightM,
  };
};

const seenBy = (it: Looking, fish: PlacedFish): FishSeen => {
  const { transducer, acoustics, terms, faceM } = it;
  const across = fish.starboardM - transducer.starboardM;
  const along = fish.forwardM - transducer.forwardM;
  const down = fish.depthM - faceM;
  const rangeM = Math.hypot(across, along, down);
  const cosine =
    (across * Math.sin(it.axisRad) +
      Math.cos(it.axisRad) * (along * Math.sin(it.pitchRad) + down * Math.cos(it.pitchRad))) /
    rangeM;
  const offAxisDeg = Math.acos(Math.min(1, Math.max(-1, cosine))) / radian;
  const strength = targetStrengthDb('love-dorsal', fish.lengthCm, acoustics.frequencyHz);
  const patternDb = offAxisDeg >= 90 ? -60 : offAxisDb(acoustics.shape, offAxisDeg);
  const onAxisDb = targetSnrDb(terms, strength, rangeM);
  const snrDb = onAxisDb + 2 * patternDb;
  return {
    beamId: it.id,
    beam: transducer.name,
    state: rangeM > it.lastClearM ? 'hidden' : snrDb >= requiredSnrDb ? 'seen' : 'faint',
    insideCone: offAxisDeg <= acoustics.shape.acrossDeg / 2,
    offAxisDeg,
    displayedM: faceM + rangeM,
    tooDeepM: faceM + rangeM - fish.depthM,
    snrDb,
    working: [
      calculated(
        {
          says: 'Slant range to the fish',
          symbol: 'r',
          value: rangeM,
          unit: 'm',
          expression: 'sqrt(x ^ 2 + y ^ 2 + z ^ 2)',
          source: 'plane geometry',
        },
        given('x', across, 'm', 'to starboard of the face'),
        given('y', along, 'm', 'forward of the face'),
        given('z', down, 'm', 'below the face'),
      ),
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
        given('B', patternDb, 'dB', `of the beam ${offAxisDeg.toFixed(1)}° off its axis, one way`),
      ),
      calculated(
        {
          says: 'Depth at which the display draws it',
          symbol: 'd',
          value: faceM + rangeM,
          unit: 'm',
          expression: 'f + r',
          source: 'a sounder draws every echo straight below',
        },
        given('f', faceM, 'm', 'depth of the face'),
        given('r', rangeM, 'm', 'slant range'),
      ),
    ],
  };
};

/** The boat from astern over a sloping bottom, with what each sounder makes of each fish. Null while the water is not described. */
export const sceneAt = (
  plan: Plan,
  depthM: number,
  fish: Readonly<Record<string, PlacedFish>> = plan.fish,
): Scene | null => {
  const requirements = requirementsOf(plan);
  if (!requirements) return null;
  const { slopeDeg } = plan.scene;
  const beams = looking(plan, requirements, depthM);
  return {
    depthM,
    slopeDeg,
    beams: beams.map((one) => drawn(one, slopeDeg)),
    fish: inOrder(fish).map(([id, one]) => ({
      id,
      fish: one,
      aground: one.depthM >= bottomAtM(depthM, slopeDeg, one.starboardM),
      seen: beams.map((beam) => seenBy(beam, one)),
    })),
  };
};

/** What a colder layer below does to the depth read, for a display that works with the upper water throughout. */
export const thermoclineError = (
  plan: Plan,
  depthM: number,
): { readonly meanMps: number; readonly readsM: number; readonly working: readonly WorkingStep[] } | null => {
  const requirements = requirementsOf(plan);
  const layer = plan.scene.thermocline;
  if (!requirements || !layer || layer.depthM >= depthM) return null;
  const { water } = requirements.conditions;
  const upper = soundSpeedDownTo(water, layer.depthM).soundSpeedMps;
  const lower = soundSpeedDownTo(
    { ...water, temperatureC: Math.max(0, water.temperatureC - layer.colderByC) },
    layer.depthM + depthM,
  ).soundSpeedMps;
  const seconds = layer.depthM / upper + (depthM - layer.depthM) / lower;
  const meanMps = depthM / seconds;
  const readsM = upper * seconds;
  const c1 = given('c1', upper, 'm/s', 'sound in the upper water');
  const inputs = [
    given('h', layer.depthM, 'm', 'depth of the layer'),
    c1,
    given('d', depthM, 'm', 'depth of the bottom'),
    given('c2', lower, 'm/s', 'sound in the colder water'),
  ];
  return {
    meanMps,
    readsM,
    working: [
      calculated(
        {
          says: 'Time down, by layers',
          symbol: 't',
          value: seconds,
          unit: 's',
          expression: 'h / c1 + (d - h) / c2',
          source: 'mean travel time by layers',
        },
        ...inputs,
      ),
      calculated(
        {
          says: 'What the display makes of it',
          symbol: 'reads',
          value: readsM,
          unit: 'm',
          expression: 'c1 * t',
          source: 'a display works with one speed of sound',
        },
        c1,
        given('t', seconds, 's', 'time down'),
      ),
    ],
  };
};
