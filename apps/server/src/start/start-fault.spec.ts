import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  statSync,
  symlinkSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { spawnSync } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { databaseIn, keepPrivate } from '../data-folder.ts';
import { openDatabase } from '../database/open-database.ts';
import { FolderInUse, lockFolder } from '../database/folder-lock.ts';
import { scratchFolder, serverProcess } from '../testing/test-server.ts';
import { dataFault, portFault } from './start-fault.ts';

/** What is to be refused ends at once; what is taken by mistake would run for ever. */
const within = { encoding: 'utf8', timeout: 40_000 } as const;

describe('what stands in the way of a start', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let file: string;
  const made = async (): Promise<void> => (await openDatabase(file)).close();
  const sql = (text: string): Promise<void> =>
    new Promise((resolve, reject) => {
      const connection = new sqlite3.Database(file);
      connection.exec(text, (error) => connection.close(() => (error ? reject(error) : resolve())));
    });

  beforeEach(() => {
    folder = scratchFolder();
    file = databaseIn(folder.path);
  });
  afterEach(() => folder.remove());

  it('is nothing on a new machine, nor where the data are as they were left, and nothing is made by looking', async () => {
    expect(await dataFault(file)).toBeNull();
    expect(await dataFault(databaseIn(join(folder.path, 'not', 'there')))).toBeNull();
    expect(readdirSync(folder.path)).toEqual([]);
    await made();
    expect(await dataFault(file)).toBeNull();
  });

  it('is a file that is damaged, of something else, or of a newer program', async () => {
    writeFileSync(file, 'a letter to the harbour master');
    expect(await dataFault(file)).toContain('no file of Grey Keel');
    writeFileSync(file, '');
    await sql('CREATE TABLE recipes (name TEXT)');
    expect(await dataFault(file)).toContain('no file of Grey Keel');
    writeFileSync(file, '');
    await made();
    await sql("INSERT INTO migrations (name) VALUES ('999-later.sql')");
    expect(await dataFault(file)).toContain('newer Grey Keel');
  });

  it('is a link to what is not there, and a record of updates that is lost, each in one sentence', async () => {
    symlinkSync(join(folder.path, 'elsewhere.sqlite'), file);
    expect(await dataFault(file)).toMatch(/is a link to .*elsewhere\.sqlite, which is not there\./);
    unlinkSync(file);
    await made();
    await sql("DELETE FROM migrations WHERE name = '002-fleet-pages.sql'");
    expect(await dataFault(file)).toContain('has lost the record of its updates');
    await sql('DELETE FROM migrations');
    const { stderr, status } = spawnSync(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts'], {
      env: { ...process.env, GREY_KEEL_DATA: folder.path, GREY_KEEL_PORT: '0', GREY_KEEL_LOG: 'silent' },
      ...within,
    });
    expect(status).toBe(2);
    expect(stderr.trim().split('\n').length).toBe(1);
    expect(stderr).toContain('Restore a backup.');
  });

  it('is another server on the same folder, until that one ends, by a kill too; a restore is refused meanwhile', async () => {
    const first = await serverProcess(folder.path);
    await expectAsync(lockFolder(file)).toBeRejectedWithError(FolderInUse, /in use by another Grey Keel/);
    const second = spawnSync(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts'], {
      env: { ...process.env, GREY_KEEL_DATA: folder.path, GREY_KEEL_PORT: '0', GREY_KEEL_LOG: 'silent' },
      ...within,
    });
    expect([second.status, second.stderr.trim()]).toEqual([2, new FolderInUse(folder.path).message]);
    const restoring = spawnSync(process.execPath, ['--import', 'tsx', 'apps/server/src/restore.ts', file], {
      env: { ...process.env, GREY_KEEL_DATA: folder.path },
      ...within,
    });
    expect([restoring.status, restoring.stderr.includes('in use by another Grey Keel')]).toEqual([1, true]);
    first.child.kill('SIGKILL');
    await first.ended;
    await (
      await lockFolder(file)
    )();
  });

  it('is not a change that a kill left half done: it is taken back', async () => {
    await made();
    const script = `
      const sqlite3 = require('sqlite3');
      const db = new sqlite3.Database(process.argv[1]);
      db.exec("PRAGMA journal_mode = DELETE; PRAGMA cache_size = 1; PRAGMA cache_spill = 1; BEGIN;" +
        "CREATE TABLE half (a TEXT); INSERT INTO half WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n LIMIT 3000)" +
        " SELECT hex(randomblob(400)) FROM n;", () => process.kill(process.pid, 'SIGKILL'));
    `;
    spawnSync(process.execPath, ['-e', script, file]);
    expect(statSync(`${file}-journal`).size).toBeGreaterThan(512);
    expect(await dataFault(file)).toBeNull();
  });

  it('is a database that is missing while a copy was put aside: a start does not begin empty', async () => {
    const aside = `${file}.before-restore-2026-06-01T08-00-00-000Z`;
    writeFileSync(aside, '');
    const fault = await dataFault(file);
    expect(fault).toContain(aside);
    expect(fault).toContain('npm run restore');
    expect(existsSync(file)).toBeFalse();
  });

  it('is a port in use, said with what to do', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as AddressInfo;
    expect(await portFault('127.0.0.1', port)).toContain(`Port ${port} is in use`);
    await new Promise((resolve) => other.close(resolve));
    expect(await portFault('127.0.0.1', port)).toBeNull();
    expect(await portFault('192.0.2.1', 0)).toContain('GREY_KEEL_HOST');
  });

  it('does not keep others out of the data of a user by itself: the folder is made private', () => {
    const data = join(folder.path, 'data');
    mkdirSync(join(data, 'backups'), { recursive: true });
    writeFileSync(databaseIn(data), '');
    chmodSync(data, 0o755);
    const before = process.umask();
    keepPrivate(data);
    writeFileSync(join(data, 'later'), '');
    process.umask(before);
    const mode = (path: string): number => statSync(path).mode & 0o777;
    expect([mode(data), mode(join(data, 'backups'))]).toEqual([0o700, 0o700]);
    expect([mode(databaseIn(data)), mode(join(data, 'later'))]).toEqual([0o600, 0o600]);
  });
});
