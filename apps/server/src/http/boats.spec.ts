import {
  emptyPlan,
  type Edit,
  type FleetEntry,
  type FleetPage,
  type SavedRevision,
  type OpenedBoat,
  type Revision,
} from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import type { RunningServer } from '../start-server.ts';
import { snapshotEvery } from '../fleet/boat-store.ts';
import { ask, scratchFolder, serverOn, serverProcess, type Reply } from '../testing/test-server.ts';

const renamed = (name: string): Edit[] => [{ type: 'describeBoat', changes: { name } }];
const request = (base: number, edits: Edit[], revisionId: string = randomUUID()) => ({ revisionId, base, edits });

describe('boats over HTTP', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  const send = (method: string, path: string, body?: unknown): Promise<Reply> =>
    ask(server.address, method, `/api/boats${path}`, body);
  const listed = async (query = ''): Promise<FleetEntry[]> => ((await send('GET', query)).body as FleetPage).boats;
  const opened = async (id: string): Promise<OpenedBoat> => (await send('GET', `/${id}`)).body as OpenedBoat;

  beforeEach(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path);
    await send('PUT', '/first', { name: 'First' });
  });
  afterEach(async () => {
    await server.stop();
    folder.remove();
  });

  it('takes a revision id for one boat alone, though it comes for two at the same moment, and no search of control characters', async () => {
    const [one, two] = ['twin-one', 'twin-two'];
    for (const id of [one, two]) await send('PUT', `/${id}`, { name: id });
    for (let i = 0; i < 5; i++) {
      const revisionId = randomUUID();
      const base = i;
      const edits = [{ type: 'describeBoat', changes: { notes: `${i}` } }];
      const sent = await Promise.all(
        [one, two].map((id) => send('POST', `/${id}/revisions`, { revisionId, base, edits })),
      );
      expect(sent.map(({ status }) => status).sort()).toEqual([201, 409]);
      const behind = sent[0]?.status === 409 ? one : two;
      await send('POST', `/${behind}/revisions`, { revisionId: randomUUID(), base, edits });
    }
    expect((await send('GET', '?search=a%00b')).status).toBe(422);
    expect((await send('GET', '?search=a%0ab')).status).toBe(422);
  });

  it('makes a boat once, lists it, deletes it and recalls it', async () => {
    expect((await send('PUT', '/second', { name: 'Second' })).status).toBe(201);
    expect((await send('PUT', '/second', { name: 'Second' })).status).toBe(200);
    expect((await send('PUT', '/second', { name: 'Other' })).status).toBe(409);
    expect((await opened('second')).plan).toEqual(emptyPlan('Second'));
    expect((await listed()).map(({ name }) => name)).toEqual(['First', 'Second']);
    expect((await send('DELETE', '/second')).status).toBe(204);
    for (const gone of [
      await send('GET', '/second'),
      await send('POST', '/second/revisions', request(0, renamed('x'))),
    ])
      expect([gone.status, (gone.body as { deleted?: boolean }).deleted]).toEqual([404, true]);
    expect((await send('PUT', '/second', { name: 'Second' })).status).toBe(409);
    expect((await listed()).length).toBe(1);
    const removed = async (): Promise<{ id: string; name: string }[]> =>
      (await ask(server.address, 'GET', '/api/removed-boats')).body as { id: string; name: string }[];
    expect((await removed()).map(({ id, name }) => [id, name])).toEqual([['second', 'Second']]);
    expect((await send('POST', '/second/recall')).status).toBe(200);
    expect(await removed()).toEqual([]);
    expect((await opened('second')).plan.boat.name).toBe('Second');
  });

  it('keeps edits once however often they are sent, and gives the same answer', async () => {
    const sent = request(0, renamed('Renamed'));
    const first = await send('POST', '/first/revisions', sent);
    expect(first.status).toBe(201);
    const again = await send('POST', '/first/revisions', sent);
    expect(again.status).toBe(200);
    expect(again.body).toEqual(first.body);
    expect((await opened('first')).number).toBe(1);
    // The fleet's line is made after the edit, and is never of an earlier one.
    const line = (await listed()).find(({ name }) => name === 'Renamed');
    expect(line?.number).toBe(1);
    const other = await send('POST', '/first/revisions', { ...sent, edits: renamed('Other') });
    expect(other.status).toBe(409);
  });

  it('answers 412 with the missing edits and the places they touched', async () => {
    await send('POST', '/first/revisions', request(0, renamed('Theirs')));
    const late = await send(
      'POST',
      '/first/revisions',
      request(0, [{ type: 'describeBoat', changes: { lengthM: 6 } }]),
    );
    expect(late.status).toBe(412);
    expect(late.type).toContain('application/problem+json');
    const { missing, number } = late.body as { missing: Revision[]; number: number };
    expect(number).toBe(1);
    expect(missing.map(({ edits }) => edits)).toEqual([renamed('Theirs')]);
    expect(missing[0]?.paths).toEqual([['boat', 'name']]);
    expect((await send('POST', '/first/revisions', request(7, renamed('Ahead')))).status).toBe(409);
  });

  it('notices that a base is of another history, where an older file was restored', async () => {
    const first = request(0, renamed('One'));
    await send('POST', '/first/revisions', first);
    expect((await opened('first')).revisionId).toBe(first.revisionId);
    const known = { ...request(1, renamed('Two')), baseId: first.revisionId };
    expect((await send('POST', '/first/revisions', known)).status).toBe(201);
    // The same numbers, but revision 2 is not the one the client knows; and a number this file has not reached.
    for (const other of [
      { ...request(2, renamed('Three')), baseId: first.revisionId },
      { ...request(1, renamed('Three')), baseId: null },
      request(9, renamed('Nine')),
    ]) {
      const reply = await send('POST', '/first/revisions', other);
      expect([reply.status, (reply.body as { otherHistory?: boolean }).otherHistory]).toEqual([409, true]);
    }
    expect((await opened('first')).plan.boat.name).toBe('Two');
  });

  it('takes patches that lead only where a plan has something', async () => {
    const restore = (path: unknown[], value?: unknown, op = 'replace') =>
      request(0, [{ type: 'restore', patches: [{ op, path, value }] }] as unknown as Edit[]);
    for (const path of [
      ['boat', 'toString'],
      ['boat', 'name', 'length'],
      ['transducers', 'constructor', 'name'],
      ['nowhere', 'at', 'all'],
      ['boat', 'name', 3],
    ])
      expect((await send('POST', '/first/revisions', restore(path, 1))).status)
        .withContext(path.join('/'))
        .toBe(422);
    expect((await opened('first')).number).toBe(0);
  });

  it('tells whoever listens of what is kept and deleted', async () => {
    const stream = await fetch(`${server.address}/api/events`);
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    const sent = request(0, renamed('Told'));
    await send('POST', '/first/revisions', sent);
    await send('DELETE', '/first');
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    while (!text.includes('"removed":true')) text += (await reader.read()).value ?? '';
    await reader.cancel();
    const told = [...text.matchAll(/^data: ?(\{.*\})$/gm)].map(([, data = '']) => JSON.parse(data) as unknown);
    expect(told).toEqual([
      { boatId: 'first', number: 1, revisionId: sent.revisionId, removed: false },
      { boatId: 'first', number: 1, revisionId: null, removed: true },
    ]);
  });

  it('refuses edits that do not hold, naming field and range, and keeps nothing of them', async () => {
    const bad = await send(
      'POST',
      '/first/revisions',
      request(0, [{ type: 'describeBoat', changes: { lengthM: 400 } }]),
    );
    expect(bad.status).toBe(422);
    const { errors } = bad.body as { errors: { field: string; range: string }[] };
    expect(errors[0]?.field).toBe('edits[0].changes.lengthM');
    expect(errors[0]?.range).toContain('2 to 60');
    const gone = await send('POST', '/first/revisions', request(0, [{ type: 'removeWater', id: 'nowhere' }]));
    expect(gone.status).toBe(422);
    expect((gone.body as { code: string }).code).toBe('gone');
    expect((await opened('first')).number).toBe(0);
    expect((await send('POST', '/first/revisions', { base: 0 })).status).toBe(422);
    expect((await send('POST', '/Not An Id/revisions', request(0, renamed('x')))).status).toBe(422);
    expect((await send('POST', '/nowhere/revisions', request(0, renamed('x')))).status).toBe(404);
  });

  it('opens a boat past a snapshot, at every earlier revision, and after a restart', async () => {
    const last = snapshotEvery + 3;
    for (let i = 0; i < last; i++) await send('POST', '/first/revisions', request(i, renamed(`Name ${i + 1}`)));
    await server.stop();
    server = await serverOn(folder.path);
    expect((await opened('first')).plan.boat.name).toBe(`Name ${last}`);
    const at = async (number: number): Promise<string> =>
      ((await send('GET', `/first/revisions/${number}`)).body as OpenedBoat['plan']).boat.name;
    expect(await at(0)).toBe('First');
    expect(await at(snapshotEvery - 1)).toBe(`Name ${snapshotEvery - 1}`);
    expect(await at(snapshotEvery + 1)).toBe(`Name ${snapshotEvery + 1}`);
    expect((await send('GET', '/first/revisions/99')).status).toBe(404);
    expect(((await send('GET', `/first/revisions?since=${last - 2}`)).body as unknown[]).length).toBe(2);
  });

  it('keeps every one of many edits that arrive at once', async () => {
    const names = Array.from({ length: 12 }, (_, i) => `boat-${i}`);
    await Promise.all(names.map((id) => send('PUT', `/${id}`, { name: id })));
    const kept = await Promise.all(
      names.map((id) => send('POST', `/${id}/revisions`, request(0, renamed(`${id} renamed`)))),
    );
    expect(kept.map(({ status }) => status)).toEqual(names.map(() => 201));
    const racing = await Promise.all(
      [1, 2, 3, 4].map((i) => send('POST', '/first/revisions', request(0, renamed(`Racer ${i}`)))),
    );
    expect(racing.map(({ status }) => status).sort()).toEqual([201, 412, 412, 412]);
  });

  it('never overwrites a revision or a snapshot', async () => {
    await send('POST', '/first/revisions', request(0, renamed('Kept')));
    await server.stop();
    const { openDatabase } = await import('../database/open-database.ts');
    const database = await openDatabase(`${folder.path}/grey-keel.sqlite`);
    await expectAsync(database.sequelize.query("UPDATE revisions SET edits = '[]'")).toBeRejected();
    await expectAsync(database.sequelize.query("UPDATE snapshots SET plan = '{}'")).toBeRejected();
    await database.close();
    server = await serverOn(folder.path);
  });
});

describe('a server that is killed', () => {
  it('between commit and answer has kept the edit, and keeps it once when it is sent again', async () => {
    const folder = scratchFolder();
    const first = await serverProcess(folder.path, true);
    await ask(first.address, 'PUT', '/api/boats/hull', { name: 'Hull' });
    const sent = request(0, renamed('Kept all the same'));
    await expectAsync(ask(first.address, 'POST', '/api/boats/hull/revisions', sent)).toBeRejected();
    expect(await first.ended).toBe('SIGKILL');

    const second = await serverProcess(folder.path);
    const again = await ask(second.address, 'POST', '/api/boats/hull/revisions', sent);
    expect(again.status).toBe(200);
    expect((again.body as SavedRevision).number).toBe(1);
    const boat = (await ask(second.address, 'GET', '/api/boats/hull')).body as OpenedBoat;
    expect([boat.number, boat.plan.boat.name]).toEqual([1, 'Kept all the same']);
    second.child.kill('SIGTERM');
    expect(await second.ended).toBe(0);
    folder.remove();
  }, 60_000);
});
