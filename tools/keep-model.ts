import { parseArgs } from 'node:util';
import { keepModel } from './keep-model/run-model.ts';

// npm run keep-model -- [--count N] [--seed S]: sources and recordings opened, closed, ended and killed at random, N times each.
const { values } = parseArgs({ options: { count: { type: 'string' }, seed: { type: 'string' } } });
const [count, seed] = [Number(values.count ?? 10_000), Number(values.seed ?? 1)];
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed)) {
  console.error('--count and --seed are whole numbers; --count is 1 or more.');
  process.exit(2);
}
const faults = await keepModel(count, seed);
for (const fault of faults.slice(0, 20)) console.log(`FAULT ${fault}`);
console.log(`${count} runs of each model, ${faults.length} faults.`);
process.exitCode = faults.length === 0 ? 0 : 1;
