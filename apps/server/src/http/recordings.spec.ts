import { encodeSentence, simulatedBoat, simulatedSentences } from '@grey-keel/core';
import { type Recording, type RecordingPart, recordingSchema, helmAtRest } from '@grey-keel/model';
import { Readable } from 'node:stream';
import { request as rawRequest } from 'node:http';
import { ask, noLimit, scratchFolder, serverOn } from '../testing/test-server.ts';
import type { RunningServer } from '../start-server.ts';

const startMs = Date.parse('2026-05-01T09:30:00Z');
/** What the simulated boat sends over some seconds, as a log without tags and with mixed ends of lines. */
const sailed = (seconds: number): string => {
  const boat = simulatedBoat(5);
  return Array.from({ length: seconds * 10 }, (_, tick) => {
    boat.step(0.1, { ...helmAtRest, throttle: 0.5, steerDeg: 70 });
    return simulatedSentences(boat.now(), tick, new Date(startMs + tick * 100)).join(tick % 2 ? '\r\n' : '\n');
  }).join('\n');
};

describe('recordings', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  beforeEach(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path, { ...noLimit, simulatorUdpPort: 44_314 });
  });
  afterEach(async () => {
    await server.stop();
    folder.remove();
  });
  const send = (method: string, path: string, body?: unknown) =>
    ask(server.address, method, `/api/recordings${path}`, body);
  const list = async (): Promise<Recording[]> => (await send('GET', '')).body as Recording[];
  const importLog = async (id: string, text: string, name = 'Monday'): Promise<Response> =>
    fetch(`${server.address}/api/recordings/${id}?${new URLSearchParams({ name }).toString()}`, {
      method: 'PUT',
      body: Readable.toWeb(Readable.from([Buffer.from(text, 'latin1')])) as never,
      duplex: 'half',
    } as never);
  const part = async (id: string, query: Record<string, string | number>): Promise<RecordingPart> =>
    (await send('GET', `/${id}/part?${new URLSearchParams(query as never).toString()}`)).body as RecordingPart;
  const channelOf = (recording: Recording, quantity: string): number =>
    recording.channels.find((one) => one.quantity === quantity)?.id ?? -1;

  it('are taken in from a log, asked for in parts with their peaks, and known for simulated', async () => {
    const reply = await importLog('monday', `${sailed(90)}\nbroken $\n${encodeSentence('SD', 'DPT', ['99.5', ''])}`);
    expect(reply.status).toBe(201);
    const recording = recordingSchema.parse(await reply.json());
    expect(recording).toEqual(
      jasmine.objectContaining({ name: 'Monday', state: 'ready', simulated: true, timesKnown: 'clock', noSentence: 1 }),
    );
    // To the tenth of a second that one sentence before the first time is taken for.
    expect(Math.abs(Date.parse(recording.startedAt ?? '') - startMs)).toBeLessThanOrEqual(100);
    expect(Math.abs(recording.lastedS - 89.5)).toBeLessThanOrEqual(0.11);
    const depths = await part('monday', { channel: channelOf(recording, 'depthM'), points: 20 });
    expect([depths.samples, Math.max(...depths.values)]).toEqual([91, 99.5]);
    expect(depths.values.length).toBeLessThanOrEqual(20);
    const headings = await part('monday', { channel: channelOf(recording, 'headingMagneticDeg'), fromS: 10, toS: 20 });
    expect(headings.timesS.every((timeS) => timeS >= 10 && timeS <= 20)).toBeTrue();
    expect((await importLog('monday', 'x')).status).toBe(409);
    expect((await send('GET', '/monday/part?channel=0&points=5')).status).toBe(422);
    expect((await send('GET', '/nowhere/part?channel=0')).status).toBe(404);
  });

  it('leave nothing behind where the sending breaks off, and what a kill left is cleared at the next start', async () => {
    const { port } = new URL(server.address);
    await new Promise<void>((done) => {
      const sending = rawRequest({
        port,
        host: '127.0.0.1',
        method: 'PUT',
        path: '/api/recordings/broken?name=Broken',
      });
      sending.on('error', () => done());
      sending.write(sailed(60));
      setTimeout(() => sending.destroy(), 400);
    });
    for (let i = 0; i < 100 && (await server.database.tables.recordings.count()) > 0; i++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(await server.database.tables.recordings.count()).toBe(0);
    expect(await server.database.tables.recordingChunks.count()).toBe(0);
    await server.database.tables.recordings.create({
      id: 'killed',
      name: 'Killed',
      came_from: 'Killed',
      state: 'importing',
      made_at: new Date().toISOString(),
    });
    await server.stop();
    server = await serverOn(folder.path, noLimit);
    expect(await list()).toEqual([]);
  });

  it('are refused a second time under an id, deleted though the first is, and two at once', async () => {
    expect((await importLog('once', sailed(2))).status).toBe(201);
    await send('DELETE', '/once');
    expect((await importLog('once', sailed(2))).status).toBe(409);
    await ask(server.address, 'PUT', '/api/instruments/sources/boat', {
      name: 'Boat',
      connection: { by: 'simulated boat', seed: 7, pace: 1 },
    });
    expect((await send('POST', '/once/record', { name: 'Once' })).status).toBe(409);
    const both = await Promise.all([1, 2, 3].map(() => send('POST', '/new/record', { name: 'New' })));
    expect(both.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    const logs = await Promise.all([1, 2, 3].map(() => importLog('log', sailed(2))));
    expect(logs.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  });

  it('are taken in two at a time; more wait for their turn, and too many are refused', async () => {
    let over = false;
    const slow = (id: string): Promise<number> =>
      fetch(`${server.address}/api/recordings/${id}?name=${id}`, {
        method: 'PUT',
        body: Readable.toWeb(
          Readable.from(
            (async function* () {
              for (; !over; await new Promise((resolve) => setTimeout(resolve, 20)))
                yield Buffer.from('$SDDPT,4.0,\r\n');
            })(),
          ),
        ) as never,
        duplex: 'half',
      } as never).then(({ status }) => status);
    const sent = Array.from({ length: 11 }, (_, i) => slow(`log-${i}`));
    const states = async (): Promise<string[]> => (await list()).map(({ state }) => state).sort();
    let seen: string[] = [];
    for (let i = 0; i < 200 && seen.length < 10; i++) seen = await states();
    expect(seen).toEqual(['importing', 'importing', ...Array<string>(8).fill('queued')]);
    over = true;
    expect((await Promise.all(sent)).sort()).toEqual([...Array<number>(10).fill(201), 429]);
    expect(await states()).toEqual(Array<string>(10).fill('ready'));
  });

  it('go out as NMEA, CSV and GPX, and what went out as NMEA comes in again as it was', async () => {
    await importLog('one', sailed(40));
    const out = await fetch(`${server.address}/api/recordings/one/export.nmea`);
    const again = recordingSchema.parse(await (await importLog('two', await out.text())).json());
    const [first] = (await list()).filter(({ id }) => id === 'one');
    expect(again).toEqual(
      jasmine.objectContaining({ simulated: true, timesKnown: 'tags', startedAt: first!.startedAt }),
    );
    for (const quantity of ['depthM', 'headingMagneticDeg', 'logMps', 'latitudeDeg', 'voltageV']) {
      const [before, after] = await Promise.all(
        [first!, again].map((one) => part(one.id, { channel: channelOf(one, quantity) })),
      );
      expect(after!.values.length).withContext(quantity).toBe(before!.values.length);
      before!.values.forEach((value, i) => expect(Math.abs(after!.values[i]! - value)).toBeLessThan(0.006));
      before!.timesS.forEach((timeS, i) => expect(Math.abs(after!.timesS[i]! - timeS)).toBeLessThan(0.002));
    }
    const csv = (await (await fetch(`${server.address}/api/recordings/one/export.csv`)).text()).split('\r\n');
    expect(csv[0]).toBe('time,seconds,talker,sentence,quantity,value');
    expect(csv.length - 2).toBe(first!.channels.reduce((sum, { samples }) => sum + samples, 0));
    const gpx = await (await fetch(`${server.address}/api/recordings/one/export.gpx`)).text();
    expect(gpx.match(/<trkpt lat="4[67]\.\d+" lon="-2[78]\.\d+">/g)?.length).toBe(80);
  });

  it('are made of the instruments while they speak, end with the program, and can be deleted and had back', async () => {
    expect((await send('POST', '/live/record', { name: 'Live' })).status).toBe(409);
    await ask(server.address, 'PUT', '/api/instruments/sources/boat', {
      name: 'Boat',
      connection: { by: 'simulated boat', seed: 7, pace: 5 },
    });
    expect((await send('POST', '/live/record', { name: 'Live' })).status).toBe(201);
    await new Promise((resolve) => setTimeout(resolve, 1200));
    const stopped = recordingSchema.parse((await send('POST', '/live/stop')).body);
    expect(stopped).toEqual(
      jasmine.objectContaining({ state: 'ready', simulated: true, timesKnown: 'arrival', cameFrom: 'Boat' }),
    );
    expect((await part('live', { channel: channelOf(stopped, 'headingMagneticDeg') })).samples).toBeGreaterThan(20);
    // Whoever presses twice hears the same again.
    expect((await send('POST', '/live/stop')).body).toEqual(stopped);
    expect((await send('POST', '/never/stop')).status).toBe(404);
    // One that is under way when the program ends is there afterwards.
    await send('POST', '/late/record', { name: 'Late' });
    await new Promise((resolve) => setTimeout(resolve, 400));
    await server.stop();
    server = await serverOn(folder.path, noLimit);
    expect((await list()).find(({ id }) => id === 'late')?.channels.length).toBeGreaterThan(5);
    expect((await send('DELETE', '/live')).status).toBe(204);
    expect((await list()).map(({ id }) => id)).not.toContain('live');
    expect((await send('POST', '/live/recall')).status).toBe(200);
    expect((await list()).map(({ id }) => id)).toContain('live');
  });
});
