import { revisionSchema } from '@grey-keel/model';
import * as z from 'zod';
import type { OutboxEntry } from './waiting-entry.ts';
import type { Stuck, Unsent } from './plan.state.ts';

/** What the server says to an edit that was made on an older state: what has come since. */
export const behindSchema = z.looseObject({ missing: z.array(revisionSchema) });
/** What it says where the base is none of its own: its file was replaced. */
export const otherHistorySchema = z.looseObject({ otherHistory: z.literal(true) });

/** What waits, apart by whether it can be sent. */
export const sorted = (entries: readonly OutboxEntry[]): { unsent: Unsent[]; stuck: Stuck[] } => {
  const unsent: Unsent[] = [];
  const stuck: Stuck[] = [];
  for (const { revisionId, edits, patches, base, baseId = null, reason } of entries) {
    const entry = { revisionId, edits, patches, base, baseId };
    if (reason === undefined) unsent.push(entry);
    else stuck.push({ ...entry, reason });
  }
  return { unsent, stuck };
};
