import { simulatedBoat } from '@grey-keel/core';
import { helmAtRest, type Instruments, instrumentsSchema, type LiveSamples } from '@grey-keel/model';
import { createSocket } from 'node:dgram';
import { type AddressInfo, connect, createServer, type Server, type Socket } from 'node:net';
import { ask, scratchFolder, serverOn } from '../testing/test-server.ts';
import type { RunningServer } from '../start-server.ts';

/** A gateway of our own: a plain TCP server that says what it is told to. */
const gateway = async () => {
  const callers = new Set<Socket>();
  let calls = 0;
  const listen = (port: number): Promise<Server> =>
    new Promise((resolve) => {
      const made = createServer((socket) => {
        calls += 1;
        callers.add(socket);
        socket.on('error', () => undefined);
        socket.on('close', () => callers.delete(socket));
      });
      made.listen(port, '127.0.0.1', () => resolve(made));
    });
  let server = await listen(0);
  const { port } = server.address() as AddressInfo;
  return {
    port,
    calls: () => calls,
    open: () => callers.size,
    say: (text: string) => callers.forEach((socket) => socket.write(text, 'latin1')),
    hangUp: () => callers.forEach((socket) => socket.destroy()),
    close: () =>
      new Promise<void>((done) => (callers.forEach((socket) => socket.destroy()), server.close(() => done()))),
    again: async () => {
      server = await listen(port);
    },
  };
};

