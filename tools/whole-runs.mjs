import { run } from './install.mjs';

// npm run whole-runs: the specs whose properties are tried at random, as often as they were meant to be.
const specs = ['packages/**/*.spec.ts', 'tools/**/*.spec.ts'];
run(process.execPath, ['--import', 'tsx', 'tools/jasmine-counts.mjs', ...specs], {
  env: { ...process.env, WHOLE_RUNS: '1' },
});
