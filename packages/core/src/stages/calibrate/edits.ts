import { calibrateEditSchemas, type DepthOffset, type Plan } from '@grey-keel/model';
import { collection } from '../../edits/collection.ts';
import { transducers } from '../../edits/collections.ts';
import { editRows } from '../../edits/edit-row.ts';
import { newDepthOffset } from '../../edits/new-parts.ts';

const offsetOf = (plan: Plan, transducerId: string): DepthOffset => {
  transducers.get(plan, transducerId);
  return (plan.depthOffsets[transducerId] ??= newDepthOffset());
};
const readingsOf = (transducerId: string) =>
  collection(`depthOffsets.${transducerId}.readings`, 'reading', (plan) => offsetOf(plan, transducerId).readings);

export const calibrateEdits = editRows(calibrateEditSchemas, {
  describeDepthOffset: (plan, { transducerId, changes }) => {
    Object.assign(offsetOf(plan, transducerId), changes);
  },
  recordReading: (plan, { transducerId, readingId, reading }) => readingsOf(transducerId).add(plan, readingId, reading),
  correctReading: (plan, { transducerId, readingId, changes }) =>
    readingsOf(transducerId).describe(plan, readingId, changes),
  removeReading: (plan, { transducerId, readingId }) => {
    readingsOf(transducerId).remove(plan, readingId);
  },
  enterDepthOffset: (plan, { transducerId, entered }) => {
    offsetOf(plan, transducerId).entered = entered;
  },
});
