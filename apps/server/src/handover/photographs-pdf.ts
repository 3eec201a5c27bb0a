import { inOrder } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Content } from 'pdfmake/interfaces.js';
import { pdf } from './pdf.ts';
import { sheet, sheetWidths, words, type PrintOptions } from './sheet.ts';

/** Points between two pictures, and how high one may be: three rows to a sheet. */
const gap = 12;
const highest = 190;

/** The photographs of a boat, two beside each other, each with what it shows and when it was taken. */
export const photographsPdf = async (
  plan: Plan,
  photographs: Readonly<Record<string, Uint8Array>>,
  options: PrintOptions,
): Promise<Buffer> => {
  const wide = (sheetWidths[options.paper] - gap) / 2;
  const pictures = inOrder(plan.photographs ?? {}).map(([id, { caption, at }]): Content => {
    const bytes = photographs[id];
    return {
      stack: [
        bytes
          ? { image: `data:image/jpeg;base64,${Buffer.from(bytes).toString('base64')}`, fit: [wide, highest] }
          : words('This picture is not stored here.', { fontSize: 9 }),
        words([caption, at.slice(0, 10)].filter((text) => text !== '').join(', '), {
          fontSize: 9,
          margin: [0, 3, 0, 0],
        }),
      ],
    };
  });
  const rows = Array.from({ length: Math.ceil(pictures.length / 2) }, (_, i): Content => ({
    columns: pictures.slice(2 * i, 2 * i + 2).map((one) => ({ width: wide, stack: [one] })),
    columnGap: gap,
    unbreakable: true,
    margin: [0, 8, 0, 0],
  }));
  return pdf(
    sheet(`${plan.boat.name}: photographs`, options, [
      words(`${plan.boat.name}: photographs`, { fontSize: 22, bold: true }),
      ...(rows.length ? rows : [words('There are none yet. Add them in Brief.')]),
    ]),
  );
};
