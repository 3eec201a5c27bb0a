import { formatFigure, shoppingOf, type FormatOptions, type Place, type ScorePart } from '@grey-keel/core';
import type { CatalogueEntry, Plan, Quantity } from '@grey-keel/model';
import type { Content, TableCell } from 'pdfmake/interfaces.js';
import { pdf } from './pdf.ts';
import { figures, head, sheet, words, type PrintOptions } from './sheet.ts';

/** What to buy and why, on one sheet: the chosen gear, what it gives together, and what it was compared with. */
export const shoppingPdf = async (
  plan: Plan,
  catalogue: readonly CatalogueEntry[],
  options: PrintOptions,
): Promise<Buffer> => {
  const { lines, chosen, compared, ranking } = shoppingOf(plan, catalogue);
  const write = (value: number, quantity: Quantity, format: FormatOptions = {}): string =>
    formatFigure({ value, quantity }, options.units, format);
  const part = ({ figure }: ScorePart): string =>
    write(figure.value, figure.quantity, figure.quantity === 'depth' ? { decimals: 0 } : {});
  const row = (place: Place): TableCell[] => [
    words(place.name),
    ...place.parts.slice(0, 6).map((one) => figures(part(one), { alignment: 'right', fontSize: 8 })),
    figures(place.score.toFixed(1), { alignment: 'right', bold: true }),
  ];
  const content: Content[] = [
    words(`${plan.boat.name}: transducers`, { fontSize: 22, bold: true }),
    words(
      ranking
        ? `For a fish of ${write(ranking.requirements.lengthCm, 'fishLength')} at ${write(ranking.requirements.workingM, 'depth')}, down to ${write(ranking.requirements.deepestM, 'depth')}; school: ${plan.advice.school}.`
        : 'The water is not described, so nothing could be weighed.',
      { margin: [0, 2, 0, 8] },
    ),
    {
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        widths: ['*', 'auto', 'auto', 'auto', 'auto'],
        body: [
          [
            head('Chosen', 'left'),
            head('kind'),
            head('mounting'),
            head('frequency and cone at -3 dB'),
            head('place if only one'),
          ],
          ...lines.map((line) => [
            words(line.name, { bold: true }),
            words(line.kind, { alignment: 'right' }),
            words(line.mounting, { alignment: 'right' }),
            {
              stack: line.beams.map((beam) =>
                figures(`${write(beam.frequencyHz, 'frequency')}, ${write(beam.coneDeg, 'angle')}`, {
                  alignment: 'right',
                  fontSize: 8,
                }),
              ),
            },
            figures(line.place === null ? '-' : String(line.place), { alignment: 'right' }),
          ]),
        ],
      },
    },
    ...(chosen
      ? [
          words('What it gives, and what it was compared with', { bold: true, margin: [0, 14, 0, 4] }),
          {
            layout: 'lightHorizontalLines',
            table: {
              headerRows: 1,
              widths: ['*', ...Array.from({ length: 7 }, () => 'auto')],
              body: [
                [head('', 'left'), ...chosen.parts.slice(0, 6).map(({ criterion }) => head(criterion)), head('of 100')],
                row({ ...chosen, name: 'The sounders chosen, together' }),
                ...compared.map(row),
              ],
            },
          },
          ...(chosen.givesUp.length
            ? [words(`Given up with it: ${chosen.givesUp.join(', ')}.`, { margin: [0, 8, 0, 0] })]
            : []),
          ...chosen.remarks.map((remark) => words(remark)),
        ]
      : []),
    words(
      "Figures by physics from the data sheets; what a sheet leaves out is derived. The makers' instructions and local codes come before this sheet; hauling out and holes in a cored hull are a yard's work.",
      { fontSize: 9, margin: [0, 12, 0, 0] },
    ),
  ];
  return pdf(sheet(`${plan.boat.name}: transducers`, options, content));
};
