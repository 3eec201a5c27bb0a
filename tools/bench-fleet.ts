import express from 'express';
import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { scratchFolder } from '../apps/server/src/testing/test-server.ts';
import { p95 } from './bench-row.ts';

export interface FleetTimes {
  readonly fleetP95: number;
  readonly openP95: number;
  readonly saveP95: number;
  /** The same bytes through SQLite and Express with nothing between. */
  readonly bareFleetP95: number;
  readonly bareOpenP95: number;
  readonly bareSaveP95: number;
  /** Of two hundred requests at once, until the last is answered. */
  readonly crowdMs: number;
}

const timed = async (times: number, work: (i: number) => Promise<unknown>): Promise<number[]> => {
  const took: number[] = [];
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    await work(i);
    took.push(performance.now() - start);
  }
  return took;
};

const post = (address: string, body: unknown): Promise<Response> =>
  fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
const text = (address: string): Promise<string> => fetch(address).then((response) => response.text());

/** A server that only stores and gives back texts, as safely as the program stores its revisions. */
const bareServer = async () => {
  const folder = scratchFolder();
  const database = new sqlite3.Database(join(folder.path, 'bare.sqlite'));
  const run = (sql: string, values: unknown[] = []): Promise<void> =>
    new Promise((resolve, reject) => database.run(sql, values, (error) => (error ? reject(error) : resolve())));
  const read = (id: string): Promise<string> =>
    new Promise((resolve, reject) =>
      database.get<{ body: string }>('SELECT body FROM texts WHERE id = ?', [id], (error, row) =>
        error ? reject(error) : resolve(row.body),
      ),
    );
  await run('PRAGMA journal_mode = WAL');
  await run('PRAGMA synchronous = FULL');
  await run('CREATE TABLE texts (id TEXT PRIMARY KEY, body TEXT NOT NULL)');
  const app = express();
  app.get('/:id', async (request, response) => {
    response.type('application/json').send(await read(request.params.id));
  });
  app.post('/:id', express.json({ limit: '1mb' }), async (request, response) => {
    await run('INSERT OR REPLACE INTO texts VALUES (?, ?)', [request.params['id'], JSON.stringify(request.body)]);
    response.status(201).json({ id: request.params['id'] });
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    put: (id: string, body: string) => run('INSERT OR REPLACE INTO texts VALUES (?, ?)', [id, body]),
    close: () => {
      server.closeAllConnections();
      server.close();
      database.close(() => folder.remove());
    },
  };
};

/** How long a thousand boats take to be listed, and each to be opened and saved, turn by turn with the bare server. */
export const fleetTimes = async (address: string, ids: readonly string[]): Promise<FleetTimes> => {
  const bare = await bareServer();
  const fleet = await text(`${address}/api/boats?count=200`);
  await bare.put('fleet', fleet);
  const boats = await Promise.all(ids.slice(0, 60).map((id) => text(`${address}/api/boats/${id}`)));
  for (const [i, boat] of boats.entries()) await bare.put(`boat-${i}`, boat);
  const edits = [{ type: 'workAtDepth', depthM: 21 }];
  const save = async (i: number): Promise<void> => {
    const id = ids[i] ?? '';
    const answer = await post(`${address}/api/boats/${id}/revisions`, { revisionId: randomUUID(), base: 0, edits });
    if (answer.status !== 201) throw new Error(`A save was answered ${answer.status}.`);
    await answer.text();
  };
  const [fleetTook, bareFleet] = [
    await timed(40, () => text(`${address}/api/boats?count=200`)),
    await timed(40, () => text(`${bare.address}/fleet`)),
  ];
  // Every boat another one: none of them is held in memory.
  const [openTook, bareOpen] = [
    await timed(200, (i) => text(`${address}/api/boats/${ids[100 + i] ?? ''}`)),
    await timed(200, (i) => text(`${bare.address}/boat-${i % 60}`)),
  ];
  // A boat is saved by who has it open.
  const saveTook: number[] = [];
  for (let i = 0; i < 200; i++) {
    await text(`${address}/api/boats/${ids[400 + i] ?? ''}`);
    saveTook.push(...(await timed(1, () => save(400 + i))));
  }
  const bareSave = await timed(200, (i) =>
    post(`${bare.address}/save-${i}`, { edits, entry: fleet.slice(0, 800) }).then((r) => r.text()),
  );
  const [crowdMs = 0] = await timed(1, () =>
    Promise.all(Array.from({ length: 200 }, (_, i) => text(`${address}/api/boats/${ids[700 + i] ?? ''}`))),
  );
  bare.close();
  return {
    fleetP95: p95(fleetTook),
    openP95: p95(openTook),
    saveP95: p95(saveTook),
    bareFleetP95: p95(bareFleet),
    bareOpenP95: p95(bareOpen),
    bareSaveP95: p95(bareSave),
    crowdMs,
  };
};
