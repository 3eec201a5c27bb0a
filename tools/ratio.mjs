import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './install.mjs';

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root, encoding: 'utf8' }).split(
  '\n',
);
const isCode = (file) => /\.(ts|mjs|cjs|css|sql|html)$/.test(file) && !file.endsWith('.d.ts');
const isTest = (file) => /\.spec\.ts$|\/testing\/|^e2e\//.test(file);
const lines = (file) =>
  readFileSync(join(root, file), 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length;

const count = (wanted) =>
  files
    .filter((file) => isCode(file) && existsSync(join(root, file)) && wanted(file))
    .reduce((sum, file) => sum + lines(file), 0);
const tests = count(isTest);
const code = count((file) => !isTest(file));
const percent = (part, whole) => `${((100 * part) / whole).toFixed(1)} %`;
console.log(`code ${code} lines, tests ${tests} lines`);
console.log(`tests are ${percent(tests, code)} of the code's lines, ${percent(tests, code + tests)} of all lines`);
