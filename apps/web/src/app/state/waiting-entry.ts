import { editSchema, patchSchema, planVersion, upgradeEdits } from '@grey-keel/model';
import * as z from 'zod';

const withVersion = z.looseObject({ planVersion: z.number().int().min(1) });

/** The plan version something that waits was made in; 0 where it does not say, or is no such thing. */
export const versionOf = (raw: unknown): number => withVersion.safeParse(raw).data?.planVersion ?? 0;

/** What was made before an update, in the words of today: what has no like any more is refused by the schema. */
const inTodaysWords = (raw: unknown): unknown => {
  const version = versionOf(raw);
  if (typeof raw !== 'object' || raw === null || version >= planVersion) return raw;
  const { edits, ...rest } = raw as { readonly edits?: unknown };
  return { ...rest, planVersion, edits: upgradeEdits(edits, version || 1) };
};

const madeShape = z.strictObject({
  revisionId: z.uuid(),
  boatId: z.string(),
  base: z.number().int().min(0),
  /** Left out by earlier versions, which went by the number alone. */
  baseId: z.uuid().nullable().optional(),
  edits: z.array(editSchema),
  patches: z.array(patchSchema),
  /** Why they wait aside: the server refused them, or they no longer apply. */
  reason: z.string().optional(),
  /** The window in which it was on the screen; left out by earlier versions, where it is the tab that put it there. */
  line: z.string().optional(),
  /** Of the program it was made in; left out by earlier ones. */
  planVersion: z.number().int().min(1).max(planVersion).optional(),
});
const madeSchema = z.preprocess(inTodaysWords, madeShape);
export const entrySchema = z.preprocess(
  inTodaysWords,
  madeShape.extend({
    tabId: z.string(),
    /** Rises with every entry; entries of one boat are sent in this order. */
    order: z.number(),
  }),
);
export const noteSchema = z.preprocess(inTodaysWords, madeShape.extend({ tabId: z.string(), made: z.number() }));

/** Edits on this machine that the server has not answered for. They outlive the tab that made them. */
export type OutboxEntry = z.output<typeof entrySchema>;
/** What is known of an edit the moment it is made; the database adds its order. */
export type Made = z.output<typeof madeSchema>;
export type Note = z.output<typeof noteSchema>;

/** What waited under another name of this machine, on its way here. */
export const handOverSchema = z.strictObject({ from: z.url(), entries: z.array(madeSchema) });
export type HandOver = z.output<typeof handOverSchema>;
