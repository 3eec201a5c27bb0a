import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Mutex } from 'async-mutex';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { Gate } from './gate.ts';
import { migrate } from './migrate.ts';
import { defineTables, type Tables } from './tables.ts';

export interface Database {
  readonly file: string;
  readonly sequelize: Sequelize;
  readonly tables: Tables;
  /** Runs one write at a time, inside a transaction: SQLite has one writer, and two at once would fail with SQLITE_BUSY. */
  readonly write: <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;
  /** Whoever reads outside of a write has a share of it, so that the file is not exchanged under them. */
  readonly gate: Gate;
  /** Closes the file, lets it be exchanged, and opens what stands there then. Writes wait meanwhile. */
  readonly exchange: <T>(work: () => Promise<T>) => Promise<T>;
  readonly close: () => Promise<void>;
}

interface ConnectionManager {
  getConnection: (options: unknown) => Promise<sqlite3.Database>;
}

const pragmas = `
  PRAGMA journal_mode = WAL;
  PRAGMA synchronous = FULL;
  PRAGMA foreign_keys = ON;
  PRAGMA busy_timeout = 5000;
`;

const execute = (connection: sqlite3.Database, sql: string): Promise<void> =>
  new Promise((resolve, reject) => {
    connection.exec(sql, (error) => (error ? reject(error) : resolve()));
  });

/** Sequelize opens a connection for each transaction; PRAGMAs belong to a connection, so each gets them as it is made. */
const withPragmas = (sequelize: Sequelize): void => {
  const manager = sequelize.connectionManager as unknown as ConnectionManager;
  const open = manager.getConnection.bind(manager);
  const prepared = new WeakSet<sqlite3.Database>();
  manager.getConnection = async (options) => {
    const connection = await open(options);
    if (!prepared.has(connection)) {
      prepared.add(connection);
      await execute(connection, pragmas);
    }
    return connection;
  };
};

interface Opened {
  readonly sequelize: Sequelize;
  readonly tables: Tables;
}

const opened = async (file: string): Promise<Opened> => {
  const sequelize = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: file, logging: false });
  withPragmas(sequelize);
  await migrate(sequelize, file, execute);
  return { sequelize, tables: defineTables(sequelize) };
};

/** Opens the database file, making its folder if need be, and brings it up to the newest migration. */
export const openDatabase = async (file: string): Promise<Database> => {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  let now = await opened(file);
  const mutex = new Mutex();
  return {
    file,
    gate: new Gate(),
    get sequelize() {
      return now.sequelize;
    },
    get tables() {
      return now.tables;
    },
    write: (work) => mutex.runExclusive(() => now.sequelize.transaction(work)),
    exchange: (work) =>
      mutex.runExclusive(async () => {
        await now.sequelize.close();
        try {
          return await work();
        } finally {
          now = await opened(file);
        }
      }),
    close: () => mutex.runExclusive(() => now.sequelize.close()),
  };
};
