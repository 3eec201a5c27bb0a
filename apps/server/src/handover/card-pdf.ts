import { alarmsInWords, cardOf, formatSentence, panesOf, soundInWords, type CardStation } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { openCounts } from './open-lines.ts';
import { pdf } from './pdf.ts';
import { escapeXml } from './section-svg.ts';
import {
  agroundLines,
  boatLine,
  cautions,
  ringLines,
  sheet,
  transducerTable,
  words,
  writer,
  type PrintOptions,
} from './sheet.ts';

/** The name of a view in its pane, upright where it would not fit across. */
const viewName = (view: string, x: number, y: number, width: number): string => {
  const fits = view.length * 3.1 + 4 < width;
  const at = fits
    ? `x="${(x + 3).toFixed(1)}" y="${(y + 8).toFixed(1)}"`
    : `transform="translate(${(x + 4).toFixed(1)} ${(y + 4).toFixed(1)}) rotate(90)"`;
  return `<text ${at} font-family="Archivo" font-size="6" fill="#1D272D">${escapeXml(view)}</text>`;
};

/** A page's panes on its screen's outline, each with the name of its view. */
const pageSvg = (page: CardStation['pages'][number], screen: CardStation['screen'], width: number): string => {
  const height = (width * screen.pixelsHigh) / screen.pixelsWide;
  const panes = panesOf(page.layout, { pixelsWide: width, pixelsHigh: height });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height.toFixed(1)}" viewBox="0 0 ${width} ${height.toFixed(1)}">`,
    ...panes.map(({ pane, x, y, width: w, height: h }) =>
      [
        `<rect x="${x.toFixed(1)}" y="${y.toFixed(1)}" width="${w.toFixed(1)}" height="${h.toFixed(1)}" fill="#EDF0EE" stroke="#1D272D" stroke-width="0.7"/>`,
        viewName(pane.view, x, y, w),
      ].join(''),
    ),
    '</svg>',
  ].join('');
};

const keyTable = (keys: CardStation['keys']): Column =>
  keys.length === 0
    ? words('no programmable keys', { fontSize: 9, width: 170 })
    : {
        width: 170,
        layout: 'lightHorizontalLines',
        table: {
          body: [
            ['Key', 'short', 'long'].map((title) => words(title, { fontSize: 8 }) as TableCell),
            ...keys.map(({ key, short, long }) =>
              [String(key), short || '-', long || '-'].map((one) => words(one, { fontSize: 9 }) as TableCell),
            ),
          ],
        },
      };

const pagesAcross = 4;

const settingLines = (station: CardStation | null, depthM: number, units: PrintOptions['units']): Content[] =>
  [
    station && alarmsInWords(station.alarms, station.shallowShown),
    station && soundInWords(station.sound, depthM),
  ].flatMap((said) => (said ? [words(formatSentence(said, units))] : []));

/** Pages four to a line, so that a display with many does not run off the paper. */
const pageRows = ({ pages, screen }: CardStation): Content[] =>
  Array.from({ length: Math.ceil(pages.length / pagesAcross) }, (_, row) => ({
    columnGap: 6,
    columns: pages.slice(row * pagesAcross, (row + 1) * pagesAcross).map((page): Content & { width: number } => ({
      width: 76,
      stack: [
        { svg: pageSvg(page, screen, 74), margin: [0, 2, 0, 1] },
        words(`${page.place} ${page.name}`, { fontSize: 8, bold: true }),
        words(page.ways.join(', ') || 'not used', { fontSize: 7 }),
      ],
    })),
  }));

/** The dash card of each station on a sheet of its own; of the boat alone while it has no station with a display. */
export const cardDocument = (plan: Plan, options: PrintOptions): TDocumentDefinitions => {
  const card = cardOf(plan);
  const write = writer(options.units);
  const open = openCounts(plan);
  const stations = card.stations.length ? card.stations : [null];
  return sheet(
    `${plan.boat.name}: dash cards`,
    options,
    stations.map((station, i) => ({
      ...(i > 0 ? { pageBreak: 'before' as const } : {}),
      stack: [
        words(station ? `${card.boat.name}, ${station.name}` : card.boat.name, { fontSize: 22, bold: true }),
        words(`${station ? `${station.display}. ` : ''}${boatLine(card, write)}`, { margin: [0, 2, 0, 8] }),
        ...agroundLines(card, options.units),
        ...settingLines(station, card.depthM, options.units),
        ...(station
          ? [
              {
                margin: [0, 12, 0, 6] as [number, number, number, number],
                columns: [{ width: '*', stack: pageRows(station) }, keyTable(station.keys)],
              },
            ]
          : []),
        transducerTable(card, write),
        ...ringLines(card, write),
        words(open, { bold: true, margin: [0, 10, 0, 0] }),
        ...cautions(),
      ],
    })),
  );
};

/** The dash cards as a PDF. */
export const cardPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> => pdf(cardDocument(plan, options));
