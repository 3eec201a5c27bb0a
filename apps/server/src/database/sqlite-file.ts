import { existsSync } from 'node:fs';
import sqlite3 from 'sqlite3';
import { shippedMigrations } from './migrate.ts';

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

/** Does something with a file of SQLite through a connection of its own. */
export const withConnection = async <T>(
  file: string,
  mode: 'read' | 'write',
  work: (rows: <R>(sql: string) => Promise<R[]>) => Promise<T>,
): Promise<T> => {
  const connection = await opened(file, mode === 'read' ? sqlite3.OPEN_READONLY : sqlite3.OPEN_READWRITE);
  try {
    return await work((sql) => rowsOf(connection, sql));
  } finally {
    await closed(connection);
  }
};

/**
 * Why a file is no database of this program, or null when it is one. The file is only read, unless a kill has left a
 * change half done in it: then SQLite takes that back first, as it does whenever such a file is opened.
 */
export const faultOf = async (file: string, mode: 'read' | 'write' = 'read'): Promise<string | null> => {
  if (!existsSync(file)) return `There is no file ${file}.`;
  try {
    return await withConnection(file, mode, async (rows) => {
      const [check] = await rows<{ integrity_check: string }>('PRAGMA integrity_check(1)');
      if (check?.integrity_check !== 'ok')
        return `${file} is damaged: ${check?.integrity_check ?? 'no answer'}. Restore a backup.`;
      const known = new Set(shippedMigrations());
      const run = await rows<{ name: string }>('SELECT name FROM migrations');
      if (run.some(({ name }) => !known.has(name)))
        return `${file} was written by a newer Grey Keel. Open it with that one.`;
      await rows('SELECT id FROM boats LIMIT 1');
      // What an update made is there without the record that it ran: it would be made again, and fail.
      const inOrder = [...known].slice(0, run.length);
      if (run.some(({ name }) => !inOrder.includes(name)))
        return `${file} has lost the record of its updates. Restore a backup.`;
      return null;
    });
  } catch (error) {
    const text = String(error);
    if (mode === 'read' && /SQLITE_(READONLY|CANTOPEN|BUSY|PROTOCOL)/.test(text)) return faultOf(file, 'write');
    if (/SQLITE_CANTOPEN|SQLITE_PERM|SQLITE_AUTH|EACCES/.test(text))
      return `${file} cannot be opened. Let this user read and write it.`;
    if (text.includes('SQLITE_CORRUPT')) return `${file} is damaged. Restore a backup.`;
    return `${file} is no file of Grey Keel.`;
  }
};

/**
 * Whether another process has the database open and could write to it. What its write-ahead file holds is in it
 * afterwards.
 */
export const inUse = async (file: string): Promise<boolean> => {
  try {
    return await withConnection(file, 'write', async (rows) => {
      // Leaving WAL needs the file for oneself alone: it is refused while anyone else has it open.
      const [mode] = await rows<{ journal_mode: string }>('PRAGMA journal_mode = DELETE');
      return mode?.journal_mode !== 'delete';
    });
  } catch {
    return true;
  }
};
