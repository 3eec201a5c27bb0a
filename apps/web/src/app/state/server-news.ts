import { Injectable } from '@angular/core';
import { boatNewsSchema, type BoatNews } from '@grey-keel/model';
import { BehaviorSubject, Subject } from 'rxjs';
import * as z from 'zod';

const messageSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('news'), news: boatNewsSchema }),
  z.strictObject({ type: z.literal('link'), up: z.boolean() }),
  /** A new tab asks how things stand. */
  z.strictObject({ type: z.literal('who leads') }),
  z.strictObject({ type: z.literal('tab closes') }),
]);
type Message = z.output<typeof messageSchema>;

const leaderLock = 'grey-keel-stream';
/** A stream that the server refused is not tried again by the browser. */
const tryAgainMs = 5000;

/**
 * Hears of every change at the server. One tab of the browser holds the stream and passes on what it hears: a stream a
 * tab would use up the connections a browser makes to one address. When that tab closes, another takes the lead.
 */
@Injectable({ providedIn: 'root' })
export class ServerNews {
  private readonly channel = new BroadcastChannel('grey-keel');
  private leads = false;
  readonly told = new Subject<BoatNews>();
  /** Whether changes elsewhere are heard of. What was missed while they were not has to be asked for. */
  readonly linked = new BehaviorSubject(false);
  /** Another tab of this browser closes, and may leave something behind. */
  readonly tabCloses = new Subject<void>();

  constructor() {
    this.channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      const message = messageSchema.safeParse(data);
      if (message.success) this.hear(message.data);
    };
    addEventListener('pagehide', () => this.pass({ type: 'tab closes' }));
    this.pass({ type: 'who leads' });
    void navigator.locks
      .request(leaderLock, () => {
        this.leads = true;
        this.listen();
        return new Promise<never>(() => undefined);
      })
      .catch(() => undefined);
  }

  private hear(message: Message): void {
    if (message.type === 'news') this.told.next(message.news);
    else if (message.type === 'tab closes') this.tabCloses.next();
    else if (message.type === 'link') this.linked.next(message.up);
    else if (this.leads) this.pass({ type: 'link', up: this.linked.value });
  }

  private pass(message: Message): void {
    this.channel.postMessage(message);
  }

  private listen(): void {
    const source = new EventSource('api/events');
    source.addEventListener('hello', () => this.link(true));
    source.addEventListener('boat', ({ data }: MessageEvent<string>) => {
      const news = boatNewsSchema.safeParse(JSON.parse(data));
      if (!news.success) return;
      this.told.next(news.data);
      this.pass({ type: 'news', news: news.data });
    });
    source.addEventListener('error', () => {
      this.link(false);
      if (source.readyState === EventSource.CLOSED) setTimeout(() => this.listen(), tryAgainMs);
    });
  }

  private link(up: boolean): void {
    this.linked.next(up);
    this.pass({ type: 'link', up });
  }
}
