import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installBrowser, installPackages, root } from './install.mjs';

installPackages();
installBrowser();

const wanted = process.argv.slice(2);
/** Of several suites each shows what it printed when it has ended: two run beside each other. */
const live = wanted.length === 1;

/** How long a suite takes beside the others on a slow machine, s: three times that is a hang. */
const usualS = { lint: 400, format: 90, types: 150, formats: 20, node: 700, web: 250, e2e: 1500 };
const patience = 3;
/** A suite that is asked to end says in which spec it was; then it is ended. */
const lastWordsMs = 5000;

/** The specs that failed and their first words, told once more at the end. */
const faults = [];
/** The process groups that are under way: none outlives this process. */
const groups = new Set();
const end = (group, signal) => {
  try {
    process.kill(-group, signal);
  } catch {
    // It has ended by itself.
  }
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.once(signal, () => {
    for (const group of groups) end(group, 'SIGKILL');
    process.exit(1);
  });

/**
 * Runs a command in a process group of its own, shows what it prints, and gives it back too. It is over when the process
 * ends, whoever else still holds its pipes; what it left behind is ended with it, and so is what takes far too long.
 */
const watched = (suite, command, args) =>
  new Promise((resolve) => {
    const folder = mkdtempSync(join(tmpdir(), 'grey-keel-suite-'));
    const running = join(folder, 'running');
    const env = { ...process.env, CI: 'true', GREY_KEEL_RUNNING_SPEC: running };
    const child = spawn(command, args, { cwd: root, env, detached: true, stdio: ['ignore', 'pipe', 'pipe'] });
    groups.add(child.pid);
    let output = '';
    const take = (chunk) => {
      if (live) process.stdout.write(chunk);
      output += chunk;
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    let hung = false;
    const limitS = patience * usualS[suite];
    const limit = setTimeout(() => {
      hung = true;
      const spec = existsSync(running) ? readFileSync(running, 'utf8') : '';
      take(`\n${suite} has not ended in ${limitS} s and is ended.${spec === '' ? '' : ` It hangs in: ${spec}`}\n`);
      end(child.pid, 'SIGTERM');
      setTimeout(() => end(child.pid, 'SIGKILL'), lastWordsMs).unref();
    }, 1000 * limitS);
    child.once('error', (error) => take(`${error.message}\n`));
    child.once('exit', (code) => {
      clearTimeout(limit);
      // What it printed last may still be on its way.
      setTimeout(() => {
        end(child.pid, 'SIGKILL');
        groups.delete(child.pid);
        child.stdout.destroy();
        child.stderr.destroy();
        rmSync(folder, { recursive: true, force: true });
        if (!live) process.stdout.write(output);
        faults.push(...[...output.matchAll(/^FAULT (.*)$/gm)].map(([, fault]) => `${suite}: ${fault}`));
        resolve({ code: hung ? 1 : (code ?? 1), output });
      }, 200);
    });
  });

/** What was looked at before and is the same is not looked at again. */
const cached = (name) => [
  '--cache',
  '--cache-strategy',
  'content',
  '--cache-location',
  `node_modules/.cache/looked-at/${name}`,
];
const bin = (name) => join(root, 'node_modules', '.bin', name);
const counted = async (suite, specs) => {
  const { code, output } = await watched(suite, process.execPath, [
    '--import',
    'tsx',
    'tools/jasmine-counts.mjs',
    ...specs,
  ]);
  const match = /^COUNT (\d+) (\d+)$/m.exec(output);
  // What counts well and ends badly has failed.
  const failed = match ? Math.max(Number(match[2]), code === 0 ? 0 : 1) : 1;
  return { passed: match ? Number(match[1]) : 0, failed };
};
const checked = async (suite, command, args) => {
  const { code } = await watched(suite, command, args);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
};
const karma = async () => {
  const { code, output } = await watched('web', 'npm', ['run', '--silent', 'test', '--workspace', 'apps/web']);
  const last = [...output.matchAll(/Executed (\d+) of (\d+)(?: \((\d+) FAILED\))?/g)].at(-1);
  const executed = Number(last?.[1] ?? 0);
  const failed = Number(last?.[3] ?? 0);
  const short = executed < Number(last?.[2] ?? 1) || (code !== 0 && failed === 0);
  return { passed: executed - failed, failed: failed + (short ? 1 : 0) };
};

const suites = {
  lint: () => checked('lint', bin('eslint'), ['.', '--max-warnings', '0', ...cached('eslint')]),
  format: () => checked('format', bin('prettier'), ['--check', '--log-level', 'warn', '.', ...cached('prettier')]),
  types: () => checked('types', process.execPath, ['tools/types.mjs']),
  formats: () => checked('formats', process.execPath, ['--import', 'tsx', 'tools/formats.ts', '--check']),
  node: () => counted('node', ['packages/**/*.spec.ts', 'apps/server/**/*.spec.ts', 'tools/**/*.spec.ts']),
  web: karma,
  e2e: async () => {
    const { code } = await watched('e2e', process.execPath, ['tools/build-web.mjs']);
    if (code !== 0) return { passed: 0, failed: 1 };
    // Two at a time: a journey waits for the page most of its time.
    const [one, other] = await Promise.all([counted('e2e', part(true)), counted('e2e', part(false))]);
    return { passed: one.passed + other.passed, failed: one.failed + other.failed };
  },
};

/** The specs in the browser in two parts that take about as long as each other; what is new goes into the second. */
const inFirst = /^(looks|fixes|views|find|phone|tab-walk|text-faults|practice)\./;
const inTheBrowser = readdirSync(join(root, 'e2e')).filter((name) => name.endsWith('.spec.ts'));
const part = (first) => inTheBrowser.filter((name) => inFirst.test(name) === first).map((name) => `e2e/${name}`);

/** Two lanes side by side, about as long as each other. */
const lanes = [
  ['lint', 'format', 'types', 'formats', 'node'],
  ['e2e', 'web'],
];
let passed = 0;
let failed = 0;
const lines = [];
const run = async (names) => {
  for (const name of names.filter((one) => wanted.length === 0 || wanted.includes(one))) {
    console.log(`\n--- ${name} begins`);
    const from = performance.now();
    const result = await suites[name]();
    passed += result.passed;
    failed += result.failed;
    const tookS = Math.round((performance.now() - from) / 1000);
    lines.push(`${name}: ${result.passed} passed, ${result.failed} failed, in ${tookS} s`);
    console.log(`\n--- ${lines.at(-1)}`);
  }
};
await Promise.all(lanes.map(run));
if (passed + failed === 0) {
  console.log('Nothing ran.');
  failed = 1;
}
if (faults.length > 0) console.log(`\n${faults.join('\n')}`);
console.log(`\n${lines.join('\n')}\n`);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
