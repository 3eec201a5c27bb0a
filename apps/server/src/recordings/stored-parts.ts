import type { LogChannel, LogCounts } from '@grey-keel/core';
import type { Recording, RecordingGap } from '@grey-keel/model';
import { QueryTypes, type Transaction } from 'sequelize';
import type { Database } from '../database/open-database.ts';
import type { Chunk } from './columns.ts';

const bytesOf = (floats: Float64Array): Buffer => Buffer.from(floats.buffer, floats.byteOffset, floats.byteLength);
/** Eight bytes of the database as the numbers they are. */
export const floatsOf = (blob: Buffer): Float64Array => {
  const copy = new Uint8Array(blob);
  return new Float64Array(copy.buffer, 0, Math.floor(copy.byteLength / 8));
};

/** Stores chunks of a recording. */
export const putChunks = async (
  { tables }: Database,
  id: string,
  chunks: readonly Chunk[],
  transaction: Transaction,
): Promise<void> => {
  // One by one their bytes are bound; many at once would be written out as text, twice as long.
  for (const { channel, part, times, figures } of chunks)
    await tables.recordingChunks.create(
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
};

/** Stores what is known of a recording by now: its channels, what was counted, and how it stands. */
export const putCounts = async (
  { sequelize, tables }: Database,
  id: string,
  channels: readonly LogChannel[],
  counts: LogCounts,
  transaction: Transaction,
  {
    state = 'ready',
    timesKnown = counts.timesKnown,
    gaps = [],
  }: Partial<Pick<Recording, 'state' | 'timesKnown'>> & { readonly gaps?: readonly RecordingGap[] } = {},
): Promise<void> => {
  const { recordings, recordingChannels } = tables;
  const sizes = await sequelize.query<{ channel: number; samples: number; bytes: number }>(
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
      bad_times: counts.badTimes,
      gaps: JSON.stringify(gaps),
      bytes: sizes.reduce((sum, { bytes }) => sum + bytes, 0),
    },
    { where: { id }, transaction },
  );
};
