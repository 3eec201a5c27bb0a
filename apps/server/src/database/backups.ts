import type { BackupEntry } from '@grey-keel/model';
import { Mutex } from 'async-mutex';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { backUp, restore, unfinished, type Restored } from './backup.ts';
import type { Database } from './open-database.ts';

const day = 24 * 3600e3;
/** Daily backups that stay; older ones are deleted. */
export const mostBackups = 14;
/** What was put aside by restores and upgrades: so many stay. */
export const mostPutAside = 5;
/** A clock that runs ahead by less is not wrong. */
const leewayMs = 120_000;
const named = /^grey-keel-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})\.sqlite$/;

const nameAt = (now: Date): string => `grey-keel-${now.toISOString().slice(0, 19).replace(/:/g, '-')}.sqlite`;

/** The backups the program makes by itself, beside the database. */
export class Backups {
  readonly folder: string;
  private readonly turn = new Mutex();

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
    /** When photographs were cleaned, where they had to be. */
    private readonly cleanedAt: () => string | null = () => null,
  ) {
    this.folder = join(dirname(database.file), 'backups');
  }

  /** Newest first: those of each day, and what was put aside. */
  list(): BackupEntry[] {
    return [...this.daily(), ...this.putAside()].sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  /** Makes one now, one after the other. It has its name only when it is whole. */
  make(): Promise<BackupEntry | null> {
    return this.turn.runExclusive(() => this.makeOne());
  }

  private async makeOne(): Promise<BackupEntry | null> {
    const name = nameAt(this.now());
    const file = join(this.folder, name);
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    await rm(unfinished(file), { force: true });
    await backUp(this.database, unfinished(file));
    // Of two in one second the later stays: it holds what the earlier does.
    await rename(unfinished(file), file);
    // Those dated ahead of the clock take no place of these, nor does what was just made make room for any.
    const others = this.daily().filter((one) => one.name !== name && !one.isAhead);
    for (const old of others.slice(mostBackups - 1)) await rm(join(this.folder, old.name), { force: true });
    return this.daily().find((one) => one.name === name) ?? null;
  }

  /** Makes one where the newest is more than a day old; one that is dated ahead of the clock says nothing about that. */
  async makeDue(): Promise<BackupEntry | null> {
    const newest = this.daily().find(({ isAhead }) => !isAhead);
    return newest && this.now().getTime() - Date.parse(newest.at) < day ? null : this.make();
  }

  /** Deletes all but the newest of what was put aside; says what it was. */
  async prunePutAside(): Promise<string[]> {
    const old = this.putAside()
      .slice(mostPutAside)
      .map(({ name }) => join(dirname(this.database.file), name));
    for (const file of old) await rm(file, { force: true });
    return old;
  }

  private daily(): BackupEntry[] {
    return this.entries(this.folder, (name) => {
      const [, date = '', hours = '', minutes = '', seconds = ''] = named.exec(name) ?? [];
      return date === '' ? null : { kind: 'daily', at: `${date}T${hours}:${minutes}:${seconds}.000Z` };
    });
  }

  private putAside(): BackupEntry[] {
    const stem = `${basename(this.database.file)}.before-`;
    return this.entries(dirname(this.database.file), (name) =>
      name.startsWith(stem) && !/-(wal|shm|journal)$/.test(name) ? { kind: 'put aside', at: null } : null,
    );
  }

  private entries(
    folder: string,
    known: (name: string) => { readonly kind: BackupEntry['kind']; readonly at: string | null } | null,
  ): BackupEntry[] {
    if (!existsSync(folder)) return [];
    const cleanedAt = this.cleanedAt();
    const latestMs = this.now().getTime() + leewayMs;
    return readdirSync(folder)
      .flatMap((name) => {
        const one = known(name);
        if (one === null) return [];
        const { mtime, size } = statSync(join(folder, name));
        const at = one.at ?? mtime.toISOString();
        const isAhead = Date.parse(at) > latestMs;
        return [{ name, at, bytes: size, kind: one.kind, isAhead, holdsPositions: at < (cleanedAt ?? '') }];
      })
      .sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  /** Puts one in the place of the database, which goes on being used; null where there is none of that name. */
  async restore(name: string): Promise<Restored | null> {
    const one = this.list().find((entry) => entry.name === name);
    if (!one) return null;
    const file = join(one.kind === 'daily' ? this.folder : dirname(this.database.file), name);
    const answer = await this.database.exchange(() => restore(file, this.database.file, this.now()));
    await this.prunePutAside();
    return answer;
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
