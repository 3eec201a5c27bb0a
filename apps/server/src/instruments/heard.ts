import { measuredQuantities, readSentence, simulatedMark } from '@grey-keel/core';
import type { Channel, LiveQuantity, SourceStatus } from '@grey-keel/model';

/** A garbled source cannot make more channels than so: a boat has a few dozen. */
const mostChannels = 120;
/** Rates are told over so many seconds. */
const rateOverS = 5;

interface Value {
  readonly channel: Channel;
  value: number;
  atMs: number;
  fresh: boolean;
}

type Counts = Pick<
  SourceStatus,
  'sentences' | 'perSecond' | 'wrongChecksum' | 'noSentence' | 'notRead' | 'lastAt' | 'simulated'
>;

/** What has been heard of one source: how much, what could not be used, and the newest of each channel. */
export class Heard {
  private readonly values = new Map<string, Value>();
  private sentences = 0;
  private wrongChecksum = 0;
  private noSentence = 0;
  private notRead = 0;
  private lastMs: number | null = null;
  private simulated = false;
  private recent: { secondMs: number; count: number }[] = [];

  constructor(
    private readonly sourceId: string,
    private readonly nextChannel: () => number,
    /** Every value as it comes, for whoever records. */
    private readonly took: (channel: Channel, value: number) => void,
  ) {}

  /** One line as it came; true where it made a channel that was not there before. */
  line(text: string, nowMs: number): boolean {
    const read = readSentence(text);
    if (!read) {
      this.noSentence += 1;
      return false;
    }
    this.count(nowMs);
    if (read.checksumOk === false) {
      this.wrongChecksum += 1;
      return false;
    }
    if (read.talker === simulatedMark.talker && read.type === simulatedMark.type) {
      this.simulated = true;
      return false;
    }
    const measured = Object.entries(measuredQuantities(read)) as [LiveQuantity, number][];
    if (measured.length === 0) this.notRead += 1;
    let made = false;
    for (const [quantity, value] of measured) {
      const key = `${read.talker} ${read.type} ${quantity}`;
      const known = this.values.get(key);
      if (known) {
        Object.assign(known, { value, atMs: nowMs, fresh: true });
        this.took(known.channel, value);
      } else if (this.values.size < mostChannels) {
        const channel = {
          id: this.nextChannel(),
          sourceId: this.sourceId,
          talker: read.talker,
          type: read.type,
          quantity,
        };
        this.values.set(key, { channel, value, atMs: nowMs, fresh: true });
        this.took(channel, value);
        made = true;
      }
    }
    return made;
  }

  channels(): Channel[] {
    return [...this.values.values()].map(({ channel }) => channel);
  }

  /** The newest of what has come since it was asked last. */
  takeFresh(nowMs: number): [channel: number, value: number, agoMs: number][] {
    const fresh: [number, number, number][] = [];
    for (const one of this.values.values()) {
      if (!one.fresh) continue;
      one.fresh = false;
      fresh.push([one.channel.id, one.value, Math.max(0, Math.round(nowMs - one.atMs))]);
    }
    return fresh;
  }

  counts(nowMs: number): Counts {
    const recent = this.recent.filter(({ secondMs }) => nowMs - secondMs < rateOverS * 1000);
    return {
      sentences: this.sentences,
      perSecond: Math.round((10 * recent.reduce((sum, { count }) => sum + count, 0)) / rateOverS) / 10,
      wrongChecksum: this.wrongChecksum,
      noSentence: this.noSentence,
      notRead: this.notRead,
      lastAt: this.lastMs === null ? null : new Date(this.lastMs).toISOString(),
      simulated: this.simulated,
    };
  }

  private count(nowMs: number): void {
    this.sentences += 1;
    this.lastMs = nowMs;
    const secondMs = Math.floor(nowMs / 1000) * 1000;
    const newest = this.recent[this.recent.length - 1];
    if (newest?.secondMs === secondMs) newest.count += 1;
    else this.recent = [...this.recent.slice(-rateOverS), { secondMs, count: 1 }];
  }
}
