import { type DepthOffsetAnswer, depthOffsetOf } from '../../../calibration/depth-offset-subject.ts';
import { offsetAtGrounding } from '../../../calibration/offset-at-grounding.ts';
import type { DepthGiver } from '../../../sources/depth-givers.ts';
import { calculated, given } from '../../../calculation/working-step.ts';
import { figure, type Rule } from '../../../findings/rule.ts';
import { groundingToleranceM } from '../../../calibration/grounding-tolerance.ts';
import { heldOffsetM } from '../../../calibration/held-offset.ts';
import { answerFor, eachGiver } from './offset-answers.ts';
import { enteredResult } from '../../../plan/held-by.ts';
import { at } from '../../../plan/target.ts';

const errorStep = (heldM: number, offsetM: number) =>
  calculated(
    {
      says: 'What the display shows too much, or too little where it is negative',
      symbol: 'wrong',
      value: heldM - offsetM,
      unit: 'm',
      expression: 'o - offset',
      source: 'difference of the two offsets',
    },
    given('o', heldM, 'm', 'offset set in the display'),
    given('offset', offsetM, 'm', 'offset measured'),
  );

const isMirrored = ({ id, plan }: DepthGiver, { offsetM, standardErrorM }: DepthOffsetAnswer): boolean => {
  const heldM = heldOffsetM(plan, id);
  const toleranceM = groundingToleranceM(depthOffsetOf(plan, id).toleranceM);
  const allowance = Math.max(toleranceM, 3 * (standardErrorM ?? 0));
  return heldM * offsetM < 0 && Math.abs(heldM + offsetM) <= allowance && Math.abs(offsetM) > toleranceM;
};

/** Under what a display shows in centimetres. */
const scaleBearsM = 0.005;

/** What is set is, within the tolerance, the measured offset with its sign turned: the mistake that grounds boats. */
export const offsetWrongSign: Rule<'calibrate'> = {
  id: 'offset-wrong-sign',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const answer = answerFor(giver);
    if (!answer || !isMirrored(giver, answer)) return [];
    const heldM = heldOffsetM(giver.plan, giver.id);
    const error = heldM - answer.offsetM;
    return [
      {
        subject: giver.id,
        title: 'Offset has the wrong sign',
        reason: [
          `${giver.name} is set to `,
          figure(heldM, 'length'),
          ' where ',
          figure(answer.offsetM, 'length'),
          ` was measured: it shows `,
          figure(Math.abs(error), 'length'),
          error > 0 ? ' too much water.' : ' too little.',
        ],
        figure: figure(Math.abs(error), 'length'),
        working: [...answer.working, errorStep(heldM, answer.offsetM)],
        fix: { label: 'Enter the measured offset', target: at('depthOffsets', giver.id) },
      },
    ];
  }),
};

/** The display shows more water than there is, by more than the tolerance, whatever the reason. */
export const offsetUnsafe: Rule<'calibrate'> = {
  id: 'offset-unsafe',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    if (!answer || isMirrored(giver, answer)) return [];
    const yours = depthOffsetOf(plan, id).toleranceM;
    const toleranceM = groundingToleranceM(yours);
    const heldM = heldOffsetM(plan, id);
    const error = heldM - answer.offsetM;
    if (error <= toleranceM + 1e-9) return [];
    return [
      {
        subject: id,
        title: 'It shows more water than there is',
        reason: [
          `${name} is set to `,
          figure(heldM, 'length'),
          ' where ',
          figure(answer.offsetM, 'length'),
          ' was measured: it shows ',
          figure(error, 'length'),
          toleranceM < yours
            ? ' too much water. However wide your tolerance, over '
            : ' too much water, over your tolerance of ',
          figure(toleranceM, 'length'),
          toleranceM < yours ? ' grounds boats.' : '.',
        ],
        figure: figure(error, 'length'),
        working: [...answer.working, errorStep(heldM, answer.offsetM)],
        fix: { label: 'Enter the measured offset', target: at('depthOffsets', id) },
      },
    ];
  }),
};

/** The difference grows with depth: one offset does not hold from the shallows to the deepest reading. */
export const offsetScale: Rule<'calibrate'> = {
  id: 'offset-scale',
  stage: 'calibrate',
  severity: 'check',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    const holds = answer && offsetAtGrounding(plan, id, answer);
    if (!answer || !holds || answer.scale === null) return [];
    const entered = enteredResult(plan, 'depth', id);
    const usedM = entered ? heldOffsetM(plan, id) : answer.offsetM;
    const error = usedM - holds.value;
    const percent = figure(Math.abs(answer.scale - 1), 'fraction');
    return [
      {
        subject: id,
        severity: error > scaleBearsM ? ('stop' as const) : ('check' as const),
        title: error > scaleBearsM ? 'The offset is wrong where the boat touches' : 'The difference grows with depth',
        reason: [
          `${name}: its depths are `,
          percent,
          answer.scale > 1 ? ' too short' : ' too long',
          ', as in water of another temperature or salt than was said. Where the boat touches ',
          figure(holds.value, 'length'),
          ' holds; ',
          figure(usedM, 'length'),
          ' shows ',
          figure(Math.abs(error), 'length'),
          error > 0 ? ' too much water there.' : ' too little there.',
        ],
        figure: figure(Math.abs(error), 'length'),
        working: [
          ...answer.working,
          holds,
          calculated(
            {
              says: 'Too much water shown there, or too little where it is negative',
              symbol: 'wrong',
              value: error,
              unit: 'm',
              expression: 'o - og',
              source: 'difference of the two offsets',
            },
            given('o', usedM, 'm', entered ? 'offset entered' : 'offset worked out'),
            given('og', holds.value, 'm', 'offset that holds there'),
          ),
        ],
        fix: {
          label: 'Say what water these were read in',
          target: at('depthOffsets', id, 'takenIn', 'temperatureC'),
        },
      },
    ];
  }),
};

/** From the waterline a sounder only ever misses what lies above its face. */
export const offsetAboveWater: Rule<'calibrate'> = {
  id: 'offset-above-water',
  stage: 'calibrate',
  severity: 'stop',
  find: eachGiver((giver) => {
    const { id, name, plan } = giver;
    const answer = answerFor(giver);
    if (!answer || depthOffsetOf(plan, id).reference !== 'waterline' || answer.offsetM >= -scaleBearsM) return [];
    return [
      {
        subject: id,
        title: 'The offset puts the face above the water',
        reason: [
          `${name}: `,
          figure(answer.offsetM, 'length'),
          ' to the waterline would have its face ',
          figure(-answer.offsetM, 'length'),
          ' in the air. Lead line and display are the wrong way round, or what the display is set to is not what was said.',
        ],
        figure: figure(-answer.offsetM, 'length'),
        fix: {
          label: 'Look at the readings and at what the display is set to',
          target: at('depthOffsets', id, 'displaySetTo'),
        },
      },
    ];
  }),
};
