import { Mutex } from 'async-mutex';
import { Piscina } from 'piscina';
import type { PrintJob } from './print-job.ts';

/** Sheets that may wait to be set; more are refused rather than left waiting for minutes. */
const longestQueue = 24;
/** Longer than this no sheet takes that anyone would want, from when its turn has come. */
const longestMs = 60_000;
const idleMs = 20_000;
const threadMegabytes = 512;

/** Why a sheet was not printed, in words for whoever asked. */
export class NotPrinted extends Error {
  override readonly name = 'NotPrinted';
  constructor(
    readonly status: 422 | 429,
    message: string,
  ) {
    super(message);
  }
}

export interface Printer {
  readonly print: (job: PrintJob) => Promise<Buffer>;
  readonly close: () => Promise<void>;
}

/** Sets sheets one after the other beside the server, so that it goes on answering. */
export const makePrinter = (): Printer => {
  const pool = new Piscina<PrintJob, Uint8Array>({
    filename: new URL('./print-thread.mjs', import.meta.url).href,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: idleMs,
    resourceLimits: { maxOldGenerationSizeMb: threadMegabytes },
  });
  const turns = new Mutex();
  let waiting = 0;
  return {
    print: async (job) => {
      if (waiting >= longestQueue) throw new NotPrinted(429, 'Too many sheets wait to be printed. Try again soon.');
      waiting += 1;
      try {
        const sheet = await turns.runExclusive(() => pool.run(job, { signal: AbortSignal.timeout(longestMs) }));
        return Buffer.from(sheet);
      } catch (error) {
        if (error instanceof Error && error.name === 'AbortError')
          throw new NotPrinted(422, 'This sheet takes too long to print: there is too much on it.');
        throw error;
      } finally {
        waiting -= 1;
      }
    },
    close: () => pool.close({ force: true }),
  };
};
