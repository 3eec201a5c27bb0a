import { existsSync, readdirSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { emptyPlan } from '@grey-keel/model';
import { BoatStore } from '../fleet/boat-store.ts';
import { scratchFolder } from '../testing/test-server.ts';
import { unfinished } from './backup.ts';
import { Backups, mostBackups, mostPutAside } from './backups.ts';
import { openDatabase, type Database } from './open-database.ts';

describe('the backups that are made by themselves', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  let now: Date;
  let backups: Backups;
  const hours = (count: number): Date => new Date(now.getTime() + count * 3600e3);

  beforeEach(async () => {
    folder = scratchFolder();
    now = new Date();
    database = await openDatabase(join(folder.path, 'boats.sqlite'));
    backups = new Backups(database, () => now);
  });
  afterEach(async () => {
    await database.close();
    folder.remove();
  });

  it('are made once a day, and the oldest make room', async () => {
    expect((await backups.makeDue())?.name).toMatch(/^grey-keel-.*\.sqlite$/);
    now = hours(23);
    expect(await backups.makeDue()).toBeNull();
    for (let i = 0; i < mostBackups + 2; i++) {
      now = hours(25);
      await backups.make();
    }
    const names = backups.list().map(({ name }) => name);
    expect(names.length).toBe(mostBackups);
    expect([...names].sort().reverse()).toEqual(names);
    expect(readdirSync(backups.folder).length).toBe(mostBackups);
  });

  it('are made each day though some are dated ahead of the clock, which take no place of the others', async () => {
    const right = now;
    for (let i = 0; i < mostBackups; i++) {
      now = new Date(right.getTime() + (400 + i) * 24 * 3600e3);
      await backups.make();
    }
    now = right;
    expect(backups.list().every(({ isAhead }) => isAhead)).toBeTrue();
    for (let i = 1; i <= mostBackups + 1; i++) {
      const made = await backups.makeDue();
      expect(made?.isAhead).withContext(`day ${i}`).toBeFalse();
      expect(backups.list().map(({ name }) => name)).toContain(made?.name ?? '');
      now = hours(25);
    }
    expect(backups.list().filter(({ isAhead }) => isAhead).length).toBe(mostBackups);
    expect(backups.list().filter(({ isAhead }) => !isAhead).length).toBe(mostBackups);
  });

  it('are listed with what was put aside, of which the newest stay', async () => {
    for (let i = 0; i < mostPutAside + 2; i++) {
      const made = await backups.make();
      await new BoatStore(database).create(`hull-${i}`, emptyPlan('Hull'));
      now = hours(1);
      expect((await backups.restore(made?.name ?? ''))?.ok).toBeTrue();
    }
    const aside = backups.list().filter(({ kind }) => kind === 'put aside');
    expect(aside.length).toBe(mostPutAside);
    // One put aside long ago stands behind the daily ones: whatever the kind, the newest come first.
    const longAgo = new Date(0);
    utimesSync(join(folder.path, aside.at(-1)?.name ?? ''), longAgo, longAgo);
    expect(backups.list().at(-1)?.name).toBe(aside.at(-1)?.name);
    expect((await backups.restore(aside[0]?.name ?? ''))?.ok).toBeTrue();
    expect((await new BoatStore(database).fleet()).map(({ id }) => id)).toEqual([`hull-${mostPutAside + 1}`]);
  });

  it('are made one after the other, though several are asked for at once', async () => {
    const made = await Promise.all([backups.make(), backups.make(), backups.make()]);
    expect(made.every((one) => one !== null)).toBeTrue();
    expect((await backups.restore(made[0]?.name ?? ''))?.ok).toBeTrue();
  });

  it('hold what was there when they were asked for, though another was made in the same second', async () => {
    await backups.make();
    await new BoatStore(database).create('first', emptyPlan('First'));
    const made = await backups.make();
    expect(backups.list().length).toBe(1);
    await backups.restore(made?.name ?? '');
    expect((await new BoatStore(database).fleet()).map(({ id }) => id)).toEqual(['first']);
  });

  it('are restored while the database is open; what was there is put aside', async () => {
    const boats = new BoatStore(database);
    await boats.create('first', emptyPlan('First'));
    const made = await backups.make();
    await boats.create('second', emptyPlan('Second'));
    expect(await backups.restore('grey-keel-none.sqlite')).toBeNull();
    const [restored] = await Promise.all([
      backups.restore(made?.name ?? ''),
      // A write that comes meanwhile waits, and lands in what was restored.
      boats.create('third', emptyPlan('Third')),
    ]);
    expect(restored?.ok).toBeTrue();
    boats.forget();
    expect((await boats.fleet()).map(({ id }) => id)).toEqual(['first', 'third']);
    expect(restored?.ok && restored.aside !== null && existsSync(restored.aside)).toBeTrue();
  });

  it('are not mistaken for one that a kill left half made, which is deleted at the next start', async () => {
    const made = await backups.make();
    const half = unfinished(join(backups.folder, made?.name ?? ''));
    writeFileSync(half, 'half');
    writeFileSync(`${database.file}.restoring-wal`, 'half');
    expect(backups.list().length).toBe(1);
    expect((await backups.clearUnfinished()).sort()).toEqual([`${database.file}.restoring-wal`, half].sort());
    expect(existsSync(half)).toBeFalse();
    expect(await backups.clearUnfinished()).toEqual([]);
  });
});
