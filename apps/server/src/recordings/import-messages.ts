import type { LogChannel, LogCounts } from '@grey-keel/core';
import type { Chunk } from './columns.ts';

export type ToThread = { readonly type: 'piece'; readonly bytes: Uint8Array } | { readonly type: 'end' };
export type FromThread =
  | { readonly type: 'chunk'; readonly chunk: Chunk }
  /** A piece has been read: the next may come. */
  | { readonly type: 'taken' }
  | { readonly type: 'done'; readonly channels: readonly LogChannel[]; readonly counts: LogCounts };
