import { wiringSheets } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Content, CustomTableLayout } from 'pdfmake/interfaces.js';
import { pdf } from './pdf.ts';
import { head, sheet, words, type PrintOptions } from './sheet.ts';
import { wiringSvg } from './wiring-svg.ts';

/** Columns whose cells are short whatever the boat; the others share what is left, and wrap. */
const short = new Set(['One way', 'Fuse', 'Draws', 'Lost', 'Length', 'Number']);

/** The heading and the titles of the columns, both again where a table goes on over the sheet. */
const titleRows = 2;
const titledLines: CustomTableLayout = {
  hLineWidth: (i, { table: { body } }) => (i < titleRows || i === body.length ? 0 : i === titleRows ? 1.5 : 0.5),
  vLineWidth: () => 0,
  paddingLeft: (i) => (i === 0 ? 0 : 4),
  hLineColor: (i) => (i === titleRows ? '#1D272D' : '#A9B4B8'),
};

/** Points left on a sheet for the diagram between margins, heading and foot: across and down, upright. */
const room = { A4: [515, 690], LETTER: [532, 640] } as const satisfies Record<PrintOptions['paper'], readonly number[]>;

/** The diagram on a sheet of its own, lying where it is wider than it is high, as large as the sheet allows. */
const diagramSheet = async (plan: Plan, { paper }: PrintOptions): Promise<Content[]> => {
  const drawn = await wiringSvg(plan);
  if (!drawn) return [];
  const [short, long] = room[paper];
  const lies = drawn.width > drawn.height;
  const fit: [number, number] = lies ? [long + 80, short - 80] : [short, long];
  return [
    words('Wiring', {
      bold: true,
      fontSize: 12,
      margin: [0, 0, 0, 6],
      pageBreak: 'before',
      pageOrientation: lies ? 'landscape' : 'portrait',
    }),
    { svg: drawn.svg, fit },
  ];
};

/** What an installer takes along: the circuits, the cables and parts, and what each screen listens to. */
export const wiringPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> => {
  const content: Content[] = [
    words(`${plan.boat.name}: wiring and sources`, { fontSize: 22, bold: true }),
    ...wiringSheets(plan, options.units).map(({ title, columns, rows }): Content => {
      const heading = words(title, { bold: true, fontSize: 12 });
      if (rows.length === 0) return { margin: [0, 12, 0, 0], stack: [heading, words('Nothing yet.')] };
      return {
        margin: [0, 12, 0, 0],
        layout: titledLines,
        table: {
          headerRows: titleRows,
          // The heading goes with its table: it does not stand alone at the foot of a sheet.
          keepWithHeaderRows: 1,
          dontBreakRows: true,
          widths: columns.map((column) => (short.has(column) ? 'auto' : '*')),
          body: [
            [{ stack: [heading], colSpan: columns.length }, ...columns.slice(1).map(() => '')],
            columns.map((column) => head(column, 'left')),
            ...rows.map((row) => row.map((cell) => words(cell, { fontSize: 8.5 }))),
          ],
        },
      };
    }),
    words(
      'Fuse at the positive post; ignition-protected parts where petrol is; lithium by its maker’s rules; shore power by a licensed marine electrician. The makers’ instructions and local codes come before this sheet.',
      { fontSize: 9, margin: [0, 12, 0, 0] },
    ),
    ...(await diagramSheet(plan, options)),
  ];
  return pdf(sheet(`${plan.boat.name}: wiring and sources`, options, content));
};
