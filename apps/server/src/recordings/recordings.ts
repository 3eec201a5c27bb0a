import { thinned, type LogChannel, type LogCounts } from '@grey-keel/core';
import {
  liveQuantitySchema,
  recordingGapsSchema,
  type Recording,
  type RecordingPart,
  type RecordingUnderWay,
} from '@grey-keel/model';
import { Semaphore } from 'async-mutex';
import { Op, UniqueConstraintError } from 'sequelize';
import type { Database } from '../database/open-database.ts';
import type { RecordingChannelRow, RecordingRow } from '../database/tables.ts';
import type { Chunk } from './columns.ts';
import { LiveRecording } from './live-recording.ts';
import { readLog } from './read-log.ts';
import { floatsOf, putChunks, putCounts } from './stored-parts.ts';

/** A recording that is under way is stored at least so often: a kill loses no more. */
const flushEveryMs = 5000;

/** So many samples of a live recording wait in memory when nothing can be stored: eleven hours of a boat, 32 MB. */
const mostWaiting = 2_000_000;
/** Each log is read by a thread of its own: so many at a time, and so many more wait for their turn. */
const importsAtOnce = 2;
const mostQueued = 8;

/** So long a deleted recording can be had back. */
const recallableMs = 30 * 24 * 3600e3;

/** An import that was broken off because the database is exchanged. */
export class BrokenOff extends Error {}

export interface RecordingsOptions {
  readonly flushEveryMs?: number;
  readonly mostWaiting?: number;
}

interface Importing {
  readonly name: string;
  readonly breakOff: AbortController;
  queued: boolean;
}

