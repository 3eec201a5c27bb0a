import { readCatalogueCsv, type CsvCatalogue, type CsvKey } from '@grey-keel/core';
import { expose } from 'comlink';
import Papa from 'papaparse';

/** The head of a file, by which its columns are matched. */
export interface CsvPreview {
  readonly titles: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly count: number;
}

const rowsOf = (text: string): string[][] =>
  Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false }).data;

/** Reads a catalogue's CSV. */
const catalogueCsv = {
  titles: (text: string): CsvPreview => {
    const rows = rowsOf(text);
    return { titles: rows[0] ?? [], rows: rows.slice(1, 6), count: Math.max(0, rows.length - 1) };
  },
  items: (
    text: string,
    columns: Readonly<Record<CsvKey, number | null>>,
    progress: (share: number) => void,
  ): CsvCatalogue => readCatalogueCsv(rowsOf(text), columns, progress),
};
export type CatalogueCsv = typeof catalogueCsv;

expose(catalogueCsv);
