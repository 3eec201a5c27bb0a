import { fork, type ChildProcess } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import type { BackupEntry, Bundle, FleetPage, OpenedBoat, Recording, RecordingPart } from '@grey-keel/model';
import { databaseIn } from '../apps/server/src/data-folder.ts';
import { restore } from '../apps/server/src/database/backup.ts';
import { faultOf, withConnection } from '../apps/server/src/database/sqlite-file.ts';
import { aJpeg } from '../apps/server/src/testing/a-jpeg.ts';
import { scratchFolder } from '../apps/server/src/testing/test-server.ts';
import { seeded } from '../packages/core/src/testing/sample-plan.ts';

// npm run kill -- [--count N] [--seed S]: the server is killed N times while it saves, imports boats and logs, records what
// a simulated boat says, stores photographs, backs up and goes back to a backup with a recording under way. Every time what
// it had acknowledged has to be there once, in one whole file, and nothing may be left over after the next start.
const { values } = parseArgs({ options: { count: { type: 'string' }, seed: { type: 'string' } } });
const [count, seed] = [Number(values.count ?? 50), Number(values.seed ?? 1)];
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed)) {
  console.error('--count and --seed are whole numbers; --count is 1 or more.');
  process.exit(2);
}
const random = seeded(seed);
const folder = scratchFolder();
const data = join(folder.path, 'data');
const file = databaseIn(data);
const main = fileURLToPath(new URL('../apps/server/src/main.ts', import.meta.url));
const faults: string[] = [];

