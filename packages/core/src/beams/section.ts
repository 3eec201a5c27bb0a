import type { Beam, Plan, SonarKind, Transducer, WorkingStep } from '@grey-keel/model';
import { answerOf, type Answer } from '../calculation/calculation.ts';
import { faceDepthM, inOrder } from '../plan/working-water.ts';
import { footprint } from './footprint.ts';
import { outlineAhead, usualForward } from './forward-fan.ts';
import { halfPowerCone, type DrawnCone } from './half-power-cone.ts';
import { silhouetteOf, type Point, type Silhouette } from './silhouette.ts';
import { targetRing } from './target-ring.ts';
import { workingBeamOf } from './working-beam.ts';

type RingAnswer = Answer<{
  areaM2: number;
  nearestM: number | null;
  farthestM: number | null;
  narrowOutsideWide: number;
}>;

/** How wide a cone's footprint is, with the whole way there: from the quoted cone to the width on the bottom. */
export interface SectionFootprint {
  readonly widthAcrossM: number;
  readonly working: readonly WorkingStep[];
  /** How much less than that the usual rule says, as a fraction. */
  readonly ruleShortfall: number;
  readonly ruleWorking: readonly WorkingStep[];
}

/** One transducer as the section shows it. Points in metres: x to starboard or forward, y depth below the waterline. */
export interface SectionBeam {
  readonly id: string;
  readonly transducer: Transducer;
  readonly beam: Beam;
  readonly kind: SonarKind;
  readonly cone: DrawnCone;
  readonly faceM: number;
  /** Depth of water below the face. */
  readonly belowFaceM: number;
  /** Outline from astern, and from starboard with the bow to the right. */
  readonly astern: readonly (readonly Point[])[];
  readonly side: readonly (readonly Point[])[];
  /** On the bottom, for what looks down: centre and half-widths, to starboard and forward. */
  readonly onBottom: { readonly centre: Point; readonly acrossM: number; readonly alongM: number } | null;
  readonly footprint: SectionFootprint | null;
}

export interface SectionRing {
  readonly wideId: string;
  readonly narrowId: string;
  readonly answer: RingAnswer;
}

/** The boat, its water and its beams as they are drawn: all in metres, so that every view scales it as it likes. */
export interface Section {
  readonly depthM: number;
  readonly boat: Silhouette;
  readonly beams: readonly SectionBeam[];
  readonly ring: SectionRing | null;
  /** Half the width that shows everything that looks down. */
  readonly halfWidthM: number;
}

const radian = Math.PI / 180;

/** The axis of a side-looking fan is taken 30 degrees below the level, as such units are usually built. */
export const sideFanFromDownDeg = 60;

/** A wedge between two angles from straight down (positive towards +x), from the face to the bottom or to a reach. */
const wedge = (x: number, faceM: number, depthM: number, fromDeg: number, toDeg: number, reachM: number): Point[] => {
  const at = (angleDeg: number): Point => {
    const toBottom =
      Math.abs(angleDeg) < 89.9 ? (depthM - faceM) / Math.cos(angleDeg * radian) : Number.POSITIVE_INFINITY;
    const range = Math.min(toBottom, reachM);
    return { x: x + range * Math.sin(angleDeg * radian), y: faceM + range * Math.cos(angleDeg * radian) };
  };
  const steps = 24;
  return [
    { x, y: faceM },
    ...Array.from({ length: steps + 1 }, (_, i) => at(fromDeg + ((toDeg - fromDeg) * i) / steps)),
  ];
};

const cone = (x: number, faceM: number, depthM: number, fullDeg: number): Point[] => {
  const half = (depthM - faceM) * Math.tan((fullDeg / 2) * radian);
  return [
    { x, y: faceM },
    { x: x + half, y: depthM },
    { x: x - half, y: depthM },
  ];
};