const checked = (body: string): string => {
  const sum = Array.from(body).reduce((all, letter) => all ^ letter.charCodeAt(0), 0);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}\r\n`;
};

describe('the instruments', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  let port: Awaited<ReturnType<typeof gateway>>;
  const options = { simulatorUdpPort: 44_313 };
  beforeEach(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path, options);
    port = await gateway();
  });
  afterEach(async () => {
    await server.stop();
    await port.close();
    folder.remove();
  });

  const send = (method: string, path: string, body?: unknown) =>
    ask(server.address, method, `/api/instruments${path}`, body);
  const status = async (): Promise<Instruments> => instrumentsSchema.parse((await send('GET', '')).body);
  const source = async (id: string) => (await status()).sources.find((one) => one.id === id);
  const until = async (holds: (now: Instruments) => boolean): Promise<Instruments> => {
    for (let i = 0; i < 400; i++) {
      const now = await status();
      if (holds(now)) return now;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    throw new Error(JSON.stringify(await status()));
  };
  const open = (id = 'gateway', name = 'Gateway') =>
    send('PUT', `/sources/${id}`, { name, connection: { by: 'tcp', address: '127.0.0.1', port: port.port } });

  it('call only addresses of this machine and the boat’s own network, and say which are taken', async () => {
    for (const address of ['8.8.8.8', 'example.org', '172.32.0.1', '192.168.1.300', '127.0.0.1.evil.org', '']) {
      const reply = await send('PUT', '/sources/far', { name: 'Far', connection: { by: 'tcp', address, port: 10110 } });
      expect(reply.status).withContext(address).toBe(422);
      expect(JSON.stringify(reply.body)).withContext(address).toContain('own network');
    }
    for (const bad of [80, 70_000, 10110.5, '10110'])
      expect((await send('PUT', '/sources/u', { name: 'U', connection: { by: 'udp', port: bad } })).status).toBe(422);
    expect((await status()).sources).toEqual([]);
  });

  it('keep two talkers of one type apart, count what cannot be used, and pass on what is new', async () => {
    await open();
    await until(({ sources }) => sources[0]?.state === 'silent');
    const heard: LiveSamples[] = [];
    server.instruments.news.on('samples', (samples) => heard.push(samples));
    port.say(checked('SDDPT,4.10,0.3') + checked('IIDPT,7.20,0.0') + checked('SDDPT,4.20,0.3').replace('4.20', '9.20'));
    port.say(`garbage\r\n${checked('GPGSV,1,1')}${'x'.repeat(5000)}\n\\s:a*00\\${checked('YXMTW,11.5,C')}$SDDPT,`);
    port.say(
      checked('4.30,0.3')
        .slice(1)
        .replace(/\*..\r\n$/, '\r\n'),
    );
    const now = await until(({ sources }) => (sources[0]?.sentences ?? 0) >= 6);
    expect(now.sources[0]).toEqual(
      jasmine.objectContaining({ wrongChecksum: 1, noSentence: 2, notRead: 1, state: 'open', simulated: false }),
    );
    const depth = (talker: string) =>
      now.channels.find((one) => one.talker === talker && one.quantity === 'depthM')?.id;
    expect(depth('SD')).not.toBe(depth('II'));
    await new Promise((resolve) => setTimeout(resolve, 250));
    const values = new Map(heard.flatMap((samples) => samples.values.map(([id, value]) => [id, value] as const)));
    // The last one came in two pieces and without a checksum; the one with a wrong checksum counts for nothing.
    expect([values.get(depth('SD') ?? -1), values.get(depth('II') ?? -1)]).toEqual([4.3, 7.2]);
  });

  it('count each sentence once, however often it is opened, closed, put again and deleted', async () => {
    await Promise.all([open(), open(), open()]);
    await until(({ sources }) => sources[0]?.state === 'silent');
    await Promise.all(
      [true, false, true, true].map((wanted) => send('POST', '/sources/gateway/open', { open: wanted })),
    );
    await until(({ sources }) => sources[0]?.state === 'silent');
    const before = (await source('gateway'))?.sentences ?? 0;
    port.say(checked('SDDPT,4.10,0.3'));
    const now = await until(({ sources }) => (sources[0]?.sentences ?? 0) > before);
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect((await source('gateway'))?.sentences).toBe(before + 1);
    expect(now.sources.length).toBe(1);
    for (let i = 0; i < 100; i++) await send('POST', '/sources/gateway/open', { open: i % 2 === 0 });
    await Promise.all([send('POST', '/sources/gateway/open', { open: true }), send('DELETE', '/sources/gateway')]);
    for (let i = 0; i < 100 && port.open() > 0; i++) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(port.open()).toBe(0);
  });

  it('come back to a gateway that stops, hangs up and returns, and say so meanwhile', async () => {
    await open();
    await until(({ sources }) => sources[0]?.state === 'silent');
    port.hangUp();
    const lost = await until(({ sources }) => sources[0]?.state === 'closed by the other side');
    expect(lost.sources[0]?.problem).toContain('closed the connection');
    await until(({ sources }) => sources[0]?.state === 'silent');
    expect(port.calls()).toBe(2);
    await port.close();
    await until(({ sources }) => (sources[0]?.problem ?? '').includes('Nothing listens'));
    await port.again();
    await until(({ sources }) => sources[0]?.state === 'silent');
  });

  it('are open again after a restart, and stay closed where they were closed', async () => {
    await open('one', 'One');
    await send('PUT', '/sources/two', { name: 'Two', connection: { by: 'udp', port: 44_391 } });
    await send('POST', '/sources/two/open', { open: false });
    await server.stop();
    server = await serverOn(folder.path, options);
    await until(({ sources }) => sources.find(({ id }) => id === 'one')?.state === 'silent');
    expect((await source('two'))?.state).toBe('off');
    expect((await send('DELETE', '/sources/two')).status).toBe(200);
    expect((await send('DELETE', '/sources/two')).status).toBe(404);
  });

  it('hear a port that is opened on purpose, and say when another program has it', async () => {
    await send('PUT', '/sources/port', { name: 'Port', connection: { by: 'udp', port: 44_392 } });
    await until(({ sources }) => sources[0]?.state === 'silent');
    const udp = createSocket('udp4');
    udp.send(checked('HCHDG,101.5,,,7.1,W'), 44_392, '127.0.0.1');
    const now = await until(({ channels }) => channels.length > 0);
    expect(now.channels.map(({ quantity }) => quantity)).toEqual(['compassDeg', 'headingMagneticDeg', 'variationDeg']);
    const again = await send('PUT', '/sources/again', { name: 'Again', connection: { by: 'udp', port: 44_392 } });
    expect([again.status, (again.body as { detail: string }).detail]).toEqual([
      409,
      'This is open already, as "Port".',
    ]);
    await send('DELETE', '/sources/port');
    await new Promise<void>((done) => udp.close(() => done()));
    const other = createSocket('udp4');
    await new Promise<void>((done) => other.bind(44_392, () => done()));
    await send('PUT', '/sources/again', { name: 'Again', connection: { by: 'udp', port: 44_392 } });
    await until(({ sources }) => (sources[0]?.problem ?? '').includes('Another program'));
    other.close();
  });

  it('drop a listener that does not read, before what waits for it fills the memory', async () => {
    const { port: at, hostname } = new URL(server.address);
    const stalled = connect(Number(at), hostname);
    const closed = new Promise<void>((done) => stalled.once('close', () => done()));
    stalled.on('error', () => undefined);
    stalled.write(`GET /api/instruments/stream HTTP/1.1\r\nHost: ${hostname}:${at}\r\n\r\n`);
    stalled.pause();
    const reading = await fetch(`${server.address}/api/instruments/stream`);
    let read = 0;
    const reader = reading.body?.getReader();
    let ended = false;
    const draining = (async () => {
      for (let part = await reader?.read(); part?.done === false; part = await reader?.read())
        read += part.value.length;
    })()
      .catch(() => undefined)
      .finally(() => (ended = true));
    const values = Array.from({ length: 4000 }, (_, i): [number, number, number] => [i, i / 7, 1]);
    const bytes = JSON.stringify(values).length;
    for (let i = 0; i < 200; i++) {
      server.instruments.news.emit('samples', { at: i, values });
      // Whoever reads, however slowly, is not dropped.
      while (!ended && read < i * bytes) await new Promise((resolve) => setTimeout(resolve, 1));
    }
    stalled.resume();
    await closed;
    expect(read).toBeGreaterThanOrEqual(199 * bytes);
    await reader?.cancel();
    await draining;
  });

  it('survive a flood of thousands of sentences a second, none credited to another source', async () => {
    await open();
    await send('PUT', '/sources/other', { name: 'Other', connection: { by: 'udp', port: 44_393 } });
    await until(({ sources }) => sources[0]?.state === 'silent');
    for (let i = 0; i < 40; i++) port.say(checked(`VWVHW,,T,,M,${(i / 10).toFixed(1)},N,,K`).repeat(100));
    const now = await until(({ sources }) => sources[0]?.sentences === 4000);
    expect(now.channels.map(({ sourceId }) => sourceId)).toEqual(['gateway']);
    expect(now.sources[1]?.sentences).toBe(0);
    expect((await ask(server.address, 'GET', '/api/health')).status).toBe(200);
  });

  it('have a simulated boat in their place, that is steered, tells its errors when asked, and is known by any way', async () => {
    expect((await send('PUT', '/helm', helmAtRest)).status).toBe(404);
    await send('PUT', '/sources/boat', { name: 'Boat', connection: { by: 'simulated boat', seed: 7, pace: 3 } });
    const { simulator } = await until((now) => now.channels.length > 8);
    expect((await source('boat'))?.simulated).toBeTrue();
    const helm = { ...helmAtRest, throttle: 0.5, steerDeg: 90 };
    expect(((await send('PUT', '/helm', helm)).body as Instruments).simulator?.helm).toEqual(helm);
    expect((await send('PUT', '/helm', { ...helm, throttle: 2 })).status).toBe(422);
    expect((await send('GET', '/hidden')).body).toEqual(JSON.parse(JSON.stringify(simulatedBoat(7).errors)));
    // Heard as if it were a gateway, and by UDP: it says of itself what it is.
    await send('PUT', '/sources/tcp', {
      name: 'By TCP',
      connection: { by: 'tcp', address: '127.0.0.1', port: simulator?.tcpPort },
    });
    await send('PUT', '/sources/udp', { name: 'By UDP', connection: { by: 'udp', port: simulator?.udpPort } });
    await until(({ sources }) => sources.length === 3 && sources.every(({ simulated }) => simulated));
    await send('DELETE', '/sources/boat');
    await until((now) => now.simulator === null);
  });

  it('have one simulated boat at a time, also after a restore, and refuse a second in words', async () => {
    const boat = (id: string, seed: number) =>
      send('PUT', `/sources/${id}`, { name: `Boat ${seed}`, connection: { by: 'simulated boat', seed, pace: 1 } });
    await boat('seven', 7);
    await until(({ simulator }) => simulator !== null);
    const second = await boat('eight', 8);
    expect([second.status, (second.body as { detail: string }).detail]).toEqual([
      409,
      'Another simulated boat is under way, "Boat 7". Close or delete it first.',
    ]);
    await ask(server.address, 'POST', '/api/backups');
    const [made] = (await ask(server.address, 'GET', '/api/backups')).body as { name: string }[];
    expect((await ask(server.address, 'POST', `/api/backups/${made?.name ?? ''}/restore`)).status).toBe(200);
    await until(({ sources, simulator }) => sources[0]?.state === 'open' && simulator !== null);
    // The same twice, and another as soon as it is closed.
    await send('POST', '/sources/seven/open', { open: false });
    expect((await status()).simulator).toBeNull();
    expect((await boat('eight', 8)).status).toBe(200);
    await until((now) => now.channels.length > 4);
    expect((await send('POST', '/sources/seven/open', { open: true })).status).toBe(409);
    await Promise.all([send('DELETE', '/sources/seven'), send('DELETE', '/sources/eight')]);
    expect(await status()).toEqual(jasmine.objectContaining({ sources: [], simulator: null }));
  });
});