const start = (): Promise<{ address: string; child: ChildProcess }> =>
  new Promise((resolve, reject) => {
    const child = fork(main, [], {
      execArgv: ['--import', 'tsx'],
      env: { ...process.env, GREY_KEEL_DATA: data, GREY_KEEL_PORT: '0', GREY_KEEL_LOG: 'error' },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    child.once('message', (message) => resolve({ address: (message as { address: string }).address, child }));
    child.once('exit', (code) => reject(new Error(`The server ended with ${code ?? 'a signal'} before it listened.`)));
  });
const gone = (child: ChildProcess): Promise<void> => new Promise((resolve) => child.once('exit', () => resolve()));
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** What has to be there: boats with the newest revision that was acknowledged, recordings with their samples, photographs. */
const acknowledged = new Map<string, number>();
/** Null where a recording was begun and how much of it is stored is not known. */
const recorded = new Map<string, number | null>();
const photographed = new Map<string, string>();
/** Going back to a backup takes what came after it along; from then on what stands is what counts. */
let wentBack = false;

const ask = (address: string, method: string, path: string, body?: unknown): Promise<Response> =>
  fetch(`${address}/api${path}`, {
    method,
    ...(body === undefined
      ? {}
      : Buffer.isBuffer(body)
        ? { headers: { 'content-type': 'image/jpeg' }, body: new Uint8Array(body) }
        : typeof body === 'string'
          ? { body }
          : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
const send = async (address: string, method: string, path: string, body?: unknown): Promise<unknown> => {
  const response = await ask(address, method, path, body);
  if (!response.ok) throw new Error(`${method} ${path} answered ${response.status}`);
  return response.status === 204 ? null : ((await response.json()) as unknown);
};

const samplesOf = ({ channels }: Recording): number => channels.reduce((sum, { samples }) => sum + samples, 0);
const logLines = 300;
const log = Array.from(
  { length: logLines },
  (_, i) => `${1_777_627_800 + i} $SDDPT,${(4 + i / 100).toFixed(2)},\r\n`,
).join('');
/** A picture that no other is like. */
const picture = (): Buffer =>
  aJpeg(8, 6, { scan: Buffer.from(Array.from({ length: 40 }, () => Math.floor(255 * random()))) });
const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

const sail = async (address: string): Promise<void> => {
  await send(address, 'PUT', '/instruments/sources/boat', {
    name: 'Boat',
    connection: { by: 'simulated boat', seed: 3, pace: 10 },
  });
};

const edit = async (address: string, id: string, notes: string): Promise<void> => {
  const boat = (await send(address, 'GET', `/boats/${id}`)) as OpenedBoat;
  const edits = [{ type: 'describeBoat', changes: { notes } }];
  await send(address, 'POST', `/boats/${id}/revisions`, {
    revisionId: randomUUID(),
    base: boat.number,
    baseId: boat.revisionId,
    edits,
  });
  acknowledged.set(id, boat.number + 1);
};

const work = async (address: string, bundle: Bundle, round: number): Promise<void> => {
  let live: string | null = null;
  await sail(address);
  for (let i = 0; ; i++) {
    const turn = random();
    const id = [...acknowledged.keys()][Math.floor(random() * acknowledged.size)];
    const name = `r${round}-${i}`;
    // A backup from before the first boat was made has none.
    if (turn < 0.35 && id !== undefined) await edit(address, id, `round ${round}, edit ${i}`);
    else if (turn < 0.5) {
      await send(address, 'PUT', `/bundles/made-${name}`, bundle);
      acknowledged.set(`made-${name}`, 0);
    } else if (turn < 0.6) {
      const bytes = picture();
      await send(address, 'PUT', `/photographs/${name}`, bytes);
      photographed.set(name, hashOf(bytes));
    } else if (turn < 0.7) {
      recorded.set(name, samplesOf((await send(address, 'PUT', `/recordings/${name}?name=Log`, log)) as Recording));
    } else if (turn < 0.85) {
      if (live === null) {
        await send(address, 'POST', `/recordings/${name}/record`, { name: 'Live' });
        recorded.set(name, null);
        live = name;
      } else {
        await pause(40 * random());
        recorded.set(live, samplesOf((await send(address, 'POST', `/recordings/${live}/stop`)) as Recording));
        live = null;
      }
    } else if (turn < 0.95) await send(address, 'POST', '/backups');
    else {
      const daily = ((await send(address, 'GET', '/backups')) as BackupEntry[]).filter(({ kind }) => kind === 'daily');
      const [newest] = daily;
      if (!newest) continue;
      wentBack = true;
      await send(address, 'POST', `/backups/${newest.name}/restore`);
      await remember(address);
      live = null;
      await sail(address);
    }
  }
};

const remember = async (address: string): Promise<void> => {
  acknowledged.clear();
  recorded.clear();
  photographed.clear();
  const page = (await send(address, 'GET', '/boats?count=200')) as FleetPage;
  for (const { id, number } of page.boats) acknowledged.set(id, number);
  for (const one of (await send(address, 'GET', '/recordings')) as Recording[]) recorded.set(one.id, samplesOf(one));
  wentBack = false;
};

/** What is left over once the server has started again. */
const leftOver = async (): Promise<string[]> => {
  const [counts] = await withConnection(file, 'read', (rows) =>
    rows<Record<string, number>>(`SELECT
      (SELECT COUNT(*) FROM recording_chunks WHERE recording_id NOT IN (SELECT id FROM recordings)) AS chunks,
      (SELECT COUNT(*) FROM recording_channels WHERE recording_id NOT IN (SELECT id FROM recordings)) AS channels,
      (SELECT COUNT(*) FROM recordings WHERE state <> 'ready') AS unfinished,
      (SELECT COUNT(*) FROM revisions WHERE boat_id NOT IN (SELECT id FROM boats)) AS revisions,
      (SELECT COUNT(*) FROM boats WHERE number <> (SELECT COUNT(*) FROM revisions WHERE boat_id = boats.id)) AS numbers`),
  );
  const files = [data, join(data, 'backups')].flatMap((one) => (existsSync(one) ? readdirSync(one) : []));
  return [
    ...Object.entries(counts ?? {}).flatMap(([what, count]) => (count > 0 ? [`${count} left over: ${what}`] : [])),
    ...files.filter((name) => name.includes('.restoring')),
  ];
};

/** Recordings and photographs that were acknowledged, each once and whole. */
const checkRest = async (address: string, round: number): Promise<void> => {
  const list = new Map(((await send(address, 'GET', '/recordings')) as Recording[]).map((one) => [one.id, one]));
  for (const [id, samples] of recorded) {
    const one = list.get(id);
    const there = one ? samplesOf(one) : -1;
    if (!one || (samples !== null && there !== samples))
      faults.push(`round ${round}: recording ${id} has ${there} samples, acknowledged ${samples ?? 'begun'}`);
    recorded.set(id, Math.max(there, 0));
    for (const { id: channel, samples: count } of one?.channels.slice(0, 2) ?? []) {
      const part = (await send(
        address,
        'GET',
        `/recordings/${id}/part?channel=${channel}&points=20000`,
      )) as RecordingPart;
      if (part.samples !== count || part.timesS.some((timeS, i) => timeS < (part.timesS[i - 1] ?? 0)))
        faults.push(`round ${round}: recording ${id} has values lost, doubled or out of order`);
    }
  }
  // An import that was cut off is whole or not there.
  for (const one of list.values())
    if (one.name === 'Log' && samplesOf(one) !== logLines)
      faults.push(`round ${round}: log ${one.id} is there in part`);
  for (const [id, hash] of photographed) {
    const answer = await ask(address, 'GET', `/photographs/${id}`);
    if (!answer.ok || hashOf(Buffer.from(await answer.arrayBuffer())) !== hash)
      faults.push(`round ${round}: photograph ${id} is lost`);
  }
  for (const what of await leftOver()) faults.push(`round ${round}: ${what}`);
  // So that a long run stays quick: what was looked at often enough makes room.
  for (const id of [...recorded.keys()].slice(0, -6)) {
    await send(address, 'DELETE', `/recordings/${id}`);
    recorded.delete(id);
  }
  for (const id of [...photographed.keys()].slice(0, -20)) photographed.delete(id);
  for (const id of [...acknowledged.keys()].slice(1, -40)) {
    await send(address, 'DELETE', `/boats/${id}`);
    acknowledged.delete(id);
  }
};

/** Looks whether everything acknowledged is there, works on, and is killed at a random moment. */
const killed = async (round: number, bundle: Bundle): Promise<void> => {
  const { address, child } = await start();
  const ended = gone(child);
  if (wentBack) await remember(address);
  for (const [id, number] of acknowledged) {
    const boat = (await send(address, 'GET', `/boats/${id}`).catch(() => null)) as OpenedBoat | null;
    // One more than was acknowledged may be there: its answer was cut off.
    if (!boat || boat.number < number || boat.number > number + 1)
      faults.push(`round ${round}: ${id} stands at ${boat?.number ?? 'nothing'}, acknowledged ${number}`);
    else acknowledged.set(id, boat.number);
  }
  await checkRest(address, round);
  // What fails before the kill is a fault; after it nobody answers.
  let dead = false;
  const working = work(address, bundle, round).catch((error: unknown) => {
    if (!dead) faults.push(`round ${round}: ${error instanceof Error ? error.message : String(error)}`);
  });
  await pause(20 + 900 * random());
  dead = true;
  child.kill('SIGKILL');
  await Promise.all([ended, working]);
  const fault = await faultOf(file);
  if (fault !== null) faults.push(`round ${round}: ${fault}`);
};

/** A restore by the command line, killed at a random moment: one whole file stands under the name at any time. */
const killedRestore = async (round: number): Promise<void> => {
  const backups = join(data, 'backups');
  const [name] = existsSync(backups) ? readdirSync(backups).filter((one) => one.endsWith('.sqlite')) : [];
  if (name === undefined) return;
  const child = fork(fileURLToPath(new URL('../apps/server/src/restore.ts', import.meta.url)), [join(backups, name)], {
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, GREY_KEEL_DATA: data },
    stdio: 'ignore',
  });
  const ended = gone(child);
  wentBack = true;
  await pause(250 + 700 * random());
  child.kill('SIGKILL');
  await ended;
  const fault = await faultOf(file);
  if (fault !== null) faults.push(`round ${round}, restore: ${fault}`);
};

mkdirSync(dirname(file), { recursive: true });
const first = await start();
await send(first.address, 'PUT', '/boats/hull', { name: 'Hull' });
acknowledged.set('hull', 0);
const bundle = (await send(first.address, 'GET', '/boats/hull/bundle')) as Bundle;
first.child.kill('SIGKILL');
await gone(first.child);

for (let round = 1; round <= count; round++) {
  const before = faults.length;
  try {
    if (round % 5 === 0) await killedRestore(round);
    else await killed(round, bundle);
  } catch (error) {
    faults.push(`round ${round}: ${error instanceof Error ? error.message : String(error)}`);
    console.log(`FAULT ${faults.at(-1) ?? ''}`);
    break;
  }
  // Told at once: a long run may be broken off.
  for (const fault of faults.slice(before)) console.log(`FAULT ${fault}`);
  // Copies put aside by each restore would fill the disk of a long run.
  for (const left of readdirSync(data).filter((one) => one.includes('.before-'))) rmSync(join(data, left));
  if (round % 50 === 0) console.log(`${round} kills, ${acknowledged.size} boats, ${faults.length} faults`);
}
// And the last file can be restored to a machine that has none.
const elsewhere = join(folder.path, 'elsewhere', 'grey-keel.sqlite');
copyFileSync(file, join(folder.path, 'last.sqlite'));
for (const ending of ['-wal'])
  if (existsSync(file + ending)) copyFileSync(file + ending, join(folder.path, `last.sqlite${ending}`));
const restored = await restore(join(folder.path, 'last.sqlite'), elsewhere, new Date());
if (!restored.ok) {
  faults.push(`the last file cannot be restored: ${restored.detail}`);
  console.log(`FAULT ${faults.at(-1) ?? ''}`);
}
console.log(`${count} kills, ${faults.length} faults.`);
folder.remove();
process.exitCode = faults.length === 0 ? 0 : 1;
