import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { readdirSync, writeFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { seedDemo } from '../demo/seed-demo.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { scratchFolder } from '../testing/test-server.ts';
import { migrate } from './migrate.ts';
import { openDatabase, type Database } from './open-database.ts';

const run: Parameters<typeof migrate>[2] = (connection, sql) =>
  new Promise((resolve, reject) => connection.exec(sql, (error) => (error ? reject(error) : resolve())));

describe('migrations', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  const counts = async (): Promise<number[]> =>
    Promise.all(
      ['boats', 'revisions', 'snapshots', 'catalogue_entries'].map(async (table) => {
        const [row] = await database.sequelize.query<{ n: number }>(`SELECT count(*) AS n FROM ${table}`, {
          type: QueryTypes.SELECT,
        });
        return row?.n ?? -1;
      }),
    );
  const next = (sql: string): string => {
    const path = join(folder.path, 'migrations');
    mkdirSync(path, { recursive: true });
    writeFileSync(join(path, '900-next.sql'), sql);
    return `${path}/`;
  };

  beforeEach(async () => {
    folder = scratchFolder();
    database = await openDatabase(join(folder.path, 'boats.sqlite'));
    await seedDemo(new BoatStore(database), new Date('2026-06-01T08:00:00Z'));
  });
  afterEach(async () => {
    await database.close();
    folder.remove();
  });

  it('run once, keep every row, and put a copy aside first', async () => {
    const before = await counts();
    const aside = (): number => readdirSync(folder.path).filter((name) => name.includes('.before-')).length;
    expect([before[0], aside()]).toEqual([3, 0]);
    const path = next('ALTER TABLE boats ADD COLUMN berth TEXT;');
    expect(await migrate(database.sequelize, database.file, run, path)).toEqual(['900-next.sql']);
    expect(await migrate(database.sequelize, database.file, run, path)).toEqual([]);
    expect(await counts()).toEqual(before);
    expect(aside()).toBe(1);
  });

  it('leave everything as it was when one fails half way', async () => {
    const before = await counts();
    const path = next('DELETE FROM boats;\nINSERT INTO nowhere VALUES (1);');
    await expectAsync(migrate(database.sequelize, database.file, run, path)).toBeRejected();
    expect(await counts()).toEqual(before);
  });

  it('are recorded in the transaction that they are, so that neither is there without the other', async () => {
    const path = next(
      "ALTER TABLE boats ADD COLUMN berth TEXT;\nINSERT INTO migrations (name) VALUES ('900-next.sql');",
    );
    // Its own record collides: then nothing of it may stand.
    await expectAsync(migrate(database.sequelize, database.file, run, path)).toBeRejected();
    const columns = async (): Promise<string[]> =>
      (await database.sequelize.query<{ name: string }>('PRAGMA table_info(boats)', { type: QueryTypes.SELECT })).map(
        ({ name }) => name,
      );
    expect(await columns()).not.toContain('berth');
    const good = next('ALTER TABLE boats ADD COLUMN berth TEXT;');
    expect(await migrate(database.sequelize, database.file, run, good)).toEqual(['900-next.sql']);
    expect(await columns()).toContain('berth');
  });

  it('survive a kill before any statement: either none of it is there or all, and the next start ends it', async () => {
    const before = await counts();
    const path = next(
      "ALTER TABLE boats ADD COLUMN berth TEXT;\nUPDATE boats SET berth = 'inner';\nCREATE TABLE berths (name TEXT);",
    );
    await database.close();
    const dieAt = (statement: number): Promise<number | null> =>
      new Promise((resolve) => {
        const script = fileURLToPath(new URL('../testing/migrate-and-die.ts', import.meta.url));
        const child = fork(script, [database.file, path, String(statement)], { execArgv: ['--import', 'tsx'] });
        let told: number | null = null;
        child.once('message', (message) => (told = Number(message)));
        child.once('exit', () => resolve(told));
      });
    // BEGIN, the three, the record and COMMIT.
    for (let statement = 0; statement < 6; statement++) {
      expect(await dieAt(statement))
        .withContext(`before statement ${statement}`)
        .toBeNull();
      database = await openDatabase(database.file);
      expect(await counts()).toEqual(before);
      const [columns] = await database.sequelize.query('PRAGMA table_info(boats)');
      expect(JSON.stringify(columns)).not.toContain('berth');
      await database.close();
    }
    expect(await dieAt(99)).toBe(6);
    database = await openDatabase(database.file);
    expect(await migrate(database.sequelize, database.file, run, path)).toEqual([]);
    expect(await counts()).toEqual(before);
  }, 60_000);

  it('find the database in WAL mode, writing through, with foreign keys', async () => {
    const pragma = async (name: string): Promise<unknown> => {
      const [row] = await database.sequelize.query<Record<string, unknown>>(`PRAGMA ${name}`, {
        type: QueryTypes.SELECT,
      });
      return Object.values(row ?? {})[0];
    };
    expect([await pragma('journal_mode'), await pragma('synchronous'), await pragma('foreign_keys')]).toEqual([
      'wal',
      2,
      1,
    ]);
    const inside = await database.write(async (transaction) => {
      const [row] = await database.sequelize.query<{ synchronous: number }>('PRAGMA synchronous', {
        type: QueryTypes.SELECT,
        transaction,
      });
      return row?.synchronous;
    });
    expect(inside).toBe(2);
  });
});
