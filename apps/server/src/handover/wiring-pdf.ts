import { wiringSheets } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Content } from 'pdfmake/interfaces.js';
import { pdf } from './pdf.ts';
import { head, sheet, words, type PrintOptions } from './sheet.ts';

/** Columns whose cells are short whatever the boat; the others share what is left, and wrap. */
const short = new Set(['One way', 'Fuse', 'Draws', 'Lost', 'Length', 'Number']);

/** What an installer takes along: the circuits, the cables and parts, and what each screen listens to. */
export const wiringPdf = (plan: Plan, options: PrintOptions): Promise<Buffer> => {
  const content: Content[] = [
    words(`${plan.boat.name}: wiring and sources`, { fontSize: 22, bold: true }),
    ...wiringSheets(plan, options.units).flatMap(({ title, columns, rows }): Content[] => [
      words(title, { bold: true, fontSize: 12, margin: [0, 12, 0, 4] }),
      rows.length
        ? {
            layout: 'lightHorizontalLines',
            table: {
              headerRows: 1,
              dontBreakRows: true,
              widths: columns.map((column) => (short.has(column) ? 'auto' : '*')),
              body: [
                columns.map((column) => head(column, 'left')),
                ...rows.map((row) => row.map((cell) => words(cell, { fontSize: 8.5 }))),
              ],
            },
          }
        : words('Nothing yet.'),
    ]),
    words(
      'Fuse at the positive post; ignition-protected parts where petrol is; lithium by its maker’s rules; shore power by a licensed marine electrician. The makers’ instructions and local codes come before this sheet.',
      { fontSize: 9, margin: [0, 12, 0, 0] },
    ),
  ];
  return pdf(sheet(`${plan.boat.name}: wiring and sources`, options, content));
};
