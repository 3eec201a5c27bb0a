import { existsSync } from 'node:fs';
import { copyFile, mkdir, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import sqlite3 from 'sqlite3';
import type { Database } from './open-database.ts';
import { newestMigration } from './migrate.ts';

/** Writes the whole database as it is at this moment into a new file, while it goes on being used. */
export const backUp = async ({ sequelize }: Database, target: string): Promise<void> => {
  await mkdir(dirname(target), { recursive: true });
  await sequelize.query('VACUUM INTO :target', { replacements: { target } });
};

export type Restored =
  { readonly ok: true; readonly aside: string | null } | { readonly ok: false; readonly detail: string };

const opened = (file: string, mode: number): Promise<sqlite3.Database> =>
  new Promise((resolve, reject) => {
    const connection = new sqlite3.Database(file, mode, (error) => (error ? reject(error) : resolve(connection)));
  });

const rowsOf = <T>(connection: sqlite3.Database, sql: string): Promise<T[]> =>
  new Promise((resolve, reject) => {
    connection.all<T>(sql, (error, rows) => (error ? reject(error) : resolve(rows)));
  });

const closed = (connection: sqlite3.Database): Promise<void> =>
  new Promise((resolve) => {
    connection.close(() => resolve());
  });

/** Why a file cannot be restored from, or null when it can. The file is only read. */
const faultOf = async (file: string): Promise<string | null> => {
  if (!existsSync(file)) return `There is no file ${file}.`;
  let connection: sqlite3.Database;
  try {
    connection = await opened(file, sqlite3.OPEN_READONLY);
  } catch {
    return `${file} cannot be opened as a database.`;
  }
  try {
    const [check] = await rowsOf<{ integrity_check: string }>(connection, 'PRAGMA integrity_check');
    if (check?.integrity_check !== 'ok') return `${file} is damaged: ${check?.integrity_check ?? 'no answer'}.`;
    const migrations = await rowsOf<{ name: string }>(connection, 'SELECT name FROM migrations ORDER BY name');
    const newest = migrations[migrations.length - 1]?.name ?? '';
    if (newest > newestMigration()) return `${file} is of a newer Grey Keel; restore it with that one.`;
    await rowsOf(connection, 'SELECT id FROM boats LIMIT 1');
    return null;
  } catch {
    return `${file} is no backup of Grey Keel.`;
  } finally {
    await closed(connection);
  }
};

/** Whether another process has the database open and could write to it. */
const inUse = async (file: string): Promise<boolean> => {
  const connection = await opened(file, sqlite3.OPEN_READWRITE);
  try {
    // Leaving WAL needs the file for oneself alone: it is refused while anyone else has it open.
    const [mode] = await rowsOf<{ journal_mode: string }>(connection, 'PRAGMA journal_mode = DELETE');
    return mode?.journal_mode !== 'delete';
  } catch {
    return true;
  } finally {
    await closed(connection);
  }
};

export type PutAside = { readonly inUse: true } | { readonly inUse: false; readonly aside: string | null };

/** Moves a database out of the way, whole; says where to, or null where there was none. */
export const putAside = async (file: string, before: string, now: Date): Promise<PutAside> => {
  if (!existsSync(file)) return { inUse: false, aside: null };
  if (await inUse(file)) return { inUse: true };
  const aside = `${file}.before-${before}-${now.toISOString().replace(/[:.]/g, '-')}`;
  await rename(file, aside);
  await Promise.all(['-wal', '-shm'].map((ending) => rm(file + ending, { force: true })));
  return { inUse: false, aside };
};

/** Puts a backup in the place of the database. The server must be stopped; what was there is put aside beside it. */
export const restore = async (backup: string, file: string, now: Date): Promise<Restored> => {
  const fault = await faultOf(backup);
  if (fault !== null) return { ok: false, detail: fault };
  await mkdir(dirname(file), { recursive: true });
  const before = await putAside(file, 'restore', now);
  if (before.inUse) return { ok: false, detail: `${file} is in use: stop the server first.` };
  const beside = `${file}.restoring`;
  await copyFile(backup, beside);
  await rename(beside, file);
  return { ok: true, aside: before.aside };
};
