import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import type { Chunk } from './columns.ts';
import type { FromThread, ToThread } from './import-messages.ts';

/** So many pieces are on their way to the thread at most: a fast disk does not fill the memory. */
const mostUnderWay = 8;
/** So many chunks are stored at once. */
const storedAtOnce = 24;
/** What a line leaves behind is cleared away often: a day's log passes through, little of it stays. */
const resourceLimits = { maxYoungGenerationSizeMb: 8, maxOldGenerationSizeMb: 96 };

export type ReadLog = Extract<FromThread, { readonly type: 'done' }>;

/** Reads a stream of bytes as a log, beside the server; chunks are stored as they come. Rejects when the stream breaks off. */
export const readLog = async (
  pieces: AsyncIterable<Buffer>,
  store: (chunks: readonly Chunk[]) => Promise<void>,
  signal: AbortSignal,
): Promise<ReadLog> => {
  const thread = new Worker(new URL('./import-thread.mjs', import.meta.url), { resourceLimits });
  const failed = once(thread, 'error').then(([error]) => {
    throw error as Error;
  });
  failed.catch(() => undefined);
  const brokenOff = new Promise<never>((_resolve, reject) =>
    signal.addEventListener('abort', () => reject(new Error('The import was broken off.')), { once: true }),
  );
  brokenOff.catch(() => undefined);
  let chunks: Chunk[] = [];
  let underWay = 0;
  const ended: ReadLog[] = [];
  let wake: () => void = () => undefined;
  thread.on('message', (message: FromThread) => {
    if (message.type === 'chunk') chunks.push(message.chunk);
    else if (message.type === 'taken') underWay -= 1;
    else ended.push(message);
    wake();
  });
  const changed = (): Promise<void> => new Promise((resolve) => (wake = resolve));
  const say = (message: ToThread): void => thread.postMessage(message);
  const storeSome = async (least: number): Promise<void> => {
    if (chunks.length < least || chunks.length === 0) return;
    const some = chunks;
    chunks = [];
    await store(some);
  };
  const each = pieces[Symbol.asyncIterator]();
  try {
    for (;;) {
      const next = await Promise.race([each.next(), brokenOff]);
      if (next.done === true) break;
      say({ type: 'piece', bytes: next.value });
      underWay += 1;
      while (underWay >= mostUnderWay) await Promise.race([changed(), failed, brokenOff]);
      await storeSome(storedAtOnce);
    }
    say({ type: 'end' });
    let [done] = ended;
    while (!done) {
      await Promise.race([changed(), failed, brokenOff]);
      [done] = ended;
    }
    await storeSome(1);
    return done;
  } finally {
    // Whoever sends may still do so: nobody waits for it.
    each.return?.(undefined).catch(() => undefined);
    await thread.terminate();
  }
};
