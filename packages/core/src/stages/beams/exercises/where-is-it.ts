import { sectionAt, type SectionBeam } from '../../../beams/section.ts';
import { targetArea, weakWidthDeg, type MarkStrength } from '../../../beams/target-area.ts';
import { answerOf } from '../../../calculation/calculation.ts';
import { between, defineExercise } from '../../../drill/exercise.ts';
import { figure } from '../../../findings/rule.ts';

const radian = Math.PI / 180;

/** What each beam shows of a mark; the boat's place over the mark is asked. */
export interface WhereQuestion {
  readonly depthM: number;
  readonly beams: readonly {
    readonly id: string;
    readonly name: string;
    readonly beamwidthDeg: number;
    readonly atM: [number, number];
    readonly shows: MarkStrength;
  }[];
}

/** Where the mark is said to be. */
export interface WhereAnswer {
  readonly forwardM: number;
  readonly starboardM: number;
}

const shownBy = (beam: SectionBeam, depthM: number, at: { readonly x: number; readonly y: number }): MarkStrength => {
  const aside = Math.hypot(at.x - beam.transducer.starboardM, at.y - beam.transducer.forwardM);
  const angle = Math.atan2(aside, depthM) / radian;
  if (angle <= beam.cone.acrossDeg / 2) return 'strong';
  return angle <= weakWidthDeg(beam.cone.acrossDeg) / 2 ? 'weak' : 'none';
};

/** The area the mark can be in, with how far a place lies from it. Lengths in metres. */
export const areaOf = ({ beams, depthM }: WhereQuestion, { forwardM, starboardM }: WhereAnswer) =>
  answerOf(targetArea, {
    beams: beams.map(({ beamwidthDeg, atM, shows }) => ({ beamwidthDeg, atM, shows })),
    depthM,
    fromAtM: [forwardM, starboardM],
  });

export const whereIsIt = defineExercise<WhereQuestion, WhereAnswer>({
  name: 'where is it',

  make: (plan, random) => {
    const section = sectionAt(plan, plan.working.depthM);
    const sounders = section.beams.filter(({ kind }) => kind === 'sounder');
    const [wide, second] = [...sounders].sort((a, b) => b.cone.acrossDeg - a.cone.acrossDeg);
    if (!wide || !second) return null;
    const depthM = Math.round(10 * wide.belowFaceM * between(random, 0.5, 0.95)) / 10;
    const radius = depthM * Math.tan((wide.cone.acrossDeg / 2) * radian) * Math.sqrt(between(random, 0.05, 0.98));
    const turn = between(random, 0, 2 * Math.PI);
    const fish = {
      x: wide.transducer.starboardM + radius * Math.sin(turn),
      y: wide.transducer.forwardM + radius * Math.cos(turn),
    };
    return {
      depthM,
      beams: sounders.map((beam) => ({
        id: beam.id,
        name: beam.transducer.name,
        beamwidthDeg: beam.cone.acrossDeg,
        atM: [beam.transducer.forwardM, beam.transducer.starboardM],
        shows: shownBy(beam, depthM, fish),
      })),
    };
  },

  // Ahead of every cone, since any place in them is an answer.
  startsAt: ({ beams, depthM }) => ({
    forwardM: Math.max(
      0,
      ...beams.map(({ atM, beamwidthDeg }) => atM[0] + 1.1 * depthM * Math.tan((beamwidthDeg / 2) * radian)),
    ),
    starboardM: 0,
  }),

  score: (plan, question, answer) => {
    const { moveM, working } = areaOf(question, answer);
    const offM = moveM ?? Number.POSITIVE_INFINITY;
    return {
      // A boat's length off is as good as not having looked.
      points: Math.round(100 * Math.max(0, 1 - offM / (plan.boat.lengthM ?? 6))),
      parts: [
        offM === 0
          ? { right: true, words: ['The cross lies where the mark can be, hatched.'] }
          : {
              right: false,
              words: [
                'The cross lies ',
                ...(moveM === null ? [] : [figure(moveM, 'length'), ' ']),
                'outside the water where the mark can be, hatched.',
              ],
            },
      ],
      working,
    };
  },
});
