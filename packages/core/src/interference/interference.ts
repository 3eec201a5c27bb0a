import type { Place, Plan, Transducer, WorkingStep } from '@grey-keel/model';
import { bottomBackscatterDb } from '../acoustics/backscatter.ts';
import { bandShareDb, type Band } from '../acoustics/band-share.ts';
import { requirementsOf, type Requirements } from '../beams/requirements.ts';
import { elementAcoustics, type ElementAcoustics } from '../beams/element-acoustics.ts';
import { usualForward } from '../beams/forward-fan.ts';
import { beamRangeTerms, requiredSnrDb, type BeamRangeTerms } from '../beams/beam-range.ts';
import { remembered } from '../plan/remembered.ts';
import { faceDepthM } from '../plan/working-water.ts';
import { given, calculated } from '../calculation/working-step.ts';
import { directionLevelDb, towards, type Looks } from './direction-level.ts';

const radian = Math.PI / 180;

/** A unit on one of its beams, as far as sending into others and listening to them goes. */
interface Sender {
  readonly transducer: Transducer;
  readonly beam: Transducer['beams'][number];
  readonly acoustics: ElementAcoustics;
  readonly terms: BeamRangeTerms;
  readonly looks: Looks;
  readonly faceM: number;
}

const sender = (plan: Plan, requirements: Requirements, id: string, beamIndex: number): Sender | null => {
  const transducer = plan.transducers[id];
  const beam = transducer?.beams[beamIndex];
  if (!transducer || !beam) return null;
  const depthM = plan.working.depthM;
  const acoustics = elementAcoustics(transducer, beam, depthM);
  const faceM = Math.max(0, faceDepthM(plan, transducer.aboveKeelM) ?? 0);
  return {
    transducer,
    beam,
    acoustics,
    terms: beamRangeTerms(acoustics, transducer.mounting, requirements.conditions),
    looks: {
      kind: transducer.kind,
      shape: acoustics.shape,
      faceM,
      setting: plan.scene.forward ?? usualForward(depthM),
      depthM,
    },
    faceM,
  };
};

/** How loud one unit is in another, dB over the noise in the other's band. */
export interface Interference {
  readonly sourceId: string;
  readonly victimId: string;
  readonly overNoiseDb: number;
  readonly working: readonly WorkingStep[];
}

/** No bottom echo is nearer than this, and the pattern of the nearest water is not the far one. */
const nearestM = 0.5;
const rings = 14;
const sectors = 24;

/** So little that it is nothing: through kilometres of water at a high frequency no sound is left at all. */
const silenceDb = -400;

/** Straight from face to face, dB re 1 µPa: the level at the victim, off both axes. */
const directDb = (source: Sender, victim: Sender): number => {
  const apart = Math.max(
    nearestM,
    Math.hypot(
      source.transducer.forwardM - victim.transducer.forwardM,
      source.transducer.starboardM - victim.transducer.starboardM,
      source.transducer.aboveKeelM - victim.transducer.aboveKeelM,
    ),
  );
  return Math.max(
    silenceDb,
    source.acoustics.sourceLevelDb +
      directionLevelDb(source.looks, towards(source.transducer, victim.transducer)) +
      directionLevelDb(victim.looks, towards(victim.transducer, source.transducer)) -
      20 * Math.log10(apart) -
      source.terms.absorptionDbPerM * apart,
  );
};

