import { seedDemo } from '../demo/seed-demo.ts';
import type { RunningServer } from '../start-server.ts';
import { ask, scratchFolder, serverOn, type Reply } from './test-server.ts';

/** A server with the demo boats for all specs of a block: made before the first, gone after the last. */
export const demoServer = () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  beforeAll(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path);
    await seedDemo(server.boats, new Date('2026-06-01T08:00:00Z'));
  });
  afterAll(async () => {
    await server.stop();
    folder.remove();
  });
  return {
    folder: (): string => folder.path,
    server: (): RunningServer => server,
    send: (method: string, path: string, body?: unknown, raw = false): Promise<Reply> =>
      ask(server.address, method, `/api${path}`, body, raw),
  };
};
