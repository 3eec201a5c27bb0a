import type { Edit, Plan } from '@grey-keel/model';
import { offsetKeyedIn } from '../calibration/keyed-in.ts';
import { measuredOffset } from '../calibration/depth-offset-subject.ts';
import { edited } from './sample-plan.ts';

/** A display shows this with the plan's own offset, and enters what the readings give. */
export const enteredBy = (plan: Plan, edits: readonly Edit[], transducerId = 'a-hull'): Edit[] => {
  const made = edited(plan, ...edits);
  const result = measuredOffset.of(made, transducerId);
  const entry = result?.known
    ? offsetKeyedIn(made, transducerId, result.answer.offsetM, { at: '2026-05-01T09:30:00Z', by: null, reason: null })
    : null;
  if (!entry) throw new Error('There is no result to enter.');
  return [...edits, entry];
};
