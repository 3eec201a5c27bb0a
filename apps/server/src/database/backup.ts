import { existsSync, statSync } from 'node:fs';
import { copyFile, link, mkdir, open, realpath, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { Database } from './open-database.ts';
import { faultOf, inUse, withConnection } from './sqlite-file.ts';

/** Writes the whole database as it is at this moment into a new file, while it goes on being used. */
export const backUp = async ({ sequelize }: Pick<Database, 'sequelize'>, target: string): Promise<void> => {
  await mkdir(dirname(target), { recursive: true, mode: 0o700 });
  await sequelize.query('VACUUM INTO :target', { replacements: { target } });
};

export type Restored =
  { readonly ok: true; readonly aside: string | null } | { readonly ok: false; readonly detail: string };

/** What a copy is called until it is whole and checked. */
export const unfinished = (file: string): string => `${file}.restoring`;

const remove = async (file: string): Promise<void> => {
  for (const ending of ['', '-wal', '-shm', '-journal']) await rm(file + ending, { force: true });
};

const onDisk = async (path: string): Promise<void> => {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
};

/** A second name for a file, or a copy where the disk knows no second names. */
const alsoCalled = async (file: string, name: string): Promise<void> => {
  try {
    await link(file, name);
  } catch {
    await copyFile(file, name);
    await onDisk(name);
  }
};

const asideName = (file: string, before: string, now: Date): string =>
  `${file}.before-${before}-${now.toISOString().replace(/[:.]/g, '-')}`;

export type PutAside = { readonly inUse: true } | { readonly inUse: false; readonly aside: string | null };

/** Moves a database out of the way, whole; says where to, or null where there was none. */
export const putAside = async (file: string, before: string, now: Date): Promise<PutAside> => {
  if (!existsSync(file)) return { inUse: false, aside: null };
  if (await inUse(file)) return { inUse: true };
  const aside = asideName(file, before, now);
  await rename(file, aside);
  return { inUse: false, aside };
};

/** Copies a backup beside the database, with what its write-ahead file holds, and checks the copy. */
const copied = async (backup: string, beside: string): Promise<string | null> => {
  await remove(beside);
  await copyFile(backup, beside);
  if (existsSync(`${backup}-wal`) && statSync(`${backup}-wal`).size > 0) {
    await copyFile(`${backup}-wal`, `${beside}-wal`);
    // What was written last stands in the write-ahead file alone: it is put into the copy.
    await withConnection(beside, 'write', (rows) => rows('PRAGMA journal_mode = DELETE'));
  }
  const fault = await faultOf(beside);
  if (fault === null) await onDisk(beside);
  return fault;
};

/**
 * Puts a backup in the place of the database. The server must be stopped, or have closed the file; what was there is put
 * aside beside it. A kill at any moment leaves a whole database under its name, the one before or the one restored.
 */
export const restore = async (backup: string, file: string, now: Date): Promise<Restored> => {
  const fault = await faultOf(backup);
  if (fault !== null) return { ok: false, detail: fault };
  if (existsSync(file) && (await realpath(backup)) === (await realpath(file)))
    return { ok: false, detail: `${backup} is the file in use itself. Name a backup of it.` };
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  const beside = unfinished(file);
  const bad = await copied(backup, beside);
  if (bad !== null) {
    await remove(beside);
    return { ok: false, detail: bad };
  }
  let aside: string | null = null;
  if (existsSync(file)) {
    if (await inUse(file)) {
      await remove(beside);
      return { ok: false, detail: `${file} is in use: stop the server first.` };
    }
    aside = asideName(file, 'restore', now);
    await alsoCalled(file, aside);
  }
  await rename(beside, file);
  await onDisk(dirname(file));
  return { ok: true, aside };
};
