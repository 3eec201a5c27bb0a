import { parseArgs } from 'node:util';
import { findingsForgotten } from '../packages/core/src/testing/findings-law.ts';

// npm run findings-law -- [--count N] [--seed S]: the findings that are remembered are looked at after each of N edits.
const { values } = parseArgs({ options: { count: { type: 'string' }, seed: { type: 'string' } } });
const [count, seed] = [Number(values.count ?? 10_000), Number(values.seed ?? 1)];
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed)) {
  console.error('--count and --seed are whole numbers; --count is 1 or more.');
  process.exit(2);
}
const fault = findingsForgotten(count, seed);
console.log(fault ?? `${count} edits, no difference.`);
process.exitCode = fault === null ? 0 : 1;
