import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { installBrowser, installPackages, root } from './install.mjs';

installPackages();
installBrowser();

const wanted = process.argv.slice(2);
/** Of several suites each shows what it printed when it has ended: two run beside each other. */
const live = wanted.length === 1;

/** Runs a command, shows what it prints, and gives it back too. */
const watched = (command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, CI: 'true' } });
    let output = '';
    const take = (chunk) => {
      if (live) process.stdout.write(chunk);
      output += chunk;
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('close', (code) => {
      if (!live) process.stdout.write(output);
      resolve({ code: code ?? 1, output });
    });
  });

const bin = (name) => join(root, 'node_modules', '.bin', name);
const counted = async (specs) => {
  const { code, output } = await watched(process.execPath, ['--import', 'tsx', 'tools/jasmine-counts.mjs', ...specs]);
  const match = /^COUNT (\d+) (\d+)$/m.exec(output);
  return match ? { passed: Number(match[1]), failed: Number(match[2]) } : { passed: 0, failed: 1 };
};
const checked = async (command, args) => {
  const { code } = await watched(command, args);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
};
const karma = async () => {
  const { code, output } = await watched('npm', ['run', '--silent', 'test', '--workspace', 'apps/web']);
  const last = [...output.matchAll(/Executed (\d+) of (\d+)(?: \((\d+) FAILED\))?/g)].at(-1);
  const executed = Number(last?.[1] ?? 0);
  const failed = Number(last?.[3] ?? 0);
  const short = executed < Number(last?.[2] ?? 1) || (code !== 0 && failed === 0);
  return { passed: executed - failed, failed: failed + (short ? 1 : 0) };
};

const suites = {
  lint: () => checked(bin('eslint'), ['.', '--max-warnings', '0']),
  format: () => checked(bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  types: () => checked(process.execPath, ['tools/types.mjs']),
  formats: () => checked(process.execPath, ['--import', 'tsx', 'tools/formats.ts', '--check']),
  node: () => counted(['packages/**/*.spec.ts', 'apps/server/**/*.spec.ts', 'tools/**/*.spec.ts']),
  web: karma,
  e2e: async () => {
    const { code } = await watched(process.execPath, ['tools/build-web.mjs']);
    return code === 0 ? counted(['e2e/**/*.spec.ts']) : { passed: 0, failed: 1 };
  },
};

/** Two lanes side by side, about as long as each other. */
const lanes = [['lint', 'format', 'types', 'formats', 'node', 'web'], ['e2e']];
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
console.log(`\n${lines.join('\n')}\n`);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
