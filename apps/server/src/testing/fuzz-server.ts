import { join } from 'node:path';
import { pino } from 'pino';
import { seedDemo } from '../demo/seed-demo.ts';
import { startServer } from '../start-server.ts';

// A server to be tried with malformed input: no limit on how often, and it says what memory it holds when asked.
const folder = process.argv[2] ?? '.';
const server = await startServer({
  file: join(folder, 'grey-keel.sqlite'),
  host: '127.0.0.1',
  port: 0,
  webFolder: null,
  log: pino({ level: 'error' }, pino.destination(2)),
  costlyAMinute: Number.MAX_SAFE_INTEGER,
});
await seedDemo(server.boats, new Date('2026-06-01T08:00:00Z'));

process.on('message', (message) => {
  if (message === 'memory') {
    globalThis.gc?.();
    const { heapUsed, arrayBuffers } = process.memoryUsage();
    process.send?.({ heapBytes: heapUsed, bufferBytes: arrayBuffers });
  }
  if (message === 'stop') void server.stop().then(() => process.exit(0));
});
process.send?.({ address: server.address });
