import { emptyPlan, type Edit } from '@grey-keel/model';
import { join } from 'node:path';
import { openDatabase, type Database } from '../database/open-database.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { Recordings } from '../recordings/recordings.ts';
import { aJpeg, segment } from '../testing/a-jpeg.ts';
import { scratchFolder } from '../testing/test-server.ts';
import { graceMs, Photographs } from './photographs.ts';

describe('stored photographs', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let database: Database;
  let now = new Date('2026-05-01T08:00:00Z');
  let photographs: Photographs;
  beforeEach(async () => {
    folder = scratchFolder();
    now = new Date('2026-05-01T08:00:00Z');
    database = await openDatabase(join(folder.path, 'boats.sqlite'));
    photographs = new Photographs(database, () => now);
  });
  afterEach(async () => {
    await database.close();
    folder.remove();
  });
  const there = async (): Promise<string[]> =>
    (await database.tables.photographs.findAll({ attributes: ['id'] })).map(({ id }) => id).sort();

  it('stay while anything names them, undone and deleted though it is; the rest goes after thirty days', async () => {
    const boats = new BoatStore(database, () => now);
    for (const id of ['in-plan', 'undone', 'of-deleted', 'in-snapshot', 'unnamed', 'unname'])
      await photographs.put(id, aJpeg(8, 6));
    let made = 0;
    const append = async (boat: string, edit: Edit): Promise<void> => {
      const opened = await boats.open(boat);
      made += 1;
      const revisionId = `a0000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
      const kept = await boats.append(boat, { revisionId, base: opened?.number ?? 0, edits: [edit] });
      expect(kept.kind).toBe('kept');
    };
    const photograph = { caption: '', widthPx: 8, heightPx: 6, at: '2026-05-01T08:00:00Z' };
    const put = (boat: string, id: string): Promise<void> => append(boat, { type: 'putPhotograph', id, photograph });
    await boats.create('hull', emptyPlan('Hull'));
    await boats.create('gone', emptyPlan('Gone'));
    await boats.create('whole', { ...emptyPlan('Whole'), photographs: { 'in-snapshot': photograph } });
    await put('hull', 'in-plan');
    await put('hull', 'undone');
    await append('hull', { type: 'putPhotograph', id: 'undone', photograph: null });
    await put('gone', 'of-deleted');
    await boats.remove('gone');
    now = new Date(now.getTime() + graceMs - 1000);
    expect(await photographs.collect()).toEqual([]);
    now = new Date(now.getTime() + 2000);
    await photographs.put('new', aJpeg(8, 6));
    expect((await photographs.collect()).sort()).toEqual(['unname', 'unnamed']);
    expect(await there()).toEqual(['in-plan', 'in-snapshot', 'new', 'of-deleted', 'undone']);
    boats.stop();
  });

  it('from before they were cleaned are cleaned once, and it is known from when on', async () => {
    const told = aJpeg(8, 6, { segments: [segment(0xe1, Buffer.from('Exif\0\0II*\0\0\0\0\0 47.2 N'))] });
    const row = (id: string, bytes: Buffer) => ({ id, bytes, made_at: now.toISOString() });
    await database.tables.photographs.bulkCreate([
      row('told', told),
      row('plain', aJpeg(9, 6)),
      row('damaged', Buffer.from('no picture')),
    ]);
    expect(await photographs.cleanStored()).toBe(1);
    expect((await photographs.get('told'))?.equals(aJpeg(8, 6))).toBeTrue();
    expect((await photographs.get('damaged'))?.toString()).toBe('no picture');
    expect(await photographs.cleanedAt()).toBe(now.toISOString());
    now = new Date(now.getTime() + 1000);
    expect(await photographs.cleanStored()).toBe(0);
    expect(await photographs.cleanedAt()).toBe('2026-05-01T08:00:00.000Z');
  });

  it('and recordings that were deleted go for good when they cannot be had back any more, their values with them', async () => {
    const recordings = new Recordings(database, () => now);
    const pieces = (): AsyncIterable<Buffer> =>
      (async function* () {
        yield await Promise.resolve(Buffer.from('$SDDPT,4.0,\r\n'.repeat(40)));
      })();
    await recordings.importLog('kept', 'Kept', 'kept.nmea', pieces());
    await recordings.importLog('deleted', 'Deleted', 'deleted.nmea', pieces());
    await recordings.remove('deleted');
    now = new Date(now.getTime() + 29 * 24 * 3600e3);
    expect(await recordings.collect()).toBe(0);
    now = new Date(now.getTime() + 2 * 24 * 3600e3);
    expect(await recordings.collect()).toBe(1);
    const chunks = await database.tables.recordingChunks.findAll({ attributes: ['recording_id'] });
    expect(chunks.map((one) => one.recording_id)).toEqual(['kept']);
    expect(await recordings.recall('deleted')).toBeFalse();
  });
});
