import { inject, Injectable, signal } from '@angular/core';
import type { RemovedBoat } from '@grey-keel/model';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';

/** The boats that were deleted, as the server has them. */
@Injectable()
export class RemovedBoats {
  private readonly api = inject(ServerApi);
  /** Null until they are there. */
  readonly list = signal<readonly RemovedBoat[] | null>(null);
  readonly problem = signal('');

  fetch(): void {
    this.problem.set('');
    this.api.removedBoats().subscribe({
      next: (boats) => this.list.set(boats),
      error: (error: unknown) => this.problem.set(problemOf(error).detail),
    });
  }
}
