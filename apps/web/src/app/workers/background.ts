import { DestroyRef, inject } from '@angular/core';
import { releaseProxy, wrap, type Remote } from 'comlink';

/**
 * Work that is done beside the interface, in a worker that is made when it is first needed. Only the newest call is
 * answered: one that was overtaken, or ended, comes to null.
 */
export class Background<Api> {
  private worker: Worker | null = null;
  private remote: Remote<Api> | null = null;
  private turn = 0;
  private giveUp: () => void = () => undefined;
  private broken: (error: Error) => void = () => undefined;

  constructor(private readonly make: () => Worker) {}

  async run<T>(work: (remote: Remote<Api>) => Promise<T>): Promise<T | null> {
    const mine = (this.turn += 1);
    this.giveUp();
    const ended = new Promise<null>((resolve) => (this.giveUp = () => resolve(null)));
    const failed = new Promise<never>((_, reject) => (this.broken = reject));
    const answer = await Promise.race([work(this.there()), ended, failed]);
    return mine === this.turn ? answer : null;
  }

  /** Stops at once whatever is under way; the next call starts a worker of its own. */
  end(): void {
    this.turn += 1;
    this.giveUp();
    this.remote?.[releaseProxy]();
    this.worker?.terminate();
    [this.worker, this.remote] = [null, null];
  }

  private there(): Remote<Api> {
    if (this.remote) return this.remote;
    this.worker = this.make();
    this.worker.addEventListener('error', ({ message }) => {
      this.broken(new Error(message));
      this.end();
    });
    return (this.remote = wrap<Api>(this.worker));
  }
}

/** Work beside the interface that ends with the component it is for. */
export const inBackground = <Api>(make: () => Worker): Background<Api> => {
  const background = new Background<Api>(make);
  inject(DestroyRef).onDestroy(() => background.end());
  return background;
};
