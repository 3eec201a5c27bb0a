import { logReader } from '@grey-keel/core/log-reader';
import { parentPort } from 'node:worker_threads';
import { lineSplitter } from '../instruments/line-splitter.ts';
import { columns } from './columns.ts';
import type { FromThread, ToThread } from './import-messages.ts';

/** Reads a log in a thread of its own: bytes come in pieces, chunks of columns go out. */
const port = parentPort;
if (!port) throw new Error('This runs as a thread.');
const say = (message: FromThread, transfer: ArrayBuffer[] = []): void => port.postMessage(message, transfer);
const gathered = columns((chunk) =>
  say({ type: 'chunk', chunk }, [chunk.times.buffer as ArrayBuffer, chunk.figures.buffer as ArrayBuffer]),
);
const reader = logReader((channel, timeS, value) => gathered.add(channel, timeS, value));
// Tags of time in front of a line are the reader's to take.
const split = lineSplitter((line) => reader.line(line), { keepsTags: true });
port.on('message', (message: ToThread) => {
  if (message.type === 'piece') {
    split(Buffer.from(message.bytes));
    say({ type: 'taken' });
    return;
  }
  split('\n');
  gathered.rest();
  say({ type: 'done', channels: reader.channels(), counts: reader.counts() });
});
