import { handoverEditSchemas } from '@grey-keel/model';
import { editRows } from '../../edits/edit-row.ts';

export const handoverEdits = editRows(handoverEditSchemas, {
  printCard: (plan, { id, card }) => {
    plan.cards[id] = card;
  },
});