const outlines = (
  plan: Plan,
  transducer: Transducer,
  drawn: DrawnCone,
  faceM: number,
  depthM: number,
): Pick<SectionBeam, 'astern' | 'side'> => {
  const { starboardM: s, forwardM: f } = transducer;
  const reach = 1.5 * depthM;
  switch (transducer.kind) {
    case 'side-scan': {
      const [low, high] = [
        sideFanFromDownDeg - drawn.acrossDeg / 2,
        Math.min(90, sideFanFromDownDeg + drawn.acrossDeg / 2),
      ];
      return {
        astern: [wedge(s, faceM, depthM, low, high, reach), wedge(s, faceM, depthM, -low, -high, reach)],
        side: [cone(f, faceM, depthM, drawn.alongDeg)],
      };
    }
    case 'forward-facing':
    case 'sector':
      return {
        astern: [],
        side: [
          outlineAhead(
            { kind: transducer.kind, acrossDeg: drawn.acrossDeg, alongDeg: drawn.alongDeg, faceM },
            plan.scene.forward ?? usualForward(depthM),
            depthM,
            f,
          ),
        ],
      };
    default:
      return {
        astern: [cone(s, faceM, depthM, drawn.acrossDeg)],
        side: [cone(f, faceM, depthM, drawn.alongDeg)],
      };
  }
};

const looksDown = (kind: SonarKind): boolean => kind === 'sounder' || kind === 'down fan';

const sectionFootprint = (cone: DrawnCone, belowFaceM: number): SectionFootprint => {
  const { widthAcrossM, ruleShortfall, working } = answerOf(footprint, {
    beamwidthDeg: cone.acrossDeg,
    depthM: belowFaceM,
  });
  const upTo = (count: number): WorkingStep[] => [...cone.working, ...working.slice(0, count)];
  return { widthAcrossM, working: upTo(1), ruleShortfall, ruleWorking: upTo(3) };
};

const sectionBeam = (plan: Plan, id: string, transducer: Transducer, depthM: number): SectionBeam => {
  const beam = workingBeamOf(transducer);
  const drawn = halfPowerCone(beam);
  const faceM = Math.max(0, faceDepthM(plan, transducer.aboveKeelM) ?? 0);
  const belowFaceM = Math.max(0.05, depthM - faceM);
  const down = looksDown(transducer.kind);
  const half = (deg: number): number => belowFaceM * Math.tan((deg / 2) * radian);
  return {
    id,
    transducer,
    beam,
    kind: transducer.kind,
    cone: drawn,
    faceM,
    belowFaceM,
    ...outlines(plan, transducer, drawn, faceM, Math.max(depthM, faceM + 0.05)),
    onBottom: down
      ? {
          centre: { x: transducer.starboardM, y: transducer.forwardM },
          acrossM: half(drawn.acrossDeg),
          alongM: half(drawn.alongDeg),
        }
      : null,
    footprint: down ? sectionFootprint(drawn, belowFaceM) : null,
  };
};

/** The widest and the narrowest of the sounders: the pair whose ring tells where a mark is. */
const ringOf = (beams: readonly SectionBeam[]): SectionRing | null => {
  const sounders = beams.filter(({ kind }) => kind === 'sounder');
  const byWidth = [...sounders].sort((a, b) => b.cone.acrossDeg - a.cone.acrossDeg);
  const wide = byWidth[0];
  const narrow = byWidth[byWidth.length - 1];
  if (!wide || !narrow || wide === narrow || wide.cone.acrossDeg <= narrow.cone.acrossDeg) return null;
  return {
    wideId: wide.id,
    narrowId: narrow.id,
    answer: answerOf(targetRing, {
      wideDeg: wide.cone.acrossDeg,
      narrowDeg: narrow.cone.acrossDeg,
      depthM: narrow.belowFaceM,
      wideAtM: [wide.transducer.forwardM, wide.transducer.starboardM],
      narrowAtM: [narrow.transducer.forwardM, narrow.transducer.starboardM],
    }),
  };
};

/** The section of a boat over a flat bottom at a depth below the surface. */
export const sectionAt = (plan: Plan, depthM: number): Section => {
  const beams = inOrder(plan.transducers).map(([id, transducer]) => sectionBeam(plan, id, transducer, depthM));
  const boat = silhouetteOf(plan.boat);
  const widest = beams.reduce(
    (found, { onBottom, kind }) =>
      onBottom && kind === 'sounder'
        ? Math.max(found, Math.abs(onBottom.centre.x) + onBottom.acrossM, onBottom.alongM)
        : found,
    0,
  );
  return { depthM, boat, beams, ring: ringOf(beams), halfWidthM: Math.max(widest, boat.lengthM) * 1.1 };
};
