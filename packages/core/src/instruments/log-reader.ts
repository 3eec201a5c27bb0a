import type { LiveQuantity } from '@grey-keel/model';
import { measuredQuantities } from './measured-quantities.ts';
import { readSentence, type ReadSentence } from './read-sentence.ts';
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
  /** Times that are none: not a number, or outside the years 1970 to 9999. They count as no time. */
  readonly badTimes: number;
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
/** A clock that is set back by less has not been: it was read late. */
const lateS = 5;
const dayLengthS = 86_400;
/** What gives the date besides the time: of several receivers, one that tells these is gone by. */
const datedTypes = new Set(['RMC', 'ZDA']);
/** After so many times of others without its own, whoever gave the time has fallen silent. */
const silentAfter = 100;
/** The years 1970 to 9999, seconds. */
const lastS = Date.UTC(9999, 11, 31, 23, 59, 59) / 1000;
const isTime = (atS: number): boolean => atS >= 0 && atS <= lastS;
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
  return value >= 0 && value <= dayLengthS ? value : null;
};

/**
 * Reads a plain log of NMEA 0183 line by line: with times before the lines (ISO 8601, seconds or milliseconds since 1970, tag
 * blocks), without them by the clock the sentences tell, else as evenly spaced, which is said. One receiver gives the time,
 * the first that tells the date if there is one. A clock that jumps back, or by more than a quarter of an hour, does not move
 * the log: it goes on where it was. What cannot be used is counted by kind.
 */
export const logReader = (took: Took) => {
  const channels = new Map<string, LogChannel>();
  const counts = { sentences: 0, wrongChecksum: 0, noSentence: 0, notRead: 0, badTimes: 0, simulated: false };
  let known: LogCounts['timesKnown'] = 'assumed';
  let startedMs: number | null = null;
  let nowS = 0;
  /** What the clock said when the log was at `nowS`; null before it said anything. */
  let clockS: number | null = null;

  /** Who gives the time of day, and how many times of others have come since it spoke. */
  let giver: { readonly key: string; readonly tellsDate: boolean } | null = null;
  let othersSince = 0;

  const setClock = (toS: number, ofDay: boolean): void => {
    let passed = clockS === null ? 0 : toS - clockS;
    // Past midnight a time of day begins anew.
    if (ofDay && passed < -dayLengthS / 2) passed += dayLengthS;
    if (passed < 0 && passed >= -lateS) return;
    if (passed > 0 && passed <= longestGapS) nowS += passed;
    clockS = toS;
  };
  const isGiver = ({ talker, type }: ReadSentence): boolean => {
    const key = `${talker}${type}`;
    const tellsDate = datedTypes.has(type);
    if (giver === null || (tellsDate && !giver.tellsDate) || othersSince >= silentAfter) giver = { key, tellsDate };
    othersSince = key === giver.key ? 0 : othersSince + 1;
    return key === giver.key;
  };
  const dated = (date: unknown, timeS: number): number | null => {
    if (startedMs !== null || typeof date !== 'string') return startedMs;
    const atS = Date.parse(`${date}T00:00:00Z`) / 1000 + timeS - nowS;
    if (isTime(atS)) return atS * 1000;
    counts.badTimes += 1;
    return null;
  };
  const heed = (tagS: number | null, said: ReadSentence): void => {
    const atS = tagS !== null && isTime(tagS) ? tagS : null;
    if (tagS !== null && atS === null) counts.badTimes += 1;
    if (atS !== null) {
      if (known !== 'tags') clockS = null;
      known = 'tags';
      startedMs ??= atS * 1000;
      return setClock(atS, false);
    }
    if (known === 'tags') return;
    const { fields } = said;
    const time = fields['valid'] !== false ? dayS(fields['timeUtc']) : null;
    if (time !== null) {
      known = 'clock';
      if (!isGiver(said)) return;
      setClock(time, true);
      startedMs = dated(fields['dateUtc'], time);
      return;
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
      heed(atS, read);
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
