import { Injectable } from '@angular/core';
import { Subject } from 'rxjs';
import * as z from 'zod';

const newsSchema = z.strictObject({ boatId: z.string(), number: z.number().int() });
export type News = z.output<typeof newsSchema>;

/** Tells the other tabs of this browser that a boat has a new revision, and hears it from them. */
@Injectable({ providedIn: 'root' })
export class OtherTabs {
  private readonly channel = new BroadcastChannel('grey-keel');
  readonly told = new Subject<News>();

  constructor() {
    this.channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      const news = newsSchema.safeParse(data);
      if (news.success) this.told.next(news.data);
    };
  }

  tell(news: News): void {
    this.channel.postMessage(news);
  }
}
