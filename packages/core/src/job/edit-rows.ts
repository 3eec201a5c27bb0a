import { editSchemas, type EditKind, type EditOf } from '@grey-keel/model';
import { editRows, type EditRow } from '../edits/edit-row.ts';
import { heldEdits } from '../edits/held-edits.ts';
import { putPatches } from '../edits/put-patches.ts';
import { stages } from './stages.ts';

/** Every kind of edit there is. One that a stage's schema has and nobody applies does not compile. */
export const allEditRows = {
  ...stages.brief.edits,
  ...stages.beams.edits,
  ...stages.fit.edits,
  ...stages.sources.edits,
  ...stages.calibrate.edits,
  ...stages.pages.edits,
  ...stages.keys.edits,
  ...stages.handover.edits,
  ...heldEdits,
  ...editRows({ restore: editSchemas.restore }, { restore: (plan, { patches }) => putPatches(plan, patches) }),
} satisfies { readonly [K in EditKind]: EditRow<EditOf<K>> };
