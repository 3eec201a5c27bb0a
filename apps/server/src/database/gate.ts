import { Semaphore } from 'async-mutex';

/** As many share at once; more wait a moment. Each release looks through all of them, so they are few. */
const all = 1000;

/** Whether what reads the database may go on, or waits while the file is exchanged. */
export class Gate {
  private readonly semaphore = new Semaphore(all);

  /** A share of it, to be given back; waits while the file is exchanged. */
  async enter(): Promise<() => void> {
    const [, release] = await this.semaphore.acquire();
    return release;
  }

  /** Does something that reads while nothing is exchanged. */
  share<T>(work: () => Promise<T>): Promise<T> {
    return this.semaphore.runExclusive(work);
  }

  /** Does something while nobody reads: waits for those that do, and lets nobody in until it is done. */
  alone<T>(work: () => Promise<T>): Promise<T> {
    return this.semaphore.runExclusive(work, all);
  }
}
