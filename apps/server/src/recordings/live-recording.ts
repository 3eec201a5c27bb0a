import type { LogChannel } from '@grey-keel/core';
import type { RecordingGap, RecordingUnderWay } from '@grey-keel/model';
import { Mutex } from 'async-mutex';
import { columns, type Chunk } from './columns.ts';

/** What is stored of a live recording at a time. */
export interface LivePart {
  readonly chunks: readonly Chunk[];
  readonly channels: readonly LogChannel[];
  readonly gaps: readonly RecordingGap[];
  readonly sentences: number;
  readonly lastedS: number;
  /** Nothing more comes after it. */
  readonly last: boolean;
}

export interface LiveOptions {
  readonly store: (part: LivePart) => Promise<void>;
  /** Seconds since it began. */
  readonly elapsedS: () => number;
  readonly flushEveryMs: number;
  /** So many samples wait in memory at most. */
  readonly mostWaiting: number;
  /** All of it is stored. */
  readonly done: () => void;
}

/**
 * A recording that is under way: it gathers what comes in and stores it every so often. What cannot be stored waits in
 * memory and goes in when there is room; when the memory is full the newest samples are dropped, and the gap is told.
 */
export class LiveRecording {
  private readonly channels = new Map<number, LogChannel>();
  private readonly waiting: Chunk[] = [];
  private readonly gathered = columns((chunk) => this.waiting.push(chunk));
  private readonly gaps: RecordingGap[] = [];
  private readonly mutex = new Mutex();
  private readonly timer: NodeJS.Timeout;
  private samples = 0;
  private sentences = 0;
  private isFull = false;
  private waitsForRoom = false;
  private endedS: number | null = null;

  constructor(private readonly options: LiveOptions) {
    this.timer = setInterval(() => void this.flush(), options.flushEveryMs);
    this.timer.unref();
  }

  take(channel: LogChannel, value: number): void {
    if (this.endedS !== null) return;
    const atS = this.options.elapsedS();
    this.sentences += 1;
    if (this.samples >= this.options.mostWaiting) return this.drop(atS);
    this.isFull = false;
    this.channels.set(channel.id, channel);
    this.samples += 1;
    this.gathered.add(channel, atS, value);
  }

  /** Takes nothing more and stores what there is; false where that waits for room, and is stored when there is some. */
  end(): Promise<boolean> {
    this.endedS ??= this.options.elapsedS();
    return this.flush();
  }

  /** Gives up what is not stored. */
  abandon(): void {
    this.endedS ??= this.options.elapsedS();
    clearInterval(this.timer);
  }

  status(): Omit<RecordingUnderWay, 'id' | 'name'> {
    return {
      ended: this.endedS !== null,
      waitsForRoom: this.waitsForRoom,
      samplesInMemory: this.samples,
      dropped: this.gaps.reduce((sum, { samples }) => sum + samples, 0),
    };
  }

  /** Stores what there is; whether that went in. */
  flush(): Promise<boolean> {
    return this.mutex.runExclusive(async () => {
      const last = this.endedS !== null;
      // While it waits for room, chunks are left to fill up.
      if (last || !this.waitsForRoom) this.gathered.rest();
      const chunks = [...this.waiting];
      try {
        await this.options.store({
          chunks,
          channels: [...this.channels.values()],
          gaps: this.gaps,
          sentences: this.sentences,
          lastedS: this.endedS ?? this.options.elapsedS(),
          last,
        });
      } catch {
        this.waitsForRoom = true;
        return false;
      }
      this.waiting.splice(0, chunks.length);
      this.samples -= chunks.reduce((sum, { times }) => sum + times.length, 0);
      this.waitsForRoom = false;
      if (last) {
        clearInterval(this.timer);
        this.options.done();
      }
      return true;
    });
  }

  /** A gap reaches from the first sample that is dropped to the last before one is taken again. */
  private drop(atS: number): void {
    const before = this.isFull ? this.gaps.pop() : undefined;
    this.gaps.push({ fromS: before?.fromS ?? atS, toS: atS, samples: (before?.samples ?? 0) + 1 });
    this.isFull = true;
  }
}
