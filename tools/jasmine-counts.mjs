import Jasmine from 'jasmine';
import { writeFileSync } from 'node:fs';

// Runs the specs named on the command line and prints, as its last line, a count that another program can read.
// Properties are tried more often where there is time.
globalThis.wholeRuns = process.env.WHOLE_RUNS === '1';
const runner = new Jasmine({ projectBaseDir: process.cwd() });
runner.loadConfig({
  spec_dir: '.',
  spec_files: process.argv.slice(2),
  random: true,
  failSpecWithNoExpectations: true,
  forbidDuplicateNames: true,
  // Where one failure says all that is asked.
  stopOnSpecFailure: process.env.STOP_AT_FIRST_FAILURE === '1',
});
runner.exitOnCompletion = false;
// Browsers and servers take their time to start; a spec that needs longer says so itself.
runner.jasmine.DEFAULT_TIMEOUT_INTERVAL = 60_000;

let passed = 0;
let failed = 0;
const took = [];
/** Said again at the end: a log that is cut short must still name what failed. */
const faults = [];
// Whoever ends this process for taking too long can read here what it was at, also where nothing of it runs any more.
const running = process.env.GREY_KEEL_RUNNING_SPEC;
const at = (name) => {
  if (running) writeFileSync(running, name);
};
runner.addReporter({
  suiteStarted: ({ fullName }) => at(`${fullName}, before or after its specs`),
  specStarted: ({ fullName }) => at(fullName),
  specDone: ({ status, fullName, duration, failedExpectations }) => {
    took.push({ fullName, seconds: (duration ?? 0) / 1000 });
    if (status === 'passed') passed += 1;
    else {
      // What is left out is not passed: it would vanish from the count.
      failed += 1;
      faults.push(status === 'failed' ? fullName : `not run (${status}): ${fullName}`);
      faults.push(...failedExpectations.map(({ message }) => `  ${message.split('\n', 1)[0]?.slice(0, 300) ?? ''}`));
    }
  },
});
const { overallStatus } = await runner.execute();
// What fails outside any spec (a file that does not load, an afterAll) is a failure all the same.
if (overallStatus !== 'passed' && failed === 0) {
  failed = 1;
  faults.push('outside any spec: a file did not load, or something before or after its specs failed');
}
const slowest = took.filter(({ seconds }) => seconds > 10).sort((a, b) => b.seconds - a.seconds);
for (const { fullName, seconds } of slowest.slice(0, 10)) console.log(`${seconds.toFixed(0)} s: ${fullName}`);
for (const fault of faults) console.log(`FAULT ${fault}`);
console.log(`COUNT ${passed} ${failed}`);
process.exit(failed > 0 ? 1 : 0);
