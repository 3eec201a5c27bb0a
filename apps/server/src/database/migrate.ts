import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { QueryTypes, type Sequelize } from 'sequelize';
import type sqlite3 from 'sqlite3';
import { Umzug } from 'umzug';

type Execute = (connection: sqlite3.Database, sql: string) => Promise<void>;

const shipped = fileURLToPath(new URL('./migrations/', import.meta.url));

const sqlFiles = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort();

/** The migrations this program brings, in order. */
export const shippedMigrations = (): readonly string[] => sqlFiles(shipped);

/** Puts a copy of the database beside it, named after the moment, before anything in it is changed. */
const putAside = async (sequelize: Sequelize, file: string): Promise<void> => {
  const copy = `${file}.before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  await sequelize.query('VACUUM INTO :copy', { replacements: { copy }, type: QueryTypes.RAW });
};

/**
 * Runs the SQL migrations that this file has not seen yet, after a copy is put aside. Each is one transaction with the
 * record that it ran, so that a kill leaves a file either before it or after it.
 */
export const migrate = async (
  sequelize: Sequelize,
  file: string,
  execute: Execute,
  folder: string = shipped,
): Promise<string[]> => {
  const hadData = existsSync(file) && statSync(file).size > 0;
  await sequelize.query('CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY)');
  const manager = sequelize.connectionManager as unknown as {
    getConnection: (options: object) => Promise<sqlite3.Database>;
  };
  const umzug = new Umzug({
    migrations: sqlFiles(folder).map((name) => ({
      name,
      up: async () => {
        const sql = readFileSync(folder + name, 'utf8');
        const connection = await manager.getConnection({ type: 'write' });
        try {
          await execute(
            connection,
            `BEGIN IMMEDIATE;\n${sql}\nINSERT INTO migrations (name) VALUES ('${name}');\nCOMMIT;`,
          );
        } catch (error) {
          await execute(connection, 'ROLLBACK;').catch(() => undefined);
          throw error;
        }
      },
    })),
    storage: {
      executed: async () => {
        const rows = await sequelize.query<{ name: string }>('SELECT name FROM migrations', {
          type: QueryTypes.SELECT,
        });
        return rows.map(({ name }) => name);
      },
      // The record is written by the migration itself, in its transaction.
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.resolve(),
    },
    logger: undefined,
  });
  const pending = await umzug.pending();
  if (pending.length > 0 && hadData) await putAside(sequelize, file);
  return (await umzug.up()).map(({ name }) => name);
};
