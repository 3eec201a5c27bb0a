import type { Plan, Sentence, WorkingStep } from '@grey-keel/model';
import { calculated, given } from '../calculation/working-step.ts';

/** Where a hull trims about, as a share of its length from the transom: a round figure of ours for usual water planes. */
const flotationShare = 0.45;
const radian = Math.PI / 180;
/** Under what a display shows in a step. */
const noticeableM = 0.03;

/** How much a face sinks when the boat runs and the bow comes up, m; negative where it rises. */
export const faceSinksM = (plan: Plan, transducerId: string): WorkingStep | null => {
  const transducer = plan.transducers[transducerId];
  const { lengthM, runningTrimDeg } = plan.boat;
  if (!transducer || lengthM === null || runningTrimDeg == null) return null;
  const asternM = flotationShare * lengthM - transducer.forwardM;
  return calculated(
    {
      says: 'The face sinks when running, or rises where it is negative',
      symbol: 's',
      value: asternM * Math.sin(runningTrimDeg * radian),
      unit: 'm',
      expression: 'x * sin(t)',
      source: 'plane geometry about the centre of flotation, taken at 0.45 of the length',
    },
    given('x', asternM, 'm', 'the face astern of the centre of flotation'),
    given('t', runningTrimDeg * radian, 'rad', 'bow up when running'),
  );
};

/**
 * What running does to a depth that was calibrated at rest, in words: a hull that stays in the water trims about its
 * centre of flotation, one on plane lifts besides and has to be measured. Null where the boat does not run, or it is little.
 */
export const depthAtSpeed = (plan: Plan, transducerId: string): Sentence | null => {
  const { hullForm, cruiseSpeedMps } = plan.boat;
  const transducer = plan.transducers[transducerId];
  if (!transducer || cruiseSpeedMps === null || cruiseSpeedMps === 0) return null;
  if (hullForm !== 'displacement')
    return [
      'This holds at rest. On plane the hull lifts and trims, and no rule says by how much: run slowly off the plane over a depth you know, then on it, and read both.',
    ];
  const sinks = faceSinksM(plan, transducerId)?.value ?? null;
  if (sinks === null)
    return [
      'This holds at rest. Give how far the bow rises when running: what the face sinks by then is told from it.',
    ];
  if (Math.abs(sinks) < noticeableM) return null;
  return [
    `This holds at rest. Running, the face ${sinks > 0 ? 'sinks' : 'rises'} by `,
    { value: Math.abs(sinks), quantity: 'length' },
    ` with the bow up: the display shows that much ${sinks > 0 ? 'less water than there is' : 'more water than there is'}.`,
  ];
};
