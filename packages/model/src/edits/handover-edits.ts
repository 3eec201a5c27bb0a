import * as z from 'zod';
import { idSchema } from '../plan/id.ts';
import { printedCardSchema } from '../plan/plan.ts';

/** Changes of the handover. */
export const handoverEditSchemas = {
  printCard: z.strictObject({ type: z.literal('printCard'), id: idSchema, card: printedCardSchema }),
};
