import * as z from 'zod';
import { editSchema } from '../edits/edit.ts';
import { idSchema, instantSchema } from '../plan/id.ts';
import { planSchema } from '../plan/plan.ts';

/** What a client sends: edits on top of revision `base`, under an id of its own making so that sending twice is harmless. */
export const revisionRequestSchema = z.strictObject({
  revisionId: z.uuid(),
  base: z.number().int().min(0),
  /** The id of revision `base`, null for the boat as it was made: a file that was replaced by an older one is noticed by it. */
  baseId: z.uuid().nullable().optional(),
  edits: z.array(editSchema).min(1).max(200),
});
export type RevisionRequest = z.output<typeof revisionRequestSchema>;

export const savedRevisionSchema = z.strictObject({
  number: z.number().int().min(1),
  revisionId: z.uuid(),
  keptAt: instantSchema,
});
export type SavedRevision = z.output<typeof savedRevisionSchema>;

export const pathSchema = z.array(z.union([z.string(), z.number()]));
export type Path = z.output<typeof pathSchema>;

/** A revision as the history tells it, with the places in the plan that it touched. */
export const revisionSchema = savedRevisionSchema.extend({
  edits: z.array(editSchema),
  paths: z.array(pathSchema),
});
export type Revision = z.output<typeof revisionSchema>;

export const openedBoatSchema = z.strictObject({
  id: idSchema,
  number: z.number().int().min(0),
  /** The id of its newest revision; null where there is none yet. */
  revisionId: z.uuid().nullable(),
  keptAt: instantSchema,
  plan: planSchema,
});
export type OpenedBoat = z.output<typeof openedBoatSchema>;

/** What the server tells of a boat as it happens: a revision kept, the boat made, deleted or recalled. */
export const boatNewsSchema = z.strictObject({
  boatId: idSchema,
  number: z.number().int().min(0),
  revisionId: z.uuid().nullable(),
  removed: z.boolean(),
});
export type BoatNews = z.output<typeof boatNewsSchema>;
