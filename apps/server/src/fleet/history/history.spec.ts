import { planSchema, planVersion, revisionSchema, upgradePlan, upgrades, type Edit } from '@grey-keel/model';
import { fingerprint, heldBy } from '@grey-keel/core';
import { edited } from '@grey-keel/core/testing';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { gunzipSync } from 'node:zlib';
import { openDatabase, type Database } from '../../database/open-database.ts';
import { readStored } from '../../database/stored-json.ts';
import { scratchFolder } from '../../testing/test-server.ts';
import { BoatStore } from '../boat-store.ts';
import { editsFor, replayHistory, type StoredStep } from './replay-history.ts';

const beside = (name: string): Buffer => readFileSync(new URL(name, import.meta.url));
/** By boat: the fingerprint of its plan at each number, as it was made by the program of plan version 12. */
const made = JSON.parse(beside('fleet-of-plan-12.json').toString()) as Record<string, string[]>;

describe('a database of plan version 12', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  let boats: BoatStore;
  beforeEach(async () => {
    folder = scratchFolder();
    const file = join(folder.path, 'grey-keel.sqlite');
    writeFileSync(file, gunzipSync(beside('fleet-of-plan-12.sqlite.gz')));
    database = await openDatabase(file);
    boats = new BoatStore(database, () => new Date('2026-12-01T12:00:00Z'));
  });
  afterEach(async () => {
    boats.stop();
    await database.close();
    folder.remove();
  });
  const stepsOf = async (id: string): Promise<StoredStep[]> =>
    (await database.tables.revisions.findAll({ where: { boat_id: id }, order: [['number', 'ASC']] })).map((row) => ({
      number: row.number,
      planVersion: row.plan_version,
      edits: readStored(row.edits),
      patches: row.patches === null ? null : JSON.parse(row.patches),
    }));
  const firstOf = async (id: string): Promise<unknown> =>
    readStored((await database.tables.snapshots.findOne({ where: { boat_id: id, number: 0 } }))?.plan ?? '');
  const changed = (id: string, revisionId: string, base: number, edits: Edit[]) =>
    boats.append(id, { revisionId, base, edits });

  it('is the same plan at every number, each kind of edit and what takes it back among them', async () => {
    expect(Object.values(made).map((numbers) => numbers.length)).toEqual([141, 53, 50]);
    for (const [id, numbers] of Object.entries(made)) {
      const [first, steps] = [await firstOf(id), await stepsOf(id)];
      for (let number = 0; number < numbers.length; number += 1 + Math.floor(number / 20))
        expect(fingerprint(await replayHistory(first, steps.slice(0, number)), 12))
          .withContext(`${id} at ${number}`)
          .toBe(numbers[number] ?? '');
    }
  });

  it('opens in the program of today at every number, and its revisions are told in edits of today', async () => {
    for (const [id, numbers] of Object.entries(made)) {
      for (let number = 0; number < numbers.length; number += 7)
        expect((await boats.openAt(id, number))?.version)
          .withContext(`${id} at ${number}`)
          .toBe(planVersion);
      for (const told of await boats.revisionsSince(id, numbers.length - 6))
        expect(revisionSchema.safeParse(told).error).withContext(`${id} ${told.number}`).toBeUndefined();
    }
    expect((await boats.fleet()).map(({ id }) => id).sort()).toEqual(['every-kind', 'forty-nine', 'of-version-ten']);
    const named = (await boats.open('forty-nine'))?.plan.restorePoints?.['before'];
    expect((await boats.openAt('forty-nine', named?.number ?? -1))?.boat.notes).toBe('line 29\nand another');
  });

  it('has edits of what devices hold that do the same in the words of today, where no plan is needed to tell', async () => {
    const done: string[] = [];
    for (const id of Object.keys(made)) {
      const [first, steps] = [await firstOf(id), await stepsOf(id)];
      for (const [i, step] of steps.entries()) {
        const edits = editsFor(step) as Edit[] | null;
        const [{ type } = { type: '' }] = step.edits as Edit[];
        if (!edits || isDeepStrictEqual(edits, editsFor(step, 12))) continue;
        done.push(type);
        const before = planSchema.parse(upgradePlan(await replayHistory(first, steps.slice(0, i))));
        const after = planSchema.parse(upgradePlan(await replayHistory(first, steps.slice(0, i + 1))));
        const now = edited(before, ...edits);
        for (const { deviceId, kind, ofId } of edits.filter((edit) => 'ofId' in edit))
          expect(heldBy(now, deviceId, kind, ofId))
            .withContext(`${id} ${i} ${type}`)
            .toEqual(heldBy(after, deviceId, kind, ofId));
        expect(now.timeToActS).toEqual(after.timeToActS);
      }
    }
    expect([...new Set(done)].sort()).toEqual(['describeUnit', 'enterCalibration', 'seeCalibrationAgain']);
  });

  it('opens where an edit is older than version 12 and its shape is none of today’s', async () => {
    const over = async (number: number) => (await boats.openAt('of-version-ten', number))?.sought['bass']?.over;
    expect([await over(1), await over(2), await over(3), await over(4), await over(5)]).toEqual([
      ['rock'],
      ['weed'],
      ['rock'],
      undefined,
      ['rock'],
    ]);
    const [told] = await boats.revisionsSince('of-version-ten', 1);
    expect(told?.edits[0]?.type).toBe('restore');
    expect(revisionSchema.safeParse(told).success).toBeTrue();
  });

  it('goes on from a snapshot of its first edit of today, and from its own patches', async () => {
    const id = 'forty-nine';
    const notes = 'with a line\nunder it';
    await changed(id, 'a0000000-0000-4000-8000-000000000001', 49, [{ type: 'describeBoat', changes: { notes } }]);
    const restored = {
      type: 'restore',
      patches: [{ op: 'replace', path: ['boat', 'notes'], value: 'a\nb' }],
    } satisfies Edit;
    await changed(id, 'a0000000-0000-4000-8000-000000000002', 50, [restored]);
    await changed('of-version-ten', 'a0000000-0000-4000-8000-000000000003', 5, [{ type: 'workAtDepth', depthM: 9 }]);
    const whole = await database.tables.snapshots.findAll({ order: ['boat_id', 'number'] });
    expect(whole.map(({ boat_id, number }) => `${boat_id} ${number}`)).toEqual([
      'all-at-once 0',
      'all-at-once 50',
      'every-kind 0',
      'every-kind 50',
      'every-kind 100',
      'forty-nine 0',
      'forty-nine 50',
      'of-version-ten 0',
      'of-version-ten 6',
    ]);
    const again = new BoatStore(database);
    expect((await again.openAt(id, 50))?.boat.notes).toBe(notes);
    expect((await again.openAt(id, 51))?.boat.notes).toBe('a\nb');
    // What was told of it is what was sent, lines and all.
    expect((await again.revisionsSince(id, 50))[0]?.edits).toEqual([restored]);
    const [first, second] = (await stepsOf(id)).slice(-2);
    expect([first?.planVersion, second?.planVersion]).toEqual([planVersion, planVersion]);
    // What each changed is kept beside it: a later program needs nothing else.
    expect(first?.patches).toEqual([{ op: 'replace', path: ['boat', 'notes'], value: notes }]);
    expect(second?.patches).toEqual(restored.patches);
  });

  it('opens after a later version, in which an edit has another shape: old revisions stay in the shape of their time', async () => {
    const id = 'forty-nine';
    await changed(id, 'a0000000-0000-4000-8000-000000000001', 49, [{ type: 'workAtDepth', depthM: 77 }]);
    // The next version calls the depth otherwise; its revisions speak of that.
    const next = {
      ...upgrades,
      [planVersion]: ({ working, ...plan }: Record<string, unknown>) => ({
        ...plan,
        depth: { workM: (working as { depthM: number }).depthM },
      }),
    };
    const later: StoredStep = {
      number: 51,
      planVersion: planVersion + 1,
      edits: [{ type: 'workAt', workM: 12 }],
      patches: [{ op: 'replace', path: ['depth', 'workM'], value: 12 }],
    };
    const [first, steps] = [await firstOf(id), await stepsOf(id)];
    for (let number = 1; number <= 47; number += 9) {
      const plan = upgradePlan(await replayHistory(first, steps.slice(0, number), next), next, planVersion + 1);
      expect(plan)
        .withContext(`${number}`)
        .toEqual(jasmine.objectContaining({ depth: { workM: 2 + number }, version: planVersion + 1 }));
    }
    const whole = await replayHistory(first, [...steps, later], next);
    expect(whole).toEqual(jasmine.objectContaining({ depth: { workM: 12 }, version: planVersion + 1 }));
    expect(whole).not.toEqual(jasmine.objectContaining({ working: jasmine.anything() }));
  });

  it('takes an edit that waited over the upgrade for the one it has, where its answer was lost', async () => {
    const [, second] = await database.tables.revisions.findAll({ where: { boat_id: 'of-version-ten' } });
    expect(second?.edits).toContain('"over":"weed"');
    const request = { revisionId: second?.revision_id ?? '', base: 1 };
    const again = await boats.append('of-version-ten', {
      ...request,
      edits: [{ type: 'describeSought', id: 'bass', changes: { over: ['weed'] } }],
    });
    expect(again).toEqual(jasmine.objectContaining({ kind: 'kept', again: true }));
    const other = await boats.append('of-version-ten', {
      ...request,
      edits: [{ type: 'describeSought', id: 'bass', changes: { over: ['sand'] } }],
    });
    expect(other.kind).toBe('id used for other edits');
  });
});
