import type { LogChannel } from '@grey-keel/core';

/** So many samples stand in one chunk. */
export const chunkSamples = 4096;

export interface Chunk {
  readonly channel: number;
  readonly part: number;
  readonly times: Float64Array;
  readonly figures: Float64Array;
}

interface Column {
  part: number;
  length: number;
  times: Float64Array;
  figures: Float64Array;
}

/** Gathers samples by channel and hands each chunk on when it is full, so that a day's log never stands in memory. */
export const columns = (full: (chunk: Chunk) => void) => {
  const byChannel = new Map<number, Column>();
  const hand = (channel: number, column: Column): void => {
    full({
      channel,
      part: column.part,
      times: column.times.slice(0, column.length),
      figures: column.figures.slice(0, column.length),
    });
    column.part += 1;
    column.length = 0;
  };
  return {
    add: ({ id }: Pick<LogChannel, 'id'>, timeS: number, value: number): void => {
      let column = byChannel.get(id);
      if (!column) {
        column = { part: 0, length: 0, times: new Float64Array(chunkSamples), figures: new Float64Array(chunkSamples) };
        byChannel.set(id, column);
      }
      column.times[column.length] = timeS;
      column.figures[column.length] = value;
      column.length += 1;
      if (column.length === chunkSamples) hand(id, column);
    },
    /** What is left in chunks that are not full. */
    rest: (): void => {
      for (const [channel, column] of byChannel) if (column.length > 0) hand(channel, column);
    },
  };
};
