import { inject, Injectable, signal } from '@angular/core';
import type { Sample } from '@grey-keel/core';
import { instrumentsSchema, liveSamplesSchema } from '@grey-keel/model';
import { Store } from '@ngrx/store';
import { instrumentEvents } from './instruments.ts';

/** So far back every channel is remembered, and in so many samples at most. */
const rememberedS = 900;
const mostSamples = 6000;
const tryAgainMs = 3000;

/**
 * What the instruments have said lately, outside the store: it comes ten times a second and is never an edit. The stream is
 * open as long as somebody listens. Times are of this browser's own clock, seconds.
 */
@Injectable({ providedIn: 'root' })
export class LiveSamples {
  private readonly store = inject(Store);
  private readonly rings = new Map<number, Sample[]>();
  private source: EventSource | null = null;
  private listeners = 0;
  private again: ReturnType<typeof setTimeout> | null = null;
  /** Goes up with every batch: whoever draws from the samples reads it. */
  readonly beat = signal(0);

  nowS(): number {
    return performance.now() / 1000;
  }

  /** Of one channel, oldest first. */
  of(channel: number | undefined): readonly Sample[] {
    return (channel === undefined ? undefined : this.rings.get(channel)) ?? [];
  }

  /** Opens the stream for a listener; what it gives back ends that. */
  listen(): () => void {
    this.listeners += 1;
    if (this.listeners === 1) this.open();
    let over = false;
    return () => {
      if (over) return;
      over = true;
      this.listeners -= 1;
      if (this.listeners === 0) this.close();
    };
  }

  protected open(): void {
    const source = new EventSource('api/instruments/stream');
    this.source = source;
    source.addEventListener('status', ({ data }: MessageEvent<string>) => {
      const now = instrumentsSchema.safeParse(JSON.parse(data));
      if (!now.success) return;
      this.store.dispatch(instrumentEvents.heard({ now: now.data }));
      this.forget(new Set(now.data.channels.map(({ id }) => id)));
    });
    source.addEventListener('samples', ({ data }: MessageEvent<string>) => {
      const samples = liveSamplesSchema.safeParse(JSON.parse(data));
      if (samples.success) this.take(samples.data.values);
    });
    source.addEventListener('error', () => {
      this.store.dispatch(instrumentEvents.linkChanged({ up: false }));
      if (source.readyState !== EventSource.CLOSED) return;
      this.again = setTimeout(() => this.open(), tryAgainMs);
    });
  }

  private close(): void {
    if (this.again) clearTimeout(this.again);
    this.again = null;
    this.source?.close();
    this.source = null;
    this.rings.clear();
    this.store.dispatch(instrumentEvents.linkChanged({ up: false }));
  }

  take(values: readonly (readonly [channel: number, value: number, agoMs: number])[]): void {
    const now = this.nowS();
    for (const [channel, value, agoMs] of values) {
      const ring = this.rings.get(channel) ?? [];
      this.rings.set(channel, ring);
      ring.push({ atS: now - agoMs / 1000, value });
      const oldest = ring[0];
      if (ring.length > mostSamples || (oldest && now - oldest.atS > rememberedS))
        ring.splice(0, Math.ceil(ring.length / 10));
    }
    this.beat.update((count) => count + 1);
  }

  /** Channels of a server that was started anew are others, under the same numbers perhaps. */
  private forget(there: ReadonlySet<number>): void {
    for (const channel of this.rings.keys()) if (!there.has(channel)) this.rings.delete(channel);
  }
}
