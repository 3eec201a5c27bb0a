import { restoredSchema, type BackupEntry, type Instruments, type Recording } from '@grey-keel/model';
import { Readable } from 'node:stream';
import { ask, noLimit, scratchFolder, serverOn } from '../testing/test-server.ts';
import type { RunningServer } from '../start-server.ts';

describe('going back to a backup while the program is used', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  beforeEach(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path, { ...noLimit, simulatorUdpPort: 44_316 });
  });
  afterEach(async () => {
    await server.stop();
    folder.remove();
  });
  const send = (method: string, path: string, body?: unknown) => ask(server.address, method, `/api${path}`, body);
  const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

  it('ends what is recorded and taken in, and says so; what is read meanwhile waits and is answered', async () => {
    for (let i = 0; i < 12; i++) await send('PUT', `/boats/hull-${i}`, { name: `Hull ${i}` });
    const [made] = (await send('POST', '/backups')).body as BackupEntry[];
    await send('PUT', '/instruments/sources/boat', {
      name: 'Boat',
      connection: { by: 'simulated boat', seed: 7, pace: 5 },
    });
    await send('POST', '/recordings/live/record', { name: 'Live' });
    let over = false;
    const endless = Readable.from(
      (async function* () {
        while (!over) {
          yield Buffer.from('$SDDPT,4.0,*75\r\n'.repeat(50));
          await pause(20);
        }
      })(),
    );
    const importing = fetch(`${server.address}/api/recordings/slow?name=Slow`, {
      method: 'PUT',
      body: Readable.toWeb(endless) as never,
      duplex: 'half',
    } as never).then(
      ({ status }) => status,
      () => 0,
    );
    /** However long a busy machine takes: the spec's own limit ends it. */
    const until = async (holds: () => Promise<boolean> | boolean): Promise<void> => {
      while (!(await holds())) await pause(20);
    };
    await until(async () =>
      ((await send('GET', '/recordings')).body as Recording[]).some(
        ({ id, state }) => id === 'slow' && state !== 'queued',
      ),
    );
    await until(
      async () => (((await send('GET', '/instruments')).body as Instruments).recordings[0]?.samplesInMemory ?? 0) > 20,
    );
    const answers: number[] = [];
    const reader = async (path: string): Promise<void> => {
      while (!over) answers.push((await send('GET', path)).status);
    };
    const readers = Promise.all(
      ['/boats', '/boats/hull-3', '/recordings', '/backups', '/catalogue', '/backup', '/boats/hull-2/bundle'].map(
        reader,
      ),
    );
    const each = 7;
    await until(() => answers.length > each);
    const restored = await send('POST', `/backups/${made?.name ?? ''}/restore`);
    expect([restored.status, restoredSchema.parse(restored.body)]).toEqual([
      200,
      { recordings: ['Live'], imports: ['Slow'] },
    ]);
    const so = answers.length;
    await until(() => answers.length > so + each);
    over = true;
    await readers;
    expect(answers.filter((status) => status >= 500)).toEqual([]);
    // Told, or cut off while it still sent.
    expect([409, 0]).toContain(await importing);
    expect(((await send('GET', '/recordings')).body as Recording[]).map(({ id }) => id)).toEqual([]);
    const list = (await send('GET', '/backups')).body as BackupEntry[];
    expect(list.filter(({ kind }) => kind === 'put aside').length).toBe(1);
    // What was ended stands in what was put aside.
    const aside = list.find(({ kind }) => kind === 'put aside');
    expect((await send('POST', `/backups/${aside?.name ?? ''}/restore`)).status).toBe(200);
    const [live] = (await send('GET', '/recordings')).body as Recording[];
    expect([live?.id, live?.state, (live?.channels.length ?? 0) > 5]).toEqual(['live', 'ready', true]);
  });

  it('says where there is no such backup, and goes back as often as is wanted', async () => {
    const [made] = (await send('POST', '/backups')).body as BackupEntry[];
    expect((await send('POST', '/backups/none.sqlite/restore')).status).toBe(404);
    expect((await send('POST', `/backups/${made?.name ?? ''}/restore`)).status).toBe(200);
    expect((await send('GET', '/boats')).status).toBe(200);
  });
});
