import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { runCount } from '../../packages/core/src/testing/run-count.ts';

const tool = fileURLToPath(new URL('../sync-model.ts', import.meta.url));

describe('windows, their outbox and the server, with kills, reloads and lost answers at random', () => {
  // In a process of its own: the model makes time run faster.
  it('never end up different, never overwrite unasked, and lose no edit', async () => {
    const count = runCount(300, 100);
    const run = promisify(execFile)(process.execPath, ['--import', 'tsx', tool, '--count', String(count)]);
    const { stdout } = await run.catch((error: unknown) => error as { stdout: string });
    expect(stdout).toContain(`${count} runs, 0 faults.`);
    expect(stdout).not.toContain('FAULT');
  }, 240_000);
});
