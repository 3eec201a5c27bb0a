import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { fuzz } from './fuzz/doors.ts';
import { scratchFolder } from '../apps/server/src/testing/test-server.ts';

// npm run fuzz -- [--count N] [--seed S] [--printed P]: N inputs to the doors that read, a tenth to those that write, a hundredth printed.
const { values } = parseArgs({
  options: { count: { type: 'string' }, seed: { type: 'string' }, printed: { type: 'string' } },
});
const count = Number(values.count ?? 2000);
const seed = Number(values.seed ?? 1);
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed)) {
  console.error('--count and --seed are whole numbers; --count is 1 or more.');
  process.exit(2);
}
/** What may stay in memory after rest: the plans of the boats opened last, and what the engine made of the code. */
const mostLeftBytes = 60e6;

const folder = scratchFolder();
const server = fork(
  fileURLToPath(new URL('../apps/server/src/testing/fuzz-server.ts', import.meta.url)),
  [folder.path],
  {
    execArgv: ['--import', 'tsx', '--expose-gc'],
  },
);
const told = <T>(): Promise<T> => new Promise((resolve) => server.once('message', (message) => resolve(message as T)));
let ended = false;
server.once('exit', () => {
  ended = true;
});
interface Memory {
  readonly heapBytes: number;
  readonly bufferBytes: number;
}
const memory = async (): Promise<Memory> => {
  await new Promise((resolve) => setTimeout(resolve, 2000));
  const answer = told<Memory>();
  server.send('memory');
  return answer;
};

const { address } = await told<{ address: string }>();
const part = {
  reading: count,
  writing: Math.ceil(count / 10),
  printing: Number(values.printed ?? Math.ceil(count / 100)),
};
await fuzz(address, { reading: 200, writing: 100, printing: 5 }, seed + 1);
const before = await memory();
const from = performance.now();
const { answers, faults, slowestMs, sound } = await fuzz(address, part, seed);
const tookS = (performance.now() - from) / 1000;
const all = [...faults];
if (ended) all.push({ door: 'the server', what: 'ended', sent: '' });
else {
  const after = await memory();
  const leftBytes = after.heapBytes + after.bufferBytes - before.heapBytes - before.bufferBytes;
  console.log(`memory after rest: ${(leftBytes / 1e6).toFixed(1)} MB more than before`);
  if (leftBytes > mostLeftBytes) all.push({ door: 'the server', what: 'does not give its memory back', sent: '' });
  server.send('stop');
}
console.log(`${Object.values(answers).reduce((sum, n) => sum + n, 0)} answers in ${tookS.toFixed(0)} s, seed ${seed}:`);
console.log(
  Object.entries(answers)
    .map(([status, n]) => `  ${status}: ${n}`)
    .join('\n'),
);
console.log(`sensible edits: ${sound.taken} of ${sound.sent} taken`);
console.log(`slowest answer that is not long work: ${slowestMs.toFixed(0)} ms`);
const kinds = new Map<string, number>();
for (const { door, what, sent } of all) {
  const kind = `${door.replace(/[^ ]*\/api\//, '').split('/')[0] ?? ''} ${what.replace(/\d+/g, 'N')}`;
  kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
  if ((kinds.get(kind) ?? 0) <= 4) console.log(`FAULT ${door}: ${what}\n      ${sent}`);
}
console.log(all.length === 0 ? 'No fault.' : `${all.length} faults.`);
folder.remove();
process.exitCode = all.length === 0 ? 0 : 1;
