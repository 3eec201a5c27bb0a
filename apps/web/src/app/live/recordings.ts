import { computed, inject, Injectable, signal } from '@angular/core';
import type { Sample } from '@grey-keel/core';
import type { LiveQuantity, Recording, RecordingPart, RecordingQuery } from '@grey-keel/model';
import { map, type Observable, of, type Subscription } from 'rxjs';
import { problemOf } from '../api/problem.ts';
import { ServerApi } from '../api/server-api.ts';
import { newId } from '../state/open-plan.ts';

/** How often it is looked how far the server is, while a log is sent. */
const lookEveryMs = 2000;
/** As many as the server gives at once. */
const mostPoints = 20_000;

/** The recordings of the shop, and what is being done with them. What they hold stays at the server until it is looked at. */
@Injectable({ providedIn: 'root' })
export class Recordings {
  private readonly api = inject(ServerApi);
  readonly list = signal<readonly Recording[]>([]);
  /** How far a log has been taken in, 0 to 1; null while none is. */
  readonly share = signal<number | null>(null);
  readonly problem = signal('');
  /** The last one deleted, to be had back. */
  readonly deleted = signal<Recording | null>(null);
  private readonly sendingId = signal<string | null>(null);
  private sending: Subscription | null = null;
  private looking: ReturnType<typeof setInterval> | undefined;
  /** Whether the log that is sent waits for others. */
  readonly queued = computed(() => this.list().some(({ id, state }) => id === this.sendingId() && state === 'queued'));

  refresh(): void {
    this.api
      .recordings()
      .subscribe({ next: (list) => this.list.set(list), error: (error: unknown) => this.fail(error) });
  }

  /** Takes a log in, until it is done or cancelled. */
  takeIn(file: File): void {
    if (this.sending) return;
    this.problem.set('');
    this.share.set(0);
    const id = newId();
    this.sendingId.set(id);
    // What waits for its turn is told by the list alone.
    this.looking = setInterval(() => this.refresh(), lookEveryMs);
    this.sending = this.api.importRecording(id, file.name.slice(0, 80), file).subscribe({
      next: ({ share }) => this.share.set(share),
      error: (error: unknown) => {
        this.end();
        this.fail(error);
      },
      complete: () => {
        this.end();
        this.refresh();
      },
    });
  }

  cancel(): void {
    this.sending?.unsubscribe();
    this.end();
  }

  record(name: string): void {
    this.ask(this.api.record(newId(), name));
  }

  stop(id: string): void {
    this.ask(this.api.stopRecording(id));
  }

  remove(recording: Recording): void {
    this.deleted.set(recording);
    this.ask(this.api.removeRecording(recording.id));
  }

  undo(): void {
    const deleted = this.deleted();
    this.deleted.set(null);
    if (deleted) this.ask(this.api.recallRecording(deleted.id));
  }

  /** One channel between two times, as it is needed. */
  part(id: string, query: Partial<RecordingQuery>): Observable<RecordingPart> {
    return this.api.recordingPart(id, query);
  }

  /** What a recording has of a quantity between two times: of several channels the one with the most. */
  samples(recording: Recording, quantity: LiveQuantity, fromS: number, toS: number): Observable<readonly Sample[]> {
    const [most] = recording.channels
      .filter((one) => one.quantity === quantity)
      .sort((one, other) => other.samples - one.samples);
    return most
      ? this.part(recording.id, { channel: most.id, fromS, toS, points: mostPoints }).pipe(
          map(({ timesS, values }) => timesS.map((atS, i) => ({ atS, value: values[i] ?? 0 }))),
        )
      : of([]);
  }

  private ask(asked: Observable<unknown>): void {
    this.problem.set('');
    asked.subscribe({ next: () => this.refresh(), error: (error: unknown) => this.fail(error) });
  }

  private end(): void {
    clearInterval(this.looking);
    this.sendingId.set(null);
    this.sending = null;
    this.share.set(null);
  }

  private fail(error: unknown): void {
    this.problem.set(problemOf(error).detail);
  }
}
