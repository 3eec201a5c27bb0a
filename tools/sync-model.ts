import { parseArgs } from 'node:util';
import { runModel } from './sync-model/run-model.ts';

// npm run sync-model -- [--count N] [--seed S]: N runs of the windows, the outbox and the server against each other.
const { values } = parseArgs({ options: { count: { type: 'string' }, seed: { type: 'string' } } });
const [count, first] = [Number(values.count ?? 300), Number(values.seed ?? 1)];
if (!Number.isInteger(count) || count < 1 || !Number.isInteger(first)) {
  console.error('--count and --seed are whole numbers; --count is 1 or more.');
  process.exit(2);
}
// The first run compiles what it runs, which is slow enough to look like a browser that does not answer.
await runModel(first - 1);
let bad = 0;
for (let seed = first; seed < first + count; seed++) {
  for (const { what, trail } of await runModel(seed)) {
    bad += 1;
    console.log([`FAULT seed ${seed}: ${what}`, ...trail].join('\n  '));
  }
  if (seed % 100 === 0) console.log(`${seed - first + 1} runs, ${bad} faults`);
}
console.log(`${count} runs, ${bad} faults.`);
process.exit(bad === 0 ? 0 : 1);
