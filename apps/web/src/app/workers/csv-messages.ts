import type { CsvCatalogue, CsvKey } from '@grey-keel/core';

/** What the worker is asked: to read the titles of a file, or the whole of it. */
export type CsvRequest =
  | { readonly ask: 'titles'; readonly text: string }
  | { readonly ask: 'items'; readonly text: string; readonly columns: Readonly<Record<CsvKey, number | null>> };

export type CsvReply =
  | { readonly said: 'progress'; readonly share: number }
  | {
      readonly said: 'titles';
      readonly titles: readonly string[];
      readonly rows: readonly (readonly string[])[];
      readonly count: number;
    }
  | { readonly said: 'items'; readonly catalogue: CsvCatalogue };
