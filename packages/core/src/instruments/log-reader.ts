import type { LiveQuantity } from '@grey-keel/model';
import { measuredQuantities } from './measured-quantities.ts';
import { readSentence } from './read-sentence.ts';
import { simulatedMark } from './simulated-mark.ts';

/** One value of a log: when, seconds since its first line, and which channel. */
export type Took = (channel: LogChannel, timeS: number, value: number) => void;

export interface LogChannel {
  readonly id: number;
  readonly talker: string;
  readonly type: string;
  readonly quantity: LiveQuantity;
}

export interface LogCounts {
  readonly sentences: number;
  readonly wrongChecksum: number;
  readonly noSentence: number;
  readonly notRead: number;
  readonly simulated: boolean;
  readonly timesKnown: 'tags' | 'clock' | 'assumed';
  /** Milliseconds since 1970 of its first time; null where only the time of day, or none, is told. */
  readonly startedMs: number | null;
  readonly lastedS: number;
}

/** Between sentences without any time in the log. */
const assumedStepS = 0.1;
/** A clock that jumps by more is another one: the log goes on where it was. */
const longestGapS = 900;
const mostChannels = 200;

const isoTag = /^(\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2}(?:\.\d+)?)(Z|[+-]\d{2}:?\d{2})?[\s,;]+(?=[$!\\])/;
const epochTag = /^(\d{9,13}(?:\.\d+)?)[\s,;]+(?=[$!\\])/;
const blockTime = /^\\[^\\]*?c:(\d{9,13})[^\\]*\\/;

const epochS = (text: string): number => {
  const value = Number(text);
  return value > 1e11 ? value / 1000 : value;
};

/** The time a line bears itself, seconds since 1970, and the sentence after it. */
const tagged = (line: string): { readonly atS: number | null; readonly rest: string } => {
  const first = line.charCodeAt(0);
  // Most lines begin with a sentence.
  if (first === 36 || first === 33) return { atS: null, rest: line };
  const block = blockTime.exec(line);
  if (block) return { atS: epochS(block[1] ?? ''), rest: line.slice(block[0].length) };
  if (first === 92) return { atS: null, rest: line.slice(line.indexOf('\\', 1) + 1) };
  const iso = isoTag.exec(line);
  if (iso)
    return {
      atS: Date.parse(`${(iso[1] ?? '').replace(' ', 'T')}${iso[2] ?? 'Z'}`) / 1000,
      rest: line.slice(iso[0].length),
    };
  const epoch = epochTag.exec(line);
  if (epoch) return { atS: epochS(epoch[1] ?? ''), rest: line.slice(epoch[0].length) };
  return { atS: null, rest: line };
};

const dayS = (time: unknown): number | null => {
  if (typeof time !== 'string') return null;
  const [hours = NaN, minutes = NaN, seconds = NaN] = time.split(':').map(Number);
  const value = hours * 3600 + minutes * 60 + seconds;
  return Number.isFinite(value) ? value : null;
};

/**
 * Reads a plain log of NMEA 0183 line by line: with times before the lines (ISO 8601, seconds or milliseconds since 1970, tag
 * blocks), without them by the clock the sentences tell, else as evenly spaced, which is said. A clock that jumps back, or by
 * more than a quarter of an hour, does not move the log: it goes on where it was. What cannot be used is counted by kind.
 */
export const logReader = (took: Took) => {
  const channels = new Map<string, LogChannel>();
  const counts = { sentences: 0, wrongChecksum: 0, noSentence: 0, notRead: 0, simulated: false };
  let known: LogCounts['timesKnown'] = 'assumed';
  let startedMs: number | null = null;
  let nowS = 0;
  /** What the clock said when the log was at `nowS`; null before it said anything. */
  let clockS: number | null = null;

  const setClock = (toS: number): void => {
    const passed = clockS === null ? 0 : toS - clockS;
    if (passed > 0 && passed <= longestGapS) nowS += passed;
    // Past midnight a time of day begins anew.
    else if (passed < -85_000 && passed > -86_500) nowS += passed + 86_400;
    clockS = toS;
  };
  const heed = (atS: number | null, fields: Readonly<Record<string, unknown>>, valid: boolean): void => {
    if (atS !== null) {
      if (known !== 'tags') clockS = null;
      known = 'tags';
      startedMs ??= atS * 1000;
      return setClock(atS);
    }
    if (known === 'tags') return;
    const time = valid ? dayS(fields['timeUtc']) : null;
    if (time !== null) {
      known = 'clock';
      const date = fields['dateUtc'];
      if (startedMs === null && typeof date === 'string') {
        const started = Date.parse(`${date}T00:00:00Z`) + time * 1000 - nowS * 1000;
        startedMs = Number.isFinite(started) ? started : null;
      }
      return setClock(time);
    }
    if (known === 'assumed') nowS += assumedStepS;
  };
  return {
    line: (text: string): void => {
      const { atS, rest } = tagged(text);
      const read = readSentence(rest);
      if (!read) {
        counts.noSentence += 1;
        return;
      }
      counts.sentences += 1;
      if (read.checksumOk === false) {
        counts.wrongChecksum += 1;
        return;
      }
      heed(atS, read.fields, read.fields['valid'] !== false);
      if (read.talker === simulatedMark.talker && read.type === simulatedMark.type) {
        counts.simulated = true;
        return;
      }
      const measured = measuredQuantities(read);
      let any = false;
      for (const quantity in measured) {
        const value = measured[quantity as LiveQuantity];
        if (value === undefined) continue;
        any = true;
        const key = `${read.talker}${read.type}${quantity}`;
        let channel = channels.get(key);
        if (!channel) {
          if (channels.size >= mostChannels) continue;
          channel = { id: channels.size, talker: read.talker, type: read.type, quantity: quantity as LiveQuantity };
          channels.set(key, channel);
        }
        took(channel, nowS, value);
      }
      if (!any) counts.notRead += 1;
    },
    channels: (): readonly LogChannel[] => [...channels.values()],
    counts: (): LogCounts => ({ ...counts, timesKnown: known, startedMs, lastedS: nowS }),
  };
};
export type LogReader = ReturnType<typeof logReader>;
