import { aPlan } from '@grey-keel/core/testing';
import express from 'express';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import sqlite3 from 'sqlite3';
import { openDatabase } from '../apps/server/src/database/open-database.ts';
import { BoatStore } from '../apps/server/src/fleet/boat-store.ts';
import { scratchFolder, serverOn } from '../apps/server/src/testing/test-server.ts';
import { p95 } from './bench-row.ts';

const count = 10_000;
/** One boat's line, again under as many names; every third has a stop. */
const multiply = `
  WITH RECURSIVE n (i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${count - 1})
  INSERT INTO boats
    (id, number, name, entry, entry_version, made_at, kept_at, removed_at,
     sought, name_order, water_order, stops, checks, next_stage)
  SELECT 'boat-' || i, number, 'Boat ' || i, json_set(entry, '$.id', 'boat-' || i, '$.name', 'Boat ' || i), entry_version,
    made_at, kept_at, NULL, 'boat ' || i || ' ' || sought, printf('boat %012d', i), water_order, i % 3 = 0, i % 5, 1 + i % 11
  FROM boats, n WHERE id = 'first'`;

interface Asked {
  readonly query: string;
  readonly where: string;
  readonly order: string;
  readonly first: number;
}
const asked: readonly Asked[] = [
  { query: 'count=50', where: '1', order: 'name_order, id', first: 0 },
  {
    query: 'count=50&search=boat 77',
    where: "instr(sought, 'boat') AND instr(sought, '77')",
    order: 'name_order, id',
    first: 0,
  },
  {
    query: 'count=50&show=with a stop&by=finding&downward=true',
    where: 'stops > 0',
    order: 'stops DESC, checks DESC, name_order DESC, id DESC',
    first: 0,
  },
  { query: 'count=50&first=9000&by=next', where: '1', order: 'next_stage, name_order, id', first: 9000 },
];

/** The same questions put to SQLite with nothing but Express between. */
const bareServer = async (file: string) => {
  const database = new sqlite3.Database(file, sqlite3.OPEN_READONLY);
  const all = <T>(sql: string): Promise<T[]> =>
    new Promise((resolve, reject) => database.all<T>(sql, (error, rows) => (error ? reject(error) : resolve(rows))));
  const app = express();
  app.get('/:i', async (request, response) => {
    const one = asked[Number(request.params.i)];
    if (!one) return void response.status(404).end();
    const { where, order, first } = one;
    const there = `FROM boats WHERE removed_at IS NULL`;
    const [rows, found, whole] = await Promise.all([
      all<{ entry: string }>(`SELECT entry ${there} AND ${where} ORDER BY ${order} LIMIT 50 OFFSET ${first}`),
      all<{ n: number }>(`SELECT count(*) AS n ${there} AND ${where}`),
      all<{ n: number }>(`SELECT count(*) AS n ${there}`),
    ]);
    const boats = rows.map(({ entry }) => entry).join(',');
    response
      .type('application/json')
      .send(`{"boats":[${boats}],"found":${found[0]?.n ?? 0},"all":${whole[0]?.n ?? 0},"waiting":0}`);
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () => {
      server.closeAllConnections();
      server.close();
      database.close();
    },
  };
};

/** How long a page of ten thousand boats takes, by name, by words, by finding and deep in the list, turn by turn. */
export const fleetPageTimes = async (): Promise<{ pageP95: number; barePageP95: number }> => {
  const folder = scratchFolder();
  const file = join(folder.path, 'grey-keel.sqlite');
  const database = await openDatabase(file);
  const boats = new BoatStore(database);
  await boats.create('first', aPlan());
  await database.write((transaction) =>
    database.sequelize.query(multiply, { transaction, type: QueryTypes.RAW }).then(() => undefined),
  );
  boats.stop();
  await database.close();
  const server = await serverOn(folder.path);
  const bare = await bareServer(file);
  const took = { page: [] as number[], bare: [] as number[] };
  const timed = async (into: number[], address: string): Promise<string> => {
    const start = performance.now();
    const answer = await (await fetch(address)).text();
    into.push(performance.now() - start);
    return answer;
  };
  for (let i = 0; i < 200; i++) {
    const at = i % asked.length;
    const page = await timed(took.page, `${server.address}/api/boats?${asked[at]?.query ?? ''}`);
    const plain = await timed(took.bare, `${bare.address}/${at}`);
    if (page !== plain) throw new Error(`"${asked[at]?.query ?? ''}" is answered otherwise than by SQLite.`);
  }
  bare.close();
  await server.stop();
  folder.remove();
  return { pageP95: p95(took.page), barePageP95: p95(took.bare) };
};
