import type { Edit, Plan } from '@grey-keel/model';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { edited } from './sample-plan.ts';

/** A display shows this with the plan's own offset, and enters what the readings give. */
export const enteredBy = (plan: Plan, edits: readonly Edit[], transducerId = 'a-hull'): Edit[] => {
  const made = edited(plan, ...edits);
  const result = measuredOffset.of(made, transducerId);
  if (!result?.known) throw new Error('There is no result to enter.');
  return [
    ...edits,
    {
      type: 'enterDepthOffset',
      transducerId,
      entered: {
        offsetM: result.answer.offsetM,
        standardErrorM: result.answer.standardErrorM,
        at: '2026-05-01T09:30:00Z',
        fingerprint: 'a'.repeat(64),
        inputs: { offsetSetM: made.depthOffsets[transducerId]?.offsetSetM ?? 0 },
      },
    },
  ];
};
