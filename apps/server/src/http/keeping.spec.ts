import type { OpenedBoat } from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import type sqlite3 from 'sqlite3';
import type { RunningServer } from '../start-server.ts';
import { ask, noLimit, scratchFolder, serverOn, type Reply } from '../testing/test-server.ts';
import { seedDemo } from '../demo/seed-demo.ts';

describe('a server that keeps the work', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  const start = (options: { token?: string } = {}): Promise<RunningServer> =>
    serverOn(folder.path, { ...noLimit, ...options });
  const send = (method: string, path: string, body?: unknown): Promise<Reply> =>
    ask(server.address, method, `/api${path}`, body);

  beforeEach(async () => {
    folder = scratchFolder();
    server = await start();
    await seedDemo(server.boats, new Date('2026-06-01T08:00:00Z'));
  });
  afterEach(async () => {
    await server.stop();
    folder.remove();
  });

  it('goes back to a backup over HTTP, and tells whoever listens to ask again', async () => {
    const made = (await send('POST', '/backups')).body as { name: string }[];
    const name = made[0]?.name ?? '';
    await send('DELETE', '/boats/old-marl');
    const stream = await fetch(`${server.address}/api/events`);
    expect((await send('POST', '/backups/nothing/restore')).status).toBe(404);
    expect((await send('POST', `/backups/${name}/restore`)).status).toBe(200);
    expect((await send('GET', '/boats/old-marl')).status).toBe(200);
    // The stream ends: the browser opens it again and asks for what it missed.
    expect(await stream.text()).toContain('hello');
    expect((await send('PUT', '/boats/later', { name: 'Later' })).status).toBe(201);
  });

  it('tells of a boat what the file in use says, however much of another history it remembers', async () => {
    const rename = async (name: string): Promise<void> => {
      const { number } = (await send('GET', '/boats/pewter-skua')).body as OpenedBoat;
      const edits = [{ type: 'describeBoat', changes: { name } }];
      await send('POST', '/boats/pewter-skua/revisions', { revisionId: randomUUID(), base: number, edits });
    };
    const named = async (): Promise<string> =>
      ((await send('GET', '/boats/pewter-skua')).body as OpenedBoat).plan.boat.name;
    const backUp = async (): Promise<string> => {
      // Backups are named by the second.
      await new Promise((resolve) => setTimeout(resolve, 1100));
      return ((await send('POST', '/backups')).body as { name: string }[])[0]?.name ?? '';
    };
    const before = await backUp();
    await rename('First');
    const first = await backUp();
    await send('POST', `/backups/${before}/restore`);
    await rename('Second');
    expect(await named()).toBe('Second');
    await send('POST', `/backups/${first}/restore`);
    expect(await named()).toBe('First');
  });

  it('says that the disk is full, saves nothing, and goes on when there is room', async () => {
    const boat = (await send('GET', '/boats/pewter-skua')).body as OpenedBoat;
    const notes = 'x'.repeat(3900);
    const edit = () => ({
      revisionId: randomUUID(),
      base: boat.number,
      edits: [{ type: 'describeBoat', changes: { notes } }],
    });
    let mostPages = 1;
    const manager = server.database.sequelize.connectionManager as unknown as {
      getConnection: (options: unknown) => Promise<sqlite3.Database>;
    };
    const open = manager.getConnection.bind(manager);
    // SQLite never shrinks below what is there: one page means that the file cannot grow.
    manager.getConnection = async (options) => {
      const connection = await open(options);
      return new Promise((resolve, reject) =>
        connection.exec(`PRAGMA max_page_count = ${mostPages}`, (error) =>
          error ? reject(error) : resolve(connection),
        ),
      );
    };
    const full = await send('POST', '/boats/pewter-skua/revisions', edit());
    expect([full.status, (full.body as { title: string }).title]).toEqual([507, 'The disk is full']);
    mostPages = 1_000_000;
    expect(((await send('GET', '/boats/pewter-skua')).body as OpenedBoat).number).toBe(boat.number);
    expect((await send('POST', '/boats/pewter-skua/revisions', edit())).status).toBe(201);
  });

  it('answers two hundred requests at once while sheets are printed', async () => {
    const units = 'length=m&depth=m&speed=kn&temperature=C';
    const sheets = ['report', 'shopping', 'wiring', 'aboard'].map((sheet) =>
      send('GET', `/boats/sable-wren/${sheet}.pdf?${units}`),
    );
    let ended = false;
    const printing = Promise.all(sheets).then((printed) => {
      ended = true;
      return printed;
    });
    const health = await Promise.all(Array.from({ length: 200 }, () => send('GET', '/health')));
    expect(health.every(({ status }) => status === 200)).toBeTrue();
    // However busy the machine is, nobody waits for the last sheet.
    expect(ended).toBeFalse();
    expect((await printing).map(({ status }) => status)).toEqual(sheets.map(() => 200));
  }, 60_000);

  it('lets in only whoever has the token, where one is set', async () => {
    await server.stop();
    const token = 'a-token-of-the-shop';
    server = await start({ token });
    const status = async (path: string, headers: Record<string, string> = {}): Promise<number> =>
      (await fetch(server.address + path, { headers })).status;
    expect(await status('/api/boats')).toBe(403);
    expect(await status('/api/boats', { authorization: 'Bearer a-token-of-nobody' })).toBe(403);
    expect(await status('/api/boats', { authorization: `Bearer ${token}` })).toBe(200);
    const first = await fetch(`${server.address}/api/health?token=${token}`);
    const cookie = first.headers.get('set-cookie') ?? '';
    expect(cookie).toContain('HttpOnly');
    expect(cookie).toContain('SameSite=Strict');
    expect(await status('/api/boats', { cookie: cookie.split(';')[0] ?? '' })).toBe(200);
    const elsewhere = { authorization: `Bearer ${token}`, origin: 'http://elsewhere.example' };
    expect(await status('/api/boats', elsewhere)).toBe(403);
    const embedded = { authorization: `Bearer ${token}`, 'sec-fetch-site': 'cross-site' };
    expect(await status('/api/boats', embedded)).toBe(403);
    // A page without an origin of its own, one that is none, and a cookie that is garbled.
    for (const origin of ['null', 'nonsense'])
      expect(await status('/api/boats', { authorization: `Bearer ${token}`, origin })).toBe(403);
    expect(await status('/api/boats', { cookie: 'grey-keel-token=%E0%A4%A' })).toBe(403);
  });
});
