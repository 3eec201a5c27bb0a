import { seedDemo } from '../../apps/server/src/demo/seed-demo.ts';
import { noLimit, scratchFolder, serverOn } from '../../apps/server/src/testing/test-server.ts';
import { fuzz } from './doors.ts';
import { runCount } from '../../packages/core/src/testing/run-count.ts';

describe('every door of the server', () => {
  it('answers garbled and extreme input with what is wrong with it', async () => {
    const counts = { reading: runCount(400, 160), writing: runCount(240, 100), printing: 1 };
    const folder = scratchFolder();
    const server = await serverOn(folder.path, noLimit);
    await seedDemo(server.boats, new Date('2026-06-01T08:00:00Z'));
    const { faults, answers } = await fuzz(server.address, counts, 14);
    // How long an answer takes on a busy machine is for `npm run fuzz` to say.
    expect(faults.filter(({ what }) => !what.startsWith('took'))).toEqual([]);
    expect(Object.values(answers).reduce((sum, count) => sum + count, 0)).toBeGreaterThan(
      counts.reading + counts.writing,
    );
    expect(Object.keys(answers)).toContain('422');
    await server.stop();
    folder.remove();
  }, 180_000);
});
