import type { Plan, Sentence } from '@grey-keel/model';
import { depthOffsetOf, type DepthOffsetAnswer } from './depth-offset-subject.ts';
import { groundingToleranceM } from './grounding-tolerance.ts';
import { offsetAtGrounding } from './offset-at-grounding.ts';
import { soundOff } from './sound-off.ts';

/** Where a scale makes less of a difference than this, it does not speak against an entry. */
const scaleBearsM = 0.005;

/**
 * What speaks against entering an offset as it was worked out: it is not sure enough, a reading in it stands apart, it
 * is wrong where the boat touches, or it would put the face above the water. Empty where nothing does. `offsetM` is the
 * one to be entered.
 */
export const entryDoubts = (
  plan: Plan,
  transducerId: string,
  answer: DepthOffsetAnswer,
  offsetM: number = answer.offsetM,
): Sentence[] => {
  const { toleranceM: yours, reference } = depthOffsetOf(plan, transducerId);
  const toleranceM = groundingToleranceM(yours);
  const sound = soundOff(plan, transducerId);
  const half = answer.halfInterval95M;
  const length = (value: number) => ({ value, quantity: 'length' as const });
  const holds = offsetAtGrounding(plan, transducerId, answer);
  const wrongM = holds ? offsetM - holds.value : 0;
  const apart = answer.flagged.length;
  return [
    ...(half === null ? [['One reading says nothing about its own uncertainty.']] : []),
    ...(half !== null && half > toleranceM
      ? [
          [
            'Not sure enough: ± ',
            length(half),
            toleranceM < yours ? ' against the most a boat can bear, ' : ' against your tolerance of ',
            length(toleranceM),
            '.',
          ],
        ]
      : []),
    ...(apart > 0 ? [['A reading that stands apart is in it.']] : []),
    ...(wrongM > scaleBearsM ? [['Where the boat touches it shows ', length(wrongM), ' too much water.']] : []),
    ...(sound
      ? [
          [
            `The display ${sound.looked ? 'is set' : 'was set, when it was read,'} to a speed of sound of `,
            { value: sound.usedMps, quantity: 'soundSpeed' as const },
            ', the water has ',
            { value: sound.waterMps, quantity: 'soundSpeed' as const },
            ': every depth is ',
            { value: Math.abs(sound.share), quantity: 'fraction' as const },
            ` too ${sound.share > 0 ? 'deep' : 'shallow'}, and no offset mends that. Set its water first.`,
          ],
        ]
      : []),
    ...(reference === 'waterline' && offsetM < 0
      ? [['Its face would stand ', length(-offsetM), ' above the water.']]
      : []),
  ];
};
