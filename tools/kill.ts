import { fork, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import type { Bundle, OpenedBoat } from '@grey-keel/model';
import { databaseIn } from '../apps/server/src/data-folder.ts';
import { restore } from '../apps/server/src/database/backup.ts';
import { faultOf } from '../apps/server/src/database/sqlite-file.ts';
import { scratchFolder } from '../apps/server/src/testing/test-server.ts';
import { seeded } from '../packages/core/src/testing/sample-plan.ts';

// npm run kill -- [--count N] [--seed S]: the server is killed N times while it saves, imports, backs up and goes
// back to a backup, and every time what it had acknowledged has to be there, in one whole file.
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

/** What has to be there: by boat, the newest revision that was acknowledged. */
const acknowledged = new Map<string, number>();
/** Going back to a backup takes what came after it along; from then on what stands is what counts. */
let wentBack = false;

const send = async (address: string, method: string, path: string, body?: unknown): Promise<unknown> => {
  const response = await fetch(`${address}/api${path}`, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${method} ${path} answered ${response.status}`);
  return response.status === 204 ? null : ((await response.json()) as unknown);
};

const work = async (address: string, bundle: Bundle, round: number): Promise<void> => {
  for (let i = 0; ; i++) {
    const turn = random();
    const id = [...acknowledged.keys()][Math.floor(random() * acknowledged.size)] ?? 'hull';
    if (turn < 0.6) {
      const boat = (await send(address, 'GET', `/boats/${id}`)) as OpenedBoat;
      const edits = [{ type: 'describeBoat', changes: { notes: `round ${round}, edit ${i}` } }];
      const wanted = { revisionId: randomUUID(), base: boat.number, baseId: boat.revisionId, edits };
      await send(address, 'POST', `/boats/${id}/revisions`, wanted);
      acknowledged.set(id, boat.number + 1);
    } else if (turn < 0.8) {
      const made = `made-${round}-${i}`;
      await send(address, 'PUT', `/bundles/${made}`, bundle);
      acknowledged.set(made, 0);
    } else if (turn < 0.92) await send(address, 'POST', '/backups');
    else {
      const [newest] = (await send(address, 'GET', '/backups')) as { name: string }[];
      if (!newest) continue;
      wentBack = true;
      await send(address, 'POST', `/backups/${newest.name}/restore`);
      await remember(address);
    }
  }
};

const remember = async (address: string): Promise<void> => {
  acknowledged.clear();
  for (const { id, number } of (await send(address, 'GET', '/boats')) as { id: string; number: number }[])
    acknowledged.set(id, number);
  wentBack = false;
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
  const working = work(address, bundle, round).catch(() => undefined);
  await pause(20 + 400 * random());
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
  try {
    if (round % 5 === 0) await killedRestore(round);
    else await killed(round, bundle);
  } catch (error) {
    faults.push(`round ${round}: ${error instanceof Error ? error.message : String(error)}`);
    break;
  }
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
if (!restored.ok) faults.push(`the last file cannot be restored: ${restored.detail}`);
for (const fault of faults) console.log(`FAULT ${fault}`);
console.log(`${count} kills, ${faults.length} faults.`);
folder.remove();
process.exitCode = faults.length === 0 ? 0 : 1;
