import {
  alarmsInWords,
  cardOf,
  formatSentence,
  panesOf,
  sectionAt,
  soundInWords,
  whoseBoat,
  type CardStation,
} from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { openCounts } from './open-lines.ts';
import { countedPdf, pdf } from './pdf.ts';
import { escapeXml, sectionSvg } from './section-svg.ts';
import {
  agroundLines,
  boatLine,
  cautions,
  correctionLines,
  ringLines,
  sheet,
  sheetWidths,
  transducerTable,
  words,
  writer,
  type PrintOptions,
} from './sheet.ts';

/** The name of a view in its pane in letters that leave it inside: across, or upright where only small ones would. */
const viewName = (view: string, x: number, y: number, width: number, height: number): string => {
  const within = (along: number): number => Math.min(8, (along - 6) / (view.length * 0.54));
  const upright = within(width) < 6 && height > width;
  const size = within(upright ? height : width);
  const at = upright
    ? `transform="translate(${(x + 4).toFixed(1)} ${(y + 4).toFixed(1)}) rotate(90)"`
    : `x="${(x + 3).toFixed(1)}" y="${(y + size + 2).toFixed(1)}"`;
  return `<text ${at} font-family="Archivo" font-size="${size.toFixed(1)}" fill="#1D272D">${escapeXml(view)}</text>`;
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
        viewName(pane.view, x, y, w, h),
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
              [String(key), short || '-', long || '-'].map((one) => words(one, { fontSize: 11 }) as TableCell),
            ),
          ],
        },
      };

/** How roomy a card is set: points of height for its section, none where it is left out, and pages to a line. */
interface Setting {
  readonly sectionHigh: number;
  readonly pagesAcross: number;
}
/** From the one that is read best on. */
const settings: readonly Setting[] = [
  { sectionHigh: 190, pagesAcross: 3 },
  { sectionHigh: 140, pagesAcross: 3 },
  { sectionHigh: 0, pagesAcross: 3 },
];
const tightest: Setting = { sectionHigh: 0, pagesAcross: 4 };
/** Points across for the pages, beside the keys. */
const pagesWide = 342;

const settingLines = (station: CardStation | null, depthM: number, units: PrintOptions['units']): Content[] =>
  [
    station && alarmsInWords(station.alarms, station.shallowShown),
    station && soundInWords(station.sound, depthM),
  ].flatMap((said) => (said ? [words(formatSentence(said, units), { fontSize: 12 })] : []));

/** Pages a few to a line, so that a display with many does not run off the paper. */
const pageRows = ({ pages, screen }: CardStation, pagesAcross: number): Content[] => {
  const wide = pagesWide / pagesAcross - 6;
  return Array.from({ length: Math.ceil(pages.length / pagesAcross) }, (_, row) => ({
    columnGap: 6,
    columns: pages.slice(row * pagesAcross, (row + 1) * pagesAcross).map((page): Content & { width: number } => ({
      width: wide,
      stack: [
        { svg: pageSvg(page, screen, wide - 2), margin: [0, 2, 0, 1] },
        words(`${page.place} ${page.name}`, { fontSize: 10, bold: true }),
        words(page.ways.join(', ') || 'not used', { fontSize: 9 }),
      ],
    })),
  }));
};

/** A dash card is read from the wheel. */
const large = 15;

const sectionOn = (plan: Plan, depthM: number, { units, paper }: PrintOptions, high: number): Content[] =>
  high === 0
    ? []
    : [{ svg: sectionSvg(sectionAt(plan, depthM), units, sheetWidths[paper], high), margin: [0, 8, 0, 0] }];

/** The dash card of each station on a sheet of its own; of the boat alone while it has no station with a display. */
const cardDocument = (
  plan: Plan,
  options: PrintOptions,
  { sectionHigh, pagesAcross }: Setting,
): TDocumentDefinitions => {
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
        words(`${station ? `${station.display}. ` : ''}${boatLine(card, write)}`, { margin: [0, 2, 0, 2] }),
        words(whoseBoat(plan.boat), { fontSize: 9, margin: [0, 0, 0, 6] }),
        ...agroundLines(card, options.units, large),
        ...settingLines(station, card.depthM, options.units),
        ...(station
          ? [
              {
                margin: [0, 12, 0, 6] as [number, number, number, number],
                columns: [{ width: '*', stack: pageRows(station, pagesAcross) }, keyTable(station.keys)],
              },
            ]
          : []),
        transducerTable(card, write),
        ...ringLines(card, write),
        ...correctionLines(card, options.units, 11),
        ...sectionOn(plan, card.depthM, options, sectionHigh),
        words(open, { bold: true, margin: [0, 10, 0, 0] }),
        ...cautions(),
      ],
    })),
  );
};

/** With more stations than any boat has, a sheet is not set several times over. */
const mostTried = 12;

/** The dash cards as a PDF, a sheet a station, as roomy as leaves it so. */
export const cardPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> => {
  const wanted = Math.max(1, cardOf(plan).stations.length);
  for (const setting of wanted > mostTried ? [] : settings) {
    const { sheets, buffer } = await countedPdf(cardDocument(plan, options, setting));
    if (sheets <= wanted) return buffer;
  }
  return pdf(cardDocument(plan, options, tightest));
};