/** By way of the bottom, dB re 1 µPa: the loudest ring of it, each as wide as what the source tells apart. */
const byBottomDb = (plan: Plan, requirements: Requirements, source: Sender, victim: Sender): number => {
  const below = Math.max(0.1, plan.working.depthM - source.faceM);
  const bottom = (aheadM: number, asideM: number): Place => ({
    forwardM: source.transducer.forwardM + aheadM,
    starboardM: source.transducer.starboardM + asideM,
    aboveKeelM: source.transducer.aboveKeelM - below,
  });
  let loudest = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < rings; i++) {
    const grazing = (86 - (80 * i) / (rings - 1)) * radian;
    const slant = below / Math.sin(grazing);
    const out = slant * Math.cos(grazing);
    const area = (2 * Math.PI * out * (source.terms.resolutionM / Math.cos(grazing))) / sectors;
    let power = 0;
    for (let k = 0; k < sectors; k++) {
      const turn = (2 * Math.PI * k) / sectors;
      const place = bottom(out * Math.cos(turn), out * Math.sin(turn));
      const back = Math.max(
        nearestM,
        Math.hypot(
          place.forwardM - victim.transducer.forwardM,
          place.starboardM - victim.transducer.starboardM,
          place.aboveKeelM - victim.transducer.aboveKeelM,
        ),
      );
      const level =
        directionLevelDb(source.looks, towards(source.transducer, place)) +
        directionLevelDb(victim.looks, towards(victim.transducer, place)) -
        20 * Math.log10(slant * back) -
        source.terms.absorptionDbPerM * (slant + back);
      power += 10 ** (level / 10);
    }
    loudest = Math.max(
      loudest,
      10 * Math.log10(power * area) + bottomBackscatterDb(requirements.hardest, grazing / radian),
    );
  }
  return Math.max(silenceDb, source.acoustics.sourceLevelDb + loudest);
};

const summed = (a: number, b: number): number => 10 * Math.log10(10 ** (a / 10) + 10 ** (b / 10));

const bandOf = ({ frequencyHz, bandwidthHz }: ElementAcoustics): Band => ({
  middleHz: frequencyHz,
  widthHz: bandwidthHz,
});

type OnBeam = readonly [transducerId: string, beam: number];

/**
 * How one unit on one of its beams interferes with another on one of its own: straight through the water by the lobes of both,
 * and by way of the bottom they both look at. Null where it could not be heard even face to face, or the water is not described. Rubbing
 * out by a display's own filter is not counted. Source: sonar equation, Urick 1983, ch. 2, one way and by the bottom.
 */
export const interferenceOf = (plan: Plan, source: OnBeam, victim: OnBeam): Interference | null =>
  worked(plan, [...source, ...victim].join(' '));

/** Asked for again and again while the quietest of all combinations is looked for. */
const worked = remembered((plan, key): Interference | null => {
  const [sourceId = '', sourceBeam, victimId = '', victimBeam] = key.split(' ');
  const requirements = requirementsOf(plan);
  const source = requirements && sender(plan, requirements, sourceId, Number(sourceBeam));
  const victim = requirements && sender(plan, requirements, victimId, Number(victimBeam));
  if (!requirements || !source || !victim) return null;
  const share = bandShareDb(bandOf(source.acoustics), bandOf(victim.acoustics));
  const { noiseDb } = victim.terms;
  // Not even face to face on both axes would it be heard: nothing further is worked out.
  if (source.acoustics.sourceLevelDb - 20 * Math.log10(nearestM) + share < noiseDb) return null;
  const direct = directDb(source, victim);
  const bottom = byBottomDb(plan, requirements, source, victim);
  const overNoiseDb = summed(direct, bottom) + share - noiseDb;
  return {
    sourceId,
    victimId,
    overNoiseDb,
    working: [
      calculated(
        {
          says: `${source.transducer.name} in ${victim.transducer.name}, over its noise`,
          symbol: 'D',
          value: overNoiseDb,
          unit: 'dB',
          expression: '10 * log10(10 ^ (A / 10) + 10 ^ (B / 10)) + S - N',
          source: 'sonar equation, Urick 1983, ch. 2; lobes by their crests, ch. 3',
        },
        given('A', direct, 'dB re 1 µPa', 'straight through the water, off both axes'),
        given('B', bottom, 'dB re 1 µPa', 'by way of the bottom'),
        given('S', share, 'dB', 'of its power that falls into the other’s band'),
        given('N', noiseDb, 'dB re 1 µPa', 'noise in the band of the one that listens'),
      ),
    ],
  };
});

/** Over this an echo is seen, so interference is, too. */
export const interferesDb = requiredSnrDb;