/** Recordings as the database has them: columns in chunks, never a line of text. */
export class Recordings {
  private readonly live = new Map<string, { readonly name: string; readonly recording: LiveRecording }>();
  private readonly importing = new Map<string, Importing>();
  private readonly runs = new Set<Promise<unknown>>();
  private readonly turns = new Semaphore(importsAtOnce);

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
    private readonly options: RecordingsOptions = {},
  ) {}

  /** Deletes what an import that was killed left; what was being recorded ends where it was stored last. */
  async clearUnfinished(): Promise<void> {
    const { recordings } = this.database.tables;
    await this.database.write(async (transaction) => {
      await recordings.destroy({ where: { state: 'importing' }, transaction });
      await recordings.update({ state: 'ready' }, { where: { state: 'recording' }, transaction });
    });
  }

  async list(): Promise<Recording[]> {
    const { recordings } = this.database.tables;
    const rows = await recordings.findAll({ where: { removed_at: null }, order: [['made_at', 'DESC']] });
    return this.described(rows);
  }

  async find(id: string): Promise<Recording | null> {
    const row = await this.database.tables.recordings.findByPk(id);
    const [found] = row?.removed_at === null ? await this.described([row]) : [];
    return found ?? null;
  }

  /** Whether there is one of that id, deleted or not. */
  async has(id: string): Promise<boolean> {
    return (await this.database.tables.recordings.findByPk(id)) !== null;
  }

  /** Reads a log as it comes in, when it is its turn. Where it breaks off nothing of it is left. */
  async importLog(
    id: string,
    name: string,
    cameFrom: string,
    pieces: AsyncIterable<Buffer>,
  ): Promise<'taken' | 'too many' | 'done'> {
    if (this.importing.has(id)) return 'taken';
    if (this.importing.size >= importsAtOnce + mostQueued) return 'too many';
    const one: Importing = { name, breakOff: new AbortController(), queued: true };
    this.importing.set(id, one);
    const run = this.importOne(id, one, cameFrom, pieces).finally(() => {
      this.importing.delete(id);
      this.runs.delete(run);
    });
    this.runs.add(run);
    return run;
  }

  private async importOne(
    id: string,
    one: Importing,
    cameFrom: string,
    pieces: AsyncIterable<Buffer>,
  ): Promise<'taken' | 'done'> {
    const { signal } = one.breakOff;
    if (!(await this.begin(id, one.name, cameFrom, 'importing'))) return 'taken';
    try {
      await this.turns.runExclusive(async () => {
        one.queued = false;
        signal.throwIfAborted();
        const store = (chunks: readonly Chunk[]): Promise<void> =>
          this.database.write((transaction) => putChunks(this.database, id, chunks, transaction));
        const { channels, counts } = await readLog(pieces, store, signal);
        await this.database.write((transaction) => putCounts(this.database, id, channels, counts, transaction));
      });
      return 'done';
    } catch (error) {
      await this.forget(id);
      throw signal.aborted ? new BrokenOff() : error;
    }
  }

  /** Deletes what an import left; where the disk has no room even for that, when it has. */
  private async forget(id: string): Promise<void> {
    try {
      await this.database.write((transaction) =>
        this.database.tables.recordings.destroy({ where: { id }, transaction }),
      );
    } catch {
      setTimeout(() => void this.forget(id), this.options.flushEveryMs ?? flushEveryMs).unref();
    }
  }

  /** Begins to record what it hears, until it is stopped. `listen` gives back what ends the listening. False where there is one of that id. */
  async record(
    id: string,
    name: string,
    cameFrom: string,
    simulated: () => boolean,
    listen: (take: (channel: LogChannel, value: number) => void) => () => void,
  ): Promise<boolean> {
    if (!(await this.begin(id, name, cameFrom, 'recording'))) return false;
    const [started, startedAt] = [this.now(), performance.now()];
    const recording = new LiveRecording({
      flushEveryMs: this.options.flushEveryMs ?? flushEveryMs,
      mostWaiting: this.options.mostWaiting ?? mostWaiting,
      // The clock of the machine may be set meanwhile; this one is not.
      elapsedS: () => (performance.now() - startedAt) / 1000,
      store: ({ chunks, channels, gaps, sentences, lastedS, last }) =>
        this.database.write(async (transaction) => {
          await putChunks(this.database, id, chunks, transaction);
          const counts: LogCounts = {
            sentences,
            wrongChecksum: 0,
            noSentence: 0,
            notRead: 0,
            badTimes: 0,
            simulated: simulated(),
            timesKnown: 'tags',
            startedMs: started.getTime(),
            lastedS,
          };
          const state = last ? 'ready' : 'recording';
          await putCounts(this.database, id, channels, counts, transaction, { state, timesKnown: 'arrival', gaps });
        }),
      done: () => {
        stopListening();
        this.live.delete(id);
      },
    });
    const stopListening = listen((channel, value) => recording.take(channel, value));
    this.live.set(id, { name, recording });
    return true;
  }

  /** Ends a recording, though what is in memory may still wait for room; false where there is none of that id. */
  async stop(id: string): Promise<boolean> {
    await this.live.get(id)?.recording.end();
    return (await this.find(id)) !== null;
  }

  /** What is being recorded, and what of it waits. */
  underWay(): RecordingUnderWay[] {
    return [...this.live].map(([id, { name, recording }]) => ({ id, name, ...recording.status() }));
  }

  /** Ends whatever is recorded or taken in, so that none of what is recorded is lost; says what that was. */
  async close(): Promise<{ readonly recordings: string[]; readonly imports: string[] }> {
    const imports = [...this.importing.values()];
    for (const one of imports) one.breakOff.abort();
    await Promise.allSettled(this.runs);
    const recordings = [...this.live];
    for (const [id, { recording }] of recordings) {
      await recording.end();
      recording.abandon();
      this.live.delete(id);
    }
    return { recordings: recordings.map(([, { name }]) => name), imports: imports.map(({ name }) => name) };
  }

  /** One channel between two times, thinned to so many points; null where there is no such recording. */
  async part(id: string, channel: number, fromS: number, toS: number, points: number): Promise<RecordingPart | null> {
    if (!(await this.find(id))) return null;
    const { timesS, values } = await this.samples(id, channel, fromS, toS);
    return { ...thinned(timesS, values, points), samples: timesS.length };
  }

  /** Every sample of a channel between two times. */
  async samples(
    id: string,
    channel: number,
    fromS: number,
    toS: number,
  ): Promise<{ timesS: number[]; values: number[] }> {
    const chunks = await this.database.tables.recordingChunks.findAll({
      where: { recording_id: id, channel, to_s: { [Op.gte]: fromS }, from_s: { [Op.lte]: toS } },
      order: [['part', 'ASC']],
    });
    const timesS: number[] = [];
    const values: number[] = [];
    for (const chunk of chunks) {
      const [times, figures] = [floatsOf(chunk.times), floatsOf(chunk.figures)];
      for (let i = 0; i < times.length; i++) {
        const at = times[i] ?? 0;
        if (at < fromS || at > toS) continue;
        timesS.push(at);
        values.push(figures[i] ?? 0);
      }
    }
    return { timesS, values };
  }

  /** Off the list, to be had back. */
  async remove(id: string): Promise<boolean> {
    return this.mark(id, this.now().toISOString());
  }
  async recall(id: string): Promise<boolean> {
    return this.mark(id, null);
  }

  /** Deletes for good what was deleted so long ago that nobody wants it back; says how many. */
  async collect(): Promise<number> {
    const old = new Date(this.now().getTime() - recallableMs).toISOString();
    return this.database.write((transaction) =>
      this.database.tables.recordings.destroy({ where: { removed_at: { [Op.lt]: old } }, transaction }),
    );
  }

  private async mark(id: string, removedAt: string | null): Promise<boolean> {
    await this.stop(id);
    const [changed] = await this.database.write((transaction) =>
      this.database.tables.recordings.update({ removed_at: removedAt }, { where: { id }, transaction }),
    );
    return changed > 0;
  }

  /** False where there is one of that id, deleted or not. */
  private async begin(id: string, name: string, cameFrom: string, state: Recording['state']): Promise<boolean> {
    try {
      await this.database.write((transaction) =>
        this.database.tables.recordings.create(
          { id, name, came_from: cameFrom, state, made_at: this.now().toISOString() },
          { transaction },
        ),
      );
      return true;
    } catch (error) {
      if (error instanceof UniqueConstraintError) return false;
      throw error;
    }
  }

  private stateOf({ id, state }: RecordingRow): Recording['state'] {
    if (this.importing.get(id)?.queued === true) return 'queued';
    const waits = this.live.get(id)?.recording.status();
    return waits?.ended === true && waits.waitsForRoom ? 'waiting for room' : (state as Recording['state']);
  }

  /** With the channels of all of them asked for at once, however many recordings there are. */
  private async described(rows: readonly RecordingRow[]): Promise<Recording[]> {
    const channels = await this.database.tables.recordingChannels.findAll({
      where: { recording_id: rows.map(({ id }) => id) },
      order: [['channel', 'ASC']],
    });
    const channelsOf = new Map<string, RecordingChannelRow[]>(rows.map(({ id }) => [id, []]));
    for (const channel of channels) channelsOf.get(channel.recording_id)?.push(channel);
    return rows.map((row) => ({
      id: row.id,
      name: row.name,
      cameFrom: row.came_from,
      state: this.stateOf(row),
      simulated: Boolean(row.simulated),
      timesKnown: row.times_known as Recording['timesKnown'],
      startedAt: row.started_at ?? null,
      lastedS: row.lasted_s,
      sentences: row.sentences,
      wrongChecksum: row.wrong_checksum,
      noSentence: row.no_sentence,
      notRead: row.not_read,
      badTimes: row.bad_times,
      gaps: recordingGapsSchema.parse(JSON.parse(row.gaps)),
      bytes: row.bytes,
      channels: (channelsOf.get(row.id) ?? []).map(({ channel, talker, type, quantity, samples }) => ({
        id: channel,
        talker,
        type,
        quantity: liveQuantitySchema.parse(quantity),
        samples,
      })),
    }));
  }
}
