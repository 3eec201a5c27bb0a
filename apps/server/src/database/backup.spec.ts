import { copyFileSync, readdirSync, readFileSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { seedDemo } from '../demo/seed-demo.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { scratchFolder } from '../testing/test-server.ts';
import { backUp, restore } from './backup.ts';
import { openDatabase, type Database } from './open-database.ts';

const at = new Date('2026-06-01T08:00:00Z');

describe('a backup', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  const place = (name: string): string => join(folder.path, name);
  const fleetOf = async (file: string): Promise<unknown> => {
    const other = await openDatabase(file);
    const boats = new BoatStore(other);
    const fleet = await boats.fleet();
    const plans = await Promise.all(fleet.map(({ id }) => boats.open(id)));
    await other.close();
    return { fleet, plans };
  };

  beforeEach(async () => {
    folder = scratchFolder();
    database = await openDatabase(place('boats.sqlite'));
    await seedDemo(new BoatStore(database), at);
  });
  afterEach(async () => {
    await database.close().catch(() => undefined);
    folder.remove();
  });

  it('is taken while the database is used, and restored byte for byte with every boat as it was', async () => {
    await backUp(database, place('kept.sqlite'));
    const boats = new BoatStore(database);
    await boats.remove('old-marl');
    const before = await boats.fleet();
    await database.close();

    const restored = await restore(place('kept.sqlite'), place('boats.sqlite'), at);
    expect(restored.ok).toBeTrue();
    expect(readFileSync(place('boats.sqlite')).equals(readFileSync(place('kept.sqlite')))).toBeTrue();
    const now = (await fleetOf(place('boats.sqlite'))) as { fleet: unknown[] };
    expect(now.fleet.length).toBe(before.length + 1);
    expect(now).toEqual((await fleetOf(place('kept.sqlite'))) as { fleet: unknown[] });
  });

  it('puts what was there aside, whole', async () => {
    await backUp(database, place('kept.sqlite'));
    await new BoatStore(database).remove('old-marl');
    await database.close();
    const restored = await restore(place('kept.sqlite'), place('boats.sqlite'), at);
    expect(restored.ok && restored.aside).toContain('before-restore');
    const aside = (await fleetOf(restored.ok ? (restored.aside ?? '') : '')) as { fleet: { id: string }[] };
    expect(aside.fleet.map(({ id }) => id)).not.toContain('old-marl');
  });

  it('is restored to a machine that has no data yet', async () => {
    await backUp(database, place('kept.sqlite'));
    expect(await restore(place('kept.sqlite'), place('new/boats.sqlite'), at)).toEqual({ ok: true, aside: null });
    expect(await fleetOf(place('new/boats.sqlite'))).toEqual(await fleetOf(place('kept.sqlite')));
  });

  it('is not restored over a database that is in use', async () => {
    await backUp(database, place('kept.sqlite'));
    const restored = await restore(place('kept.sqlite'), place('boats.sqlite'), at);
    expect(restored).toEqual(jasmine.objectContaining({ ok: false }));
    expect(!restored.ok && restored.detail).toContain('stop the server');
    expect((await new BoatStore(database).fleet()).length).toBe(3);
  });

  it('is refused when it is missing, no database, damaged, or of something else, and nothing is touched', async () => {
    await backUp(database, place('kept.sqlite'));
    await database.close();
    const whole = readFileSync(place('kept.sqlite'));
    writeFileSync(place('text.sqlite'), 'no database at all, though it is called one');
    const damaged = Buffer.from(whole);
    damaged.fill(0xff, 4096, 4096 * 6);
    writeFileSync(place('damaged.sqlite'), damaged);
    const before = readdirSync(folder.path).sort();
    for (const name of ['none.sqlite', 'text.sqlite', 'damaged.sqlite']) {
      const restored = await restore(place(name), place('boats.sqlite'), at);
      expect(restored.ok).withContext(name).toBeFalse();
    }
    expect(readdirSync(folder.path).sort()).toEqual(before);
  });

  it('takes along what only its write-ahead file holds, as a copy of a folder in use has it', async () => {
    const boats = new BoatStore(database);
    await boats.remove('old-marl');
    for (const ending of ['', '-wal']) copyFileSync(place(`boats.sqlite${ending}`), place(`copy.sqlite${ending}`));
    expect(statSync(place('copy.sqlite-wal')).size).toBeGreaterThan(0);
    await database.close();
    expect((await restore(place('copy.sqlite'), place('new/boats.sqlite'), at)).ok).toBeTrue();
    const { fleet } = (await fleetOf(place('new/boats.sqlite'))) as { fleet: { id: string }[] };
    expect(fleet.map(({ id }) => id)).not.toContain('old-marl');
    expect(fleet.length).toBe(2);
  });

  it('is refused where it is the file in use itself, by whatever name', async () => {
    await database.close();
    symlinkSync(place('boats.sqlite'), place('other-name.sqlite'));
    for (const name of ['boats.sqlite', 'other-name.sqlite']) {
      const restored = await restore(place(name), place('boats.sqlite'), at);
      expect(!restored.ok && restored.detail)
        .withContext(name)
        .toContain('file in use itself');
    }
    expect(((await fleetOf(place('boats.sqlite'))) as { fleet: unknown[] }).fleet.length).toBe(3);
  });

  it('is refused when it is of a newer program', async () => {
    await database.sequelize.query(`INSERT INTO migrations (name) VALUES ('999-later.sql')`);
    await backUp(database, place('newer.sqlite'));
    await database.close();
    const restored = await restore(place('newer.sqlite'), place('elsewhere.sqlite'), at);
    expect(!restored.ok && restored.detail).toContain('newer Grey Keel');
  });
});
