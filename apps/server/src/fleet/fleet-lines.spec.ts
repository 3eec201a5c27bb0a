import {
  emptyPlan,
  fleetPageSchema,
  fleetQuerySchema,
  type FleetPage,
  type FleetQuery,
  type Plan,
  type Water,
} from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { openDatabase, type Database } from '../database/open-database.ts';
import { scratchFolder } from '../testing/test-server.ts';
import { BoatStore } from './boat-store.ts';
import { FleetLines } from './fleet-lines.ts';

const oresjo: Water = {
  name: 'Öresjö',
  kind: 'fresh',
  salinityPpt: 0,
  temperatureC: 12,
  coldestC: null,
  warmestC: null,
  shallowestM: null,
  usualDeepestM: null,
  greatestM: null,
  clarity: 'clear',
};

describe('the pages of the fleet', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  let boats: BoatStore;
  const page = async (query: Partial<FleetQuery> = {}): Promise<FleetPage> =>
    fleetPageSchema.parse(JSON.parse(await boats.fleetPage({ ...fleetQuerySchema.parse({}), ...query })));
  const names = async (query: Partial<FleetQuery> = {}): Promise<string[]> =>
    (await page(query)).boats.map(({ name }) => name);
  const make = (name: string, minute: number, changes: Partial<Plan> = {}): Promise<unknown> =>
    boats.create(
      name
        .normalize('NFKD')
        .replace(/[^A-Za-z0-9]/g, '')
        .toLowerCase(),
      { ...emptyPlan(name), ...changes },
      `2026-05-01T09:${String(minute).padStart(2, '0')}:00.000Z`,
    );

  beforeEach(async () => {
    folder = scratchFolder();
    database = await openDatabase(join(folder.path, 'fleet.sqlite'));
    boats = new BoatStore(database);
    await make('Hull 10', 3);
    await make('hull 2', 1);
    await make('Ålborg', 2, { waters: { w: oresjo }, working: { ...emptyPlan('').working, waterId: 'w' } });
    await make('Zander', 4, { boat: { ...emptyPlan('Zander').boat, hullForm: 'catamaran' } });
  });
  afterEach(async () => {
    boats.stop();
    await database.close();
    folder.remove();
  });

  it('judge each boat that was edited once, however many read, and show every edit that was saved before', async () => {
    await page();
    let judged = 0;
    const lines = new FleetLines(database, (id, number) => {
      judged += 1;
      return boats.openAt(id, number) as Promise<Plan>;
    });
    const read = async (search: string): Promise<number> =>
      fleetPageSchema.parse(JSON.parse(await lines.page({ ...fleetQuerySchema.parse({}), search }))).found;
    const rename = async (id: string, name: string): Promise<void> => {
      const opened = await boats.open(id);
      await boats.append(id, {
        revisionId: randomUUID(),
        base: opened?.number ?? 0,
        edits: [{ type: 'describeBoat', changes: { name } }],
      });
    };
    for (const id of ['hull10', 'hull2', 'zander']) await rename(id, `Heron ${id}`);
    expect(await Promise.all(Array.from({ length: 40 }, () => read('heron')))).toEqual(Array<number>(40).fill(3));
    expect(judged).toBe(3);
    // Whoever comes while others are waited for sees what was saved by then.
    await rename('hull10', 'Egret');
    const first = read('egret');
    await rename('hull2', 'Egret two');
    expect(await Promise.all([first, read('egret')])).toEqual([jasmine.any(Number), 2]);
    expect(judged).toBe(5);
    await rename('zander', 'Bittern');
    await Promise.all([lines.all(), lines.all()]);
    expect(judged).toBe(6);
    lines.stop();
  });

  it('put names in order as people do: numbers by size, any case, accents beside their letters', async () => {
    expect(await names()).toEqual(['Ålborg', 'hull 2', 'Hull 10', 'Zander']);
    expect(await names({ downward: true })).toEqual(['Zander', 'Hull 10', 'hull 2', 'Ålborg']);
    expect(await names({ by: 'changed', downward: true })).toEqual(['Zander', 'Hull 10', 'Ålborg', 'hull 2']);
    expect((await names({ by: 'water', downward: true }))[0]).toBe('Ålborg');
  });

  it('find every word in name, water or hull, without its accents, and nothing by signs of a pattern', async () => {
    expect(await names({ search: 'HULL 1' })).toEqual(['Hull 10']);
    expect(await names({ search: 'oresjo alborg' })).toEqual(['Ålborg']);
    expect(await names({ search: 'catamaran' })).toEqual(['Zander']);
    expect(await names({ search: '%' })).toEqual([]);
    expect(await names({ search: "' OR 1=1 --" })).toEqual([]);
  });

  it('cut into pages that together are the whole, and count what was found and all there is', async () => {
    const whole = await names();
    const pieces = [await names({ first: 0, count: 3 }), await names({ first: 3, count: 3 })];
    expect(pieces.map(({ length }) => length)).toEqual([3, 1]);
    expect(pieces.flat()).toEqual(whole);
    const { found, all, waiting } = await page({ search: 'zander', count: 1 });
    expect([found, all, waiting]).toEqual([1, 4, 0]);
  });

  it('keep to how boats stand, say the worst of each and what comes next', async () => {
    expect(await names({ show: 'finished' })).toEqual([]);
    expect((await names({ show: 'not finished' })).length).toBe(4);
    const { boats: lines } = await page();
    for (const { stops, checks, gravest, next } of lines) {
      expect(gravest === null).toBe(stops + checks === 0);
      expect(next?.stage).toBe('brief');
    }
    const stopped = lines.filter(({ stops }) => stops > 0).map(({ name }) => name);
    expect(await names({ show: 'with a stop' })).toEqual(stopped);
  });

  it('leave out what was deleted, and follow an edit at once', async () => {
    await boats.remove('zander');
    await boats.append('hull2', {
      revisionId: '0b2e8a52-7c1f-4a86-9d8e-3f6f6a2f9b11',
      base: 0,
      edits: [{ type: 'describeBoat', changes: { name: 'Aardvark' } }],
    });
    expect(await names()).toEqual(['Aardvark', 'Ålborg', 'Hull 10']);
    expect(await names({ search: 'hull 2' })).toEqual([]);
  });

  it('say how many lines another program left, and have made them all a little later', async () => {
    for (let i = 0; i < 30; i++) await make(`More ${i}`, 10 + i);
    await database.write((transaction) =>
      database.tables.boats.update({ entry_version: 1 }, { where: {}, transaction }),
    );
    expect((await page({ count: 1 })).waiting).toBe(14);
    expect((await page({ count: 1 })).waiting).toBe(0);
  });
});
