import type { WritableSignal } from '@angular/core';

/** How long the finger rests before everything shows what is under it. */
const catchUpMs = 80;

/**
 * Keeps what hangs on a dragged value within a frame: the thing under the finger follows every event, and of the others
 * one at each event, in turn. When the finger rests, or lets go, all of them catch up.
 */
export class TurnByTurn<T> {
  private turn = 0;
  private catchingUp: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly followers: readonly WritableSignal<T>[]) {}

  follow(value: T): void {
    this.followers[this.turn++ % this.followers.length]?.set(value);
    clearTimeout(this.catchingUp);
    this.catchingUp = setTimeout(() => this.catchUp(value), catchUpMs);
  }

  catchUp(value: T): void {
    clearTimeout(this.catchingUp);
    for (const follower of this.followers) follower.set(value);
  }
}
