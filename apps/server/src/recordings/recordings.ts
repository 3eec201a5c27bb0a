import { thinned, type LogChannel, type LogCounts } from '@grey-keel/core';
import { liveQuantitySchema, type Recording, type RecordingPart } from '@grey-keel/model';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import type { Database } from '../database/open-database.ts';
import type { RecordingChannelRow, RecordingRow } from '../database/tables.ts';
import { type Chunk, columns } from './columns.ts';
import { readLog } from './read-log.ts';

/** A recording that is under way is stored at least so often: a kill loses no more. */
const flushEveryMs = 5000;

interface Live {
  readonly stop: () => Promise<void>;
}

const bytesOf = (floats: Float64Array): Buffer => Buffer.from(floats.buffer, floats.byteOffset, floats.byteLength);
const floatsOf = (blob: Buffer): Float64Array => {
  const copy = new Uint8Array(blob);
  return new Float64Array(copy.buffer, 0, Math.floor(copy.byteLength / 8));
};

/** Recordings as the database has them: columns in chunks, never a line of text. */
export class Recordings {
  private readonly live = new Map<string, Live>();

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
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

  /** Reads a log as it comes in. Where it breaks off nothing of it is left. */
  async importLog(
    id: string,
    name: string,
    cameFrom: string,
    pieces: AsyncIterable<Buffer>,
  ): Promise<'taken' | 'done'> {
    const { recordings } = this.database.tables;
    if (await this.has(id)) return 'taken';
    await this.begin(id, name, cameFrom, 'importing');
    try {
      const { channels, counts } = await readLog(pieces, (chunks) =>
        this.database.write((transaction) => this.put(id, chunks, transaction)),
      );
      await this.database.write((transaction) => this.finish(id, channels, counts, transaction));
      return 'done';
    } catch (error) {
      await this.database.write((transaction) => recordings.destroy({ where: { id }, transaction }));
      throw error;
    }
  }

  /** Begins to record what it hears, until it is stopped. `listen` gives back what ends the listening. */
  async record(
    id: string,
    name: string,
    cameFrom: string,
    simulated: () => boolean,
    listen: (take: (channel: LogChannel, value: number) => void) => () => void,
  ): Promise<void> {
    await this.begin(id, name, cameFrom, 'recording');
    const started = this.now();
    const channels = new Map<number, LogChannel>();
    let waiting: Chunk[] = [];
    let sentences = 0;
    let gathered = columns((chunk) => waiting.push(chunk));
    let parts = 0;
    let storing: Promise<void> = Promise.resolve();
    const lastedS = (): number => (this.now().getTime() - started.getTime()) / 1000;
    const flush = (state: 'recording' | 'ready'): Promise<void> => {
      gathered.rest();
      // Chunks begun anew go on counting where those before ended.
      const chunks = waiting.map((chunk) => ({ ...chunk, part: chunk.part + parts }));
      parts = Math.max(parts, ...chunks.map(({ part }) => part + 1));
      waiting = [];
      gathered = columns((chunk) => waiting.push(chunk));
      const counts: LogCounts = {
        sentences,
        wrongChecksum: 0,
        noSentence: 0,
        notRead: 0,
        simulated: simulated(),
        timesKnown: 'tags',
        startedMs: started.getTime(),
        lastedS: lastedS(),
      };
      storing = storing.then(() =>
        this.database.write(async (transaction) => {
          await this.put(id, chunks, transaction);
          await this.finish(id, [...channels.values()], counts, transaction, state, 'arrival');
        }),
      );
      return storing;
    };
    const timer = setInterval(() => void flush('recording').catch(() => undefined), flushEveryMs);
    timer.unref();
    const stopListening = listen((channel, value) => {
      channels.set(channel.id, channel);
      sentences += 1;
      gathered.add(channel, lastedS(), value);
    });
    this.live.set(id, {
      stop: async () => {
        clearInterval(timer);
        this.live.delete(id);
        stopListening();
        await flush('ready');
      },
    });
  }

  async stop(id: string): Promise<boolean> {
    const recording = this.live.get(id);
    await recording?.stop();
    return recording !== undefined;
  }

  /** Ends whatever is still being recorded, so that none of it is lost. */
  async close(): Promise<void> {
    for (const id of [...this.live.keys()]) await this.stop(id);
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

  private async mark(id: string, removedAt: string | null): Promise<boolean> {
    await this.stop(id);
    const [changed] = await this.database.write((transaction) =>
      this.database.tables.recordings.update({ removed_at: removedAt }, { where: { id }, transaction }),
    );
    return changed > 0;
  }

  private async begin(id: string, name: string, cameFrom: string, state: Recording['state']): Promise<void> {
    await this.database.write((transaction) =>
      this.database.tables.recordings.create(
        { id, name, came_from: cameFrom, state, made_at: this.now().toISOString() },
        { transaction },
      ),
    );
  }

  private async put(id: string, chunks: readonly Chunk[], transaction: Transaction): Promise<void> {
    // One by one their bytes are bound; many at once would be written out as text, twice as long.
    for (const { channel, part, times, figures } of chunks)
      await this.database.tables.recordingChunks.create(
        {
          recording_id: id,
          channel,
          part,
          from_s: times[0] ?? 0,
          to_s: times[times.length - 1] ?? 0,
          samples: times.length,
          times: bytesOf(times),
          figures: bytesOf(figures),
        },
        { transaction },
      );
  }

  private async finish(
    id: string,
    channels: readonly LogChannel[],
    counts: LogCounts,
    transaction: Transaction,
    state: Recording['state'] = 'ready',
    timesKnown: Recording['timesKnown'] = counts.timesKnown,
  ): Promise<void> {
    const { recordings, recordingChannels } = this.database.tables;
    const sizes = await this.database.sequelize.query<{ channel: number; samples: number; bytes: number }>(
      'SELECT channel, SUM(samples) AS samples, SUM(LENGTH(times) + LENGTH(figures)) AS bytes FROM recording_chunks WHERE recording_id = :id GROUP BY channel',
      { replacements: { id }, type: QueryTypes.SELECT, transaction },
    );
    await recordingChannels.bulkCreate(
      channels.map(({ id: channel, talker, type, quantity }) => ({
        recording_id: id,
        channel,
        talker,
        type,
        quantity,
        samples: sizes.find((one) => one.channel === channel)?.samples ?? 0,
      })),
      { transaction, updateOnDuplicate: ['samples'] },
    );
    await recordings.update(
      {
        state,
        simulated: counts.simulated,
        times_known: timesKnown,
        started_at: counts.startedMs === null ? null : new Date(counts.startedMs).toISOString(),
        lasted_s: counts.lastedS,
        sentences: counts.sentences,
        wrong_checksum: counts.wrongChecksum,
        no_sentence: counts.noSentence,
        not_read: counts.notRead,
        bytes: sizes.reduce((sum, { bytes }) => sum + bytes, 0),
      },
      { where: { id }, transaction },
    );
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
      state: row.state as Recording['state'],
      simulated: Boolean(row.simulated),
      timesKnown: row.times_known as Recording['timesKnown'],
      startedAt: row.started_at ?? null,
      lastedS: row.lasted_s,
      sentences: row.sentences,
      wrongChecksum: row.wrong_checksum,
      noSentence: row.no_sentence,
      notRead: row.not_read,
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
