import { pino } from 'pino';
import { seedDemo } from '../demo/seed-demo.ts';
import { noLimit, serverOn } from './test-server.ts';

// A server to be tried with malformed input: no limit on how often, and it says what memory it holds when asked.
const folder = process.argv[2] ?? '.';
const log = pino({ level: 'error' }, pino.destination(2));
const server = await serverOn(folder, { ...noLimit, log });
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
