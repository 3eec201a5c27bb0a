import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { installPackages, root } from './install.mjs';
import { mutants } from './mutants.mjs';

installPackages();

// Each mutant lives in a copy of the core, inside the project so that its packages are found from there.
const place = (worker) => join(root, 'data', 'mutate', String(worker));
const original = join(root, 'packages/core/src');

const testRun = (worker, folder = '') =>
  new Promise((resolve) => {
    const specs = join('data/mutate', String(worker), folder, '**/*.spec.ts');
    const child = spawn(process.execPath, ['--import', 'tsx', 'tools/jasmine-counts.mjs', specs], {
      cwd: root,
      env: { ...process.env, STOP_AT_FIRST_FAILURE: '1' },
    });
    let output = '';
    child.stdout.on('data', (chunk) => (output += chunk));
    child.stderr.on('data', (chunk) => (output += chunk));
    child.on('close', (code) => resolve({ code, count: /^COUNT (\d+) (\d+)$/m.exec(output) }));
  });

const copy = (worker) => {
  rmSync(place(worker), { recursive: true, force: true });
  mkdirSync(place(worker), { recursive: true });
  cpSync(original, place(worker), { recursive: true });
};

const killed = async (worker, { file, from, to }) => {
  const path = join(place(worker), file);
  const before = readFileSync(path, 'utf8');
  if (before.split(from).length !== 2) throw new Error(`${file} does not hold "${from}" just once.`);
  writeFileSync(
    path,
    before.replace(from, () => to),
  );
  // The specs beside it mostly notice it; only what they let pass is put before all of them.
  const beside = await testRun(worker, dirname(file));
  const { count } = Number(beside.count?.[2]) > 0 ? beside : await testRun(worker);
  writeFileSync(path, before);
  // A mutant that keeps the specs from loading would look killed without a single expectation having failed.
  if (!count) throw new Error(`With "${to}" in ${file} the specs did not run.`);
  return Number(count[2]) > 0;
};

copy(0);
const healthy = await testRun(0);
if (healthy.code !== 0 || !healthy.count || Number(healthy.count[1]) === 0) {
  console.error('The tests fail before anything is changed.');
  process.exit(1);
}

// Words on the command line: only mutants of files that have one of them in their path.
const words = process.argv.slice(2);
const waiting = mutants
  .filter(({ file }) => words.length === 0 || words.some((word) => file.includes(word)))
  .map((mutant) => ({ mutant }));
const count = waiting.length;
const survivors = [];
const work = async (worker) => {
  copy(worker);
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const dead = await killed(worker, next.mutant);
    if (!dead) survivors.push(next.mutant);
    console.log(`${dead ? 'killed  ' : 'SURVIVED'} ${next.mutant.file}: ${next.mutant.from.trim().split('\n')[0]}`);
  }
};
await Promise.all([0, 1].map(work));
rmSync(join(root, 'data', 'mutate'), { recursive: true, force: true });
console.log(`${count - survivors.length} killed, ${survivors.length} survived`);
process.exitCode = survivors.length > 0 ? 1 : 0;
