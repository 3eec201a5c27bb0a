import * as z from 'zod';
import { instantSchema } from '../plan/id.ts';

/** One made each day, or what was there before a restore or an upgrade, put aside by it. */
export const backupKinds = ['daily', 'put aside'] as const;

/** A backup that the program made by itself. */
export const backupEntrySchema = z.strictObject({
  name: z.string(),
  at: instantSchema,
  bytes: z.number().int().min(0),
  kind: z.enum(backupKinds),
  /** Dated later than the server's clock says it is: that was set back, or was wrong when it was made. */
  isAhead: z.boolean(),
  /** Made before photographs were cleaned: it may still hold where they were taken. */
  holdsPositions: z.boolean(),
});
export type BackupEntry = z.output<typeof backupEntrySchema>;

/** Newest first. */
export const backupsSchema = z.array(backupEntrySchema);

/** What a restore ended, by name: recordings that were under way, and logs that have to be taken in again. */
export const restoredSchema = z.strictObject({ recordings: z.array(z.string()), imports: z.array(z.string()) });
export type RestoredBackup = z.output<typeof restoredSchema>;
