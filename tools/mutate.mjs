import { execFileSync, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { installPackages, root } from './install.mjs';
import { mutants as core } from './mutants/core.mjs';
import { mutants as model } from './mutants/model.mjs';
import { mutants as server } from './mutants/server.mjs';
import { mutants as web } from './mutants/web.mjs';

installPackages();

/** Where mutants live, and which specs have to notice one that those beside it let pass. */
const parts = [
  { base: 'packages/core/src', mutants: core, specs: ['packages/core/src'] },
  { base: 'packages/model/src', mutants: model, specs: ['packages/model/src'] },
  { base: 'apps/server/src', mutants: server, specs: ['apps/server/src'] },
  // The store is plain functions, which run outside a browser.
  {
    base: 'apps/web/src/app/state',
    mutants: web,
    specs: ['apps/web/src/app/state/plan.reducer*.spec.ts'],
    before: './tools/sync-model/in-node.ts',
  },
];

/** As many specs are tried before all of them are. */
const nearest = 8;

// Each worker has a copy of the sources, and of what is made from them the originals, inside the project so that its
// packages are found from there.
const place = (worker) => join(root, 'data', 'mutate', String(worker));
const made = ['apps/web/fonts'];
const sources = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'packages', 'apps', 'e2e', 'tools'], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => file !== '' && existsSync(join(root, file)));

const copy = (worker) => {
  rmSync(place(worker), { recursive: true, force: true });
  for (const file of sources) cpSync(join(root, file), join(place(worker), file));
  for (const folder of made) symlinkSync(join(root, folder), join(place(worker), folder));
  // The packages of the project are those of the copy.
  const links = join(place(worker), 'node_modules', '@grey-keel');
  mkdirSync(links, { recursive: true });
  for (const name of ['packages/core', 'packages/model', 'apps/server', 'apps/web', 'e2e', 'tools'])
    symlinkSync(join(place(worker), name), join(links, name.split('/').at(-1)));
};

/** Runs specs in a copy; null where there are none, or where they do not load. */
const testRun = (worker, specs, { before }) =>
  new Promise((resolve) => {
    const patterns = specs.map((one) => (one.endsWith('.spec.ts') ? one : `${one}/**/*.spec.ts`));
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', ...(before ? ['--import', before] : []), 'tools/jasmine-counts.mjs', ...patterns],
      { cwd: place(worker), env: { ...process.env, STOP_AT_FIRST_FAILURE: '1' } },
    );
    let output = '';
    child.stdout.on('data', (chunk) => (output += chunk));
    child.stderr.on('data', (chunk) => (output += chunk));
    child.on('close', () => {
      const [, passed, failed] = /^COUNT (\d+) (\d+)$/m.exec(output) ?? [];
      const none = passed === undefined || output.includes('No specs found');
      resolve(none ? null : { passed: Number(passed), failed: Number(failed) });
    });
  });

/** What a source file loads by a path, out of its text. */
const loadsOf = new Map(
  sources
    .filter((file) => file.endsWith('.ts'))
    .map((file) => [
      file,
      [...readFileSync(join(root, file), 'utf8').matchAll(/ from '(\.[^']+)'/g)].map(([, to]) =>
        join(dirname(file), to),
      ),
    ]),
);

/** The specs that reach a file by the fewest steps from one file to the next, its own first. */
const nearestSpecs = (file, base) => {
  const reached = new Set([file]);
  const specs = [];
  for (let ring = [file]; ring.length > 0 && specs.length < nearest;) {
    ring = [...loadsOf].flatMap(([from, loads]) =>
      !reached.has(from) && loads.some((one) => ring.includes(one)) ? [from] : [],
    );
    for (const one of ring) reached.add(one);
    specs.push(...ring.filter((one) => one.endsWith('.spec.ts') && one.startsWith(base)));
  }
  const own = file.replace(/\.ts$/, '.spec.ts');
  return [...specs.filter((one) => one === own), ...specs.filter((one) => one !== own)].slice(0, nearest);
};

const killed = async (worker, { part, file, from, to }) => {
  const path = join(place(worker), part.base, file);
  const before = readFileSync(path, 'utf8');
  if (before.split(from).length !== 2) throw new Error(`${file} does not hold "${from}" just once.`);
  writeFileSync(
    path,
    before.replace(from, () => to),
  );
  // Mostly its own spec notices it, or one near to it; only what those let pass is put before all of them.
  const [first, ...others] = part.before ? [] : nearestSpecs(join(part.base, file), part.base);
  let last = null;
  for (const specs of [first ? [first] : [], others, part.specs]) {
    if (specs.length === 0) continue;
    last = await testRun(worker, specs, part);
    if (last && last.failed > 0) break;
  }
  writeFileSync(path, before);
  // A mutant that keeps the specs from loading would look killed without a single expectation having failed.
  if (!last) throw new Error(`With "${to}" in ${file} the specs did not run.`);
  return last.failed > 0;
};

// Words on the command line: only mutants of files that have one of them in their path.
const words = process.argv.slice(2);
const waiting = parts.flatMap((part) =>
  part.mutants
    .map((mutant) => ({ ...mutant, part }))
    .filter(({ file }) => words.length === 0 || words.some((word) => join(part.base, file).includes(word))),
);
const count = waiting.length;

copy(0);
for (const part of new Set(waiting.map((one) => one.part))) {
  const healthy = await testRun(0, part.specs, part);
  if (!healthy || healthy.passed === 0 || healthy.failed > 0) {
    console.error(`The tests of ${part.base} fail before anything is changed.`);
    process.exit(1);
  }
}

const survivors = [];
const work = async (worker) => {
  if (worker > 0) copy(worker);
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const dead = await killed(worker, next);
    if (!dead) survivors.push(next);
    console.log(
      `${dead ? 'killed  ' : 'SURVIVED'} ${join(next.part.base, next.file)}: ${next.from.trim().split('\n')[0]}`,
    );
  }
};
await Promise.all([0, 1].map(work));
rmSync(join(root, 'data', 'mutate'), { recursive: true, force: true });
console.log(`${count - survivors.length} killed, ${survivors.length} survived`);
process.exitCode = survivors.length > 0 || count === 0 ? 1 : 0;
