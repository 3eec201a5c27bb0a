import { readCatalogueCsv } from '@grey-keel/core';
import Papa from 'papaparse';
import type { CsvReply, CsvRequest } from './csv-messages.ts';

/** Reads a catalogue's CSV beside the interface, which goes on meanwhile. Ended from outside when it is cancelled. */
const rowsOf = (text: string): string[][] =>
  Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false }).data;

addEventListener('message', ({ data }: MessageEvent<CsvRequest>) => {
  const say = (reply: CsvReply): void => postMessage(reply);
  const rows = rowsOf(data.text);
  if (data.ask === 'titles') {
    say({ said: 'titles', titles: rows[0] ?? [], rows: rows.slice(1, 6), count: Math.max(0, rows.length - 1) });
    return;
  }
  say({ said: 'items', catalogue: readCatalogueCsv(rows, data.columns, (share) => say({ said: 'progress', share })) });
});
