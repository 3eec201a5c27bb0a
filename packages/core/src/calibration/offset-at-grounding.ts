import type { Plan, WorkingStep } from '@grey-keel/model';
import { given, calculated } from '../calculation/working-step.ts';
import { groundingDepthM } from './aground.ts';
import { depthOffsetOf, type DepthOffsetAnswer } from './depth-offset-subject.ts';

/**
 * The offset that holds where the boat touches, by the line of scale and offset through the readings, m, for the same
 * reference as the answer's. A line lead = k x range + b gives at depth G the range (G - b) / k, and the offset is what
 * is missing from it. Without a draught the depth of the face itself is taken. Null where no scale is justified.
 * Source: least squares of scale and offset, as in `depth-offset`.
 */
export const offsetAtGrounding = (plan: Plan, transducerId: string, answer: DepthOffsetAnswer): WorkingStep | null => {
  if (!answer.scaleJustified || answer.scale === null || answer.scaledOffsetM === null) return null;
  const keelM = depthOffsetOf(plan, transducerId).reference === 'keel' ? (plan.boat.draughtM ?? 0) : 0;
  const interceptM = answer.scaledOffsetM + keelM;
  const depthM = groundingDepthM(plan) ?? interceptM;
  return calculated(
    {
      says: 'The offset that holds where the boat touches',
      symbol: 'og',
      value: depthM - (depthM - interceptM) / answer.scale - keelM,
      unit: 'm',
      expression: 'G - (G - b) / k - K',
      source: 'least squares of lead line on range',
    },
    given('G', depthM, 'm', 'depth of water in which the first part touches'),
    given('b', interceptM, 'm', 'offset of the line, to the waterline'),
    given('k', answer.scale, '', 'scale of the line'),
    given('K', keelM, 'm', keelM > 0 ? 'keel below the waterline' : 'to the waterline nothing is taken off'),
  );
};
