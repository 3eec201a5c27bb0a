import { Piscina } from 'piscina';
import type { PrintJob } from './print-job.ts';

/** Sheets that may wait to be set; more are refused rather than left waiting for minutes. */
const longestQueue = 24;
/** Longer than this no sheet takes that anyone would want. */
const longestMs = 60_000;
const idleMs = 20_000;
const threadMegabytes = 512;

/** Why a sheet was not printed, in words for whoever asked. */
export class NotPrinted extends Error {
  override readonly name = 'NotPrinted';
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
    maxQueue: longestQueue,
    idleTimeout: idleMs,
    resourceLimits: { maxOldGenerationSizeMb: threadMegabytes },
  });
  return {
    print: async (job) => {
      if (pool.queueSize >= longestQueue) throw new NotPrinted('Too many sheets wait to be printed. Try again soon.');
      try {
        return Buffer.from(await pool.run(job, { signal: AbortSignal.timeout(longestMs) }));
      } catch (error) {
        if (error instanceof Error && error.name === 'AbortError')
          throw new NotPrinted('This sheet takes too long to print: there is too much on it.');
        throw error;
      }
    },
    close: () => pool.close({ force: true }),
  };
};
