import { aboardSheets, cautions } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Content } from 'pdfmake/interfaces.js';
import { pdf } from './pdf.ts';
import { head, sheet, words, type PrintOptions } from './sheet.ts';

/** Points to a line that is written into by hand. */
const handHigh = 22;
const titleRows = 2;

/** What must be read aboard, with room to write. */
export const aboardPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> => {
  const tables = aboardSheets(plan, options.units).map(({ title, hint, columns, rows }): Content => {
    const heading: Content[] = [words(title, { bold: true, fontSize: 12 }), words(hint, { fontSize: 9 })];
    return {
      margin: [0, 10, 0, 0],
      // A form of a few lines is not torn over two sheets.
      unbreakable: rows.length < 12,
      table: {
        headerRows: titleRows,
        keepWithHeaderRows: 1,
        dontBreakRows: true,
        widths: columns.map((_, i) => (i === 0 ? 'auto' : '*')),
        heights: (row) => (row < titleRows ? 'auto' : handHigh),
        body: [
          [{ stack: heading, colSpan: columns.length }, ...columns.slice(1).map(() => '')],
          columns.map((column) => head(column, 'left')),
          ...rows.map((row) => row.map((cell) => words(cell, { fontSize: 9 }))),
        ],
      },
    };
  });
  return pdf(
    sheet(`${plan.boat.name}: to read aboard`, options, [
      words(`${plan.boat.name}: to read aboard`, { fontSize: 22, bold: true }),
      words('Date: ____________   By: ____________________', { margin: [0, 4, 0, 0] }),
      ...tables,
      words(cautions.grounding, { fontSize: 9, margin: [0, 12, 0, 0] }),
    ]),
  );
};
