import * as z from 'zod';
import { instantSchema } from '../plan/id.ts';

/** A backup that the program made by itself. */
export const backupEntrySchema = z.strictObject({
  name: z.string(),
  at: instantSchema,
  bytes: z.number().int().min(0),
});
export type BackupEntry = z.output<typeof backupEntrySchema>;

/** Newest first. */
export const backupsSchema = z.array(backupEntrySchema);
