import { inject, Injectable, signal } from '@angular/core';
import type { HelmState, Instruments, InstrumentSource, OverTheSide } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { finalize, type Observable } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { instrumentEvents } from './instruments.ts';

/** What is asked of the server about instruments, and what it said when it would not. */
@Injectable({ providedIn: 'root' })
export class InstrumentDoors {
  private readonly api = inject(ServerApi);
  private readonly store = inject(Store);
  readonly problem = signal('');
  /** As it was read last; null before. */
  readonly overTheSide = signal<OverTheSide | null>(null);

  /** Whether a source is being added: a second press adds no second one. */
  readonly adding = signal(false);

  put(id: string, source: InstrumentSource): void {
    if (this.adding()) return;
    this.adding.set(true);
    this.ask(this.api.putInstrument(id, source).pipe(finalize(() => this.adding.set(false))));
  }

  open(id: string, open: boolean): void {
    this.ask(this.api.openInstrument(id, open));
  }

  remove(id: string): void {
    this.ask(this.api.removeInstrument(id));
  }

  steer(helm: HelmState): void {
    this.ask(this.api.steer(helm));
  }

  /** What is read over the side of the simulated boat now. */
  lookOverTheSide(): void {
    this.problem.set('');
    this.api.overTheSide().subscribe({
      next: (seen) => this.overTheSide.set(seen),
      error: (error: unknown) => this.problem.set(problemOf(error).detail),
    });
  }

  private ask(asked: Observable<Instruments>): void {
    this.problem.set('');
    asked.subscribe({
      next: (now) => this.store.dispatch(instrumentEvents.heard({ now })),
      error: (error: unknown) => this.problem.set(problemOf(error).detail),
    });
  }
}
