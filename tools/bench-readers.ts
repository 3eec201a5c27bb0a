import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import type { Application } from './application.ts';
import { median, milliseconds, type Row } from './bench-row.ts';

const readers = 40;
const edited = 20;
const rounds = 3;
const stalled = 16;
const stalledForMs = 45_000;
/** What stalled listeners may add to the server's memory, MB. */
const mostAddedMb = 30;

const read = (address: string): Promise<unknown> =>
  fetch(`${address}/api/boats?count=50`).then((reply) => reply.text());
const readByMany = (address: string): Promise<unknown> =>
  Promise.all(Array.from({ length: readers }, () => read(address)));

/** Forty who read the fleet after twenty edits, beside forty after none and one who reads after twenty. */
export const readerRow = async (address: string, ids: readonly string[]): Promise<Row> => {
  let turn = 0;
  const edit = async (): Promise<void> => {
    for (const id of ids.slice(0, edited)) {
      const opened = (await (await fetch(`${address}/api/boats/${id}`)).json()) as { number: number };
      const edits = [{ type: 'workAtDepth', depthM: 5 + (turn % 30) }];
      turn += 1;
      const reply = await fetch(`${address}/api/boats/${id}/revisions`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ revisionId: randomUUID(), base: opened.number, edits }),
      });
      if (reply.status !== 201) throw new Error(`A save was answered ${reply.status}.`);
    }
  };
  const [many, none, one]: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < rounds; i++) {
    await edit();
    many.push(await milliseconds(() => readByMany(address)));
    none.push(await milliseconds(() => readByMany(address)));
    await edit();
    one.push(await milliseconds(() => read(address)));
  }
  const [value, baselineValue] = [median(many), median(none) + median(one)];
  return {
    name: `${readers} fleet readers after ${edited} edits`,
    value,
    unit: 'ms',
    baseline: `${readers} after none and one after ${edited}`,
    baselineValue,
    ratio: value / baselineValue,
  };
};

const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Sixteen who listen to the instruments and read nothing of it for three quarters of a minute. */
export const stalledRow = async ({ address, pid }: Application): Promise<Row> => {
  const { hostname, port } = new URL(address);
  await fetch(`${address}/api/instruments/sources/bench`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Boat', connection: { by: 'simulated boat', seed: 5, pace: 10 } }),
  });
  await pause(5000);
  const before = residentMb(pid());
  const sockets: Socket[] = [];
  for (let i = 0; i < stalled; i++) {
    const socket = connect(Number(port), hostname);
    socket.on('error', () => undefined);
    socket.write(`GET /api/instruments/stream HTTP/1.1\r\nHost: ${hostname}:${port}\r\n\r\n`);
    socket.pause();
    sockets.push(socket);
  }
  let most = 0;
  for (let waited = 0; waited < stalledForMs; waited += 1000) {
    await pause(1000);
    most = Math.max(most, residentMb(pid()) - before);
  }
  for (const socket of sockets) socket.destroy();
  await fetch(`${address}/api/instruments/sources/bench`, { method: 'DELETE' });
  return {
    name: `${stalled} listeners that read nothing: memory added`,
    value: most,
    unit: 'MB',
    baseline: 'budget',
    baselineValue: mostAddedMb,
    ratio: most / mostAddedMb,
  };
};
