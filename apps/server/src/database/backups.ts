import type { BackupEntry } from '@grey-keel/model';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { backUp, restore, unfinished, type Restored } from './backup.ts';
import type { Database } from './open-database.ts';

const day = 24 * 3600e3;
/** Daily backups that stay; older ones are deleted. */
export const mostBackups = 14;
const named = /^grey-keel-\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}\.sqlite$/;

const nameAt = (now: Date): string => `grey-keel-${now.toISOString().slice(0, 19).replace(/:/g, '-')}.sqlite`;

/** The backups the program makes by itself, beside the database. */
export class Backups {
  readonly folder: string;

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
  ) {
    this.folder = join(dirname(database.file), 'backups');
  }

  /** Newest first. */
  list(): BackupEntry[] {
    if (!existsSync(this.folder)) return [];
    return readdirSync(this.folder)
      .filter((name) => named.test(name))
      .map((name) => {
        const { mtime, size } = statSync(join(this.folder, name));
        return { name, at: mtime.toISOString(), bytes: size };
      })
      .sort((a, b) => (a.name < b.name ? 1 : -1));
  }

  /** Makes one now. It has its name only when it is whole. */
  async make(): Promise<BackupEntry | null> {
    const name = nameAt(this.now());
    const file = join(this.folder, name);
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    await rm(unfinished(file), { force: true });
    await backUp(this.database, unfinished(file));
    // Of two in one second the later stays: it holds what the earlier does.
    await rename(unfinished(file), file);
    for (const old of this.list().slice(mostBackups)) await rm(join(this.folder, old.name), { force: true });
    return this.list().find((one) => one.name === name) ?? null;
  }

  /** Makes one where the newest is more than a day old. */
  async makeDue(): Promise<BackupEntry | null> {
    const [newest] = this.list();
    return newest && this.now().getTime() - new Date(newest.at).getTime() < day ? null : this.make();
  }

  /** Puts one in the place of the database, which goes on being used; null where there is none of that name. */
  async restore(name: string): Promise<Restored | null> {
    if (!this.list().some((one) => one.name === name)) return null;
    return this.database.exchange(() => restore(join(this.folder, name), this.database.file, this.now()));
  }

  /** Deletes what a kill left half made; says what it was. */
  async clearUnfinished(): Promise<string[]> {
    const beside = dirname(this.database.file);
    const left = [beside, this.folder].flatMap((folder) =>
      existsSync(folder)
        ? readdirSync(folder)
            .filter((name) => /\.restoring(-\w+)?$/.test(name))
            .map((name) => join(folder, name))
        : [],
    );
    for (const file of left) await rm(file, { force: true });
    return left;
  }
}
