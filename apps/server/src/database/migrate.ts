import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { QueryTypes, type Sequelize } from 'sequelize';
import type sqlite3 from 'sqlite3';
import { SequelizeStorage, Umzug } from 'umzug';

type Execute = (connection: sqlite3.Database, sql: string) => Promise<void>;

const shipped = fileURLToPath(new URL('./migrations/', import.meta.url));

const sqlFiles = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort();

/** The newest migration this program brings. */
export const newestMigration = (): string => sqlFiles(shipped).at(-1) ?? '';

/** Puts a copy of the database beside it, named after the moment, before anything in it is changed. */
const putAside = async (sequelize: Sequelize, file: string): Promise<void> => {
  const copy = `${file}.before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  await sequelize.query('VACUUM INTO :copy', { replacements: { copy }, type: QueryTypes.RAW });
};

/** Runs the SQL migrations that this file has not seen yet, each in one transaction, after a copy is put aside. */
export const migrate = async (
  sequelize: Sequelize,
  file: string,
  execute: Execute,
  folder: string = shipped,
): Promise<string[]> => {
  const hadData = existsSync(file) && statSync(file).size > 0;
  const manager = sequelize.connectionManager as unknown as {
    getConnection: (options: object) => Promise<sqlite3.Database>;
  };
  const names = sqlFiles(folder);
  const umzug = new Umzug({
    migrations: names.map((name) => ({
      name,
      up: async () => {
        const sql = readFileSync(folder + name, 'utf8');
        const connection = await manager.getConnection({ type: 'write' });
        try {
          await execute(connection, `BEGIN IMMEDIATE;\n${sql}\nCOMMIT;`);
        } catch (error) {
          await execute(connection, 'ROLLBACK;').catch(() => undefined);
          throw error;
        }
      },
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  const pending = await umzug.pending();
  if (pending.length > 0 && hadData) await putAside(sequelize, file);
  return (await umzug.up()).map(({ name }) => name);
};
