import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sqlite3 from 'sqlite3';

/** Why the data are not touched, in words for whoever starts the program. */
export class FolderInUse extends Error {
  override readonly name = 'FolderInUse';
  constructor(folder: string) {
    super(
      `The data in ${folder} are in use by another Grey Keel. Stop that one, or set GREY_KEEL_DATA to another folder.`,
    );
  }
}

const execute = (connection: sqlite3.Database, sql: string): Promise<void> =>
  new Promise((resolve, reject) => connection.exec(sql, (error) => (error ? reject(error) : resolve())));

/**
 * Keeps every other process off the folder of a database until what it gives back is called, or this process ends however
 * it does: an exclusive transaction on a small file of its own, which the system lets go with the process. Throws
 * FolderInUse where another has it.
 */
export const lockFolder = async (databaseFile: string): Promise<() => Promise<void>> => {
  const folder = dirname(databaseFile);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const connection = await new Promise<sqlite3.Database>((resolve, reject) => {
    const made = new sqlite3.Database(join(folder, 'in-use.lock'), (error) => (error ? reject(error) : resolve(made)));
  });
  const close = (): Promise<void> => new Promise((resolve) => connection.close(() => resolve()));
  try {
    await execute(connection, 'BEGIN EXCLUSIVE');
  } catch (error) {
    await close();
    throw String(error).includes('SQLITE_BUSY') ? new FolderInUse(folder) : error;
  }
  return close;
};
