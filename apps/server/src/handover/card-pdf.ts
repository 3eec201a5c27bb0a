import {
  agroundInWords,
  cardCautions,
  cardOf,
  findings,
  formatFigure,
  formatSentence,
  panesOf,
  sectionAt,
  stageStates,
  type Card,
  type CardStation,
  type CardTransducer,
  type FormatOptions,
  type UnitChoice,
} from '@grey-keel/core';
import type { Plan, Quantity } from '@grey-keel/model';
import pdfmake from 'pdfmake';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { fontFor, fonts } from './fonts.ts';
import { escapeXml, sectionSvg, seriesColour } from './section-svg.ts';

export interface PrintOptions {
  readonly units: UnitChoice;
  readonly paper: 'A4' | 'LETTER';
  readonly at: Date;
  readonly revision: number;
}

const widths = { A4: 595 - 2 * 40, LETTER: 612 - 2 * 40 } as const;
const wanting = 'not known';

const words = (text: string, more: object = {}): Content => ({ text, font: fontFor(text), ...more });
const figures = (text: string, more: object = {}): Content => ({ text, font: 'Figures', ...more });

const writer =
  (units: UnitChoice) =>
  (value: number | null, quantity: Quantity, options: FormatOptions = {}): string =>
    value === null ? wanting : formatFigure({ value, quantity }, units, options);
type Write = ReturnType<typeof writer>;

const offsetCell = ({ offset }: CardTransducer, write: Write): TableCell => {
  if (!offset) return words('-', { alignment: 'right' });
  if (offset.offsetM === null) return words('not measured', { alignment: 'right', color: '#B3271B' });
  return {
    stack: [
      figures(write(offset.offsetM, 'length', { signed: true }), { bold: true, alignment: 'right' }),
      words(offset.state === 'stale' ? 'stale' : `to the ${offset.reference}`, {
        fontSize: 8,
        alignment: 'right',
        ...(offset.state === 'stale' ? { color: '#B3271B', bold: true } : {}),
      }),
    ],
  };
};

const transducerRows = (card: Card, write: Write): TableCell[][] =>
  card.transducers.map((transducer, i) => [
    {
      columns: [
        { canvas: [{ type: 'rect', x: 0, y: 3, w: 7, h: 7, color: seriesColour(i) }], width: 12 },
        words(transducer.name),
      ],
    },
    figures(write(transducer.frequencyHz, 'frequency'), { alignment: 'right' }),
    figures(write(transducer.coneDeg, 'angle'), { alignment: 'right' }),
    figures(transducer.footprintM === null ? '-' : write(transducer.footprintM, 'length'), { alignment: 'right' }),
    offsetCell(transducer, write),
  ]);

const ringLines = (card: Card, write: Write): Content[] =>
  card.ring
    ? [
        words(
          `A mark in ${card.ring.wide} only lies ${write(card.ring.nearestM, 'length')} to ${write(card.ring.farthestM, 'length')} from ${card.ring.narrow}: move that far to have it straight below. A strong mark in both is nearly below.`,
          { margin: [0, 6, 0, 0] },
        ),
      ]
    : [];

const agroundLines = (card: Card, units: UnitChoice): Content[] =>
  card.transducers.flatMap(({ name, offset }) =>
    offset?.state === 'fresh'
      ? [
          words(
            `${name}: ${formatSentence(agroundInWords({ reference: offset.reference, draughtM: card.boat.draughtM }), units)}`,
            { bold: true },
          ),
        ]
      : [],
  );

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
    ? words('no programmable keys', { fontSize: 8, width: 170 })
    : {
        width: 170,
        layout: 'lightHorizontalLines',
        table: {
          body: [
            ['Key', 'short', 'long'].map((title) => words(title, { fontSize: 7 }) as TableCell),
            ...keys.map(({ key, short, long }) =>
              [String(key), short || '-', long || '-'].map((one) => words(one, { fontSize: 8 }) as TableCell),
            ),
          ],
        },
      };

const pagesAcross = 4;

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

const stationBlock = (station: CardStation): Content => ({
  unbreakable: true,
  margin: [0, 8, 0, 0],
  stack: [
    words(station.name, { bold: true }),
    words(station.display, { fontSize: 8 }),
    { columns: [{ width: '*', stack: pageRows(station) }, keyTable(station.keys)] },
  ],
});

/** What the reader must know is not settled: stages that are not fresh, and findings that stop or ask for a check. */
const openLines = (plan: Plan, units: UnitChoice): string[] => {
  const found = findings(plan).filter(({ severity, stage }) => severity !== 'note' && stage !== 'handover');
  const stages = stageStates(plan, found).filter(({ stage, state }) => state !== 'fresh' && stage !== 'handover');
  return [
    ...stages.map(({ number, stage, state }) => `Stage ${number}, ${stage}: ${state}.`),
    ...found.map(({ severity, title, reason }) => `${severity}: ${title}. ${formatSentence(reason, units)}`),
  ];
};

/** The card as a document, from the plan alone. */
export const cardDocument = (plan: Plan, { units, paper, at, revision }: PrintOptions): TDocumentDefinitions => {
  const card = cardOf(plan);
  const write = writer(units);
  const open = openLines(plan, units);
  const head = (text: string, alignment: 'left' | 'right' = 'right'): TableCell =>
    words(text, { fontSize: 8, alignment });
  const water = card.water
    ? `${card.water.name}: ${write(card.water.temperatureC, 'temperature')}, ${write(card.water.salinityPpt, 'salinity')}, sound at ${write(card.water.soundSpeedMps, 'soundSpeed')}`
    : 'The water is not described.';
  return {
    pageSize: paper,
    pageMargins: [40, 36, 40, 44],
    defaultStyle: { font: 'Archivo', fontSize: 10, color: '#1D272D' },
    info: { title: `${plan.boat.name}: dash card` },
    footer: (page, pages) =>
      words(
        `Grey Keel, revision ${revision}, printed ${at.toISOString().slice(0, 16).replace('T', ' ')} UTC, page ${page} of ${pages}`,
        {
          fontSize: 8,
          margin: [40, 12, 40, 0],
        },
      ),
    content: [
      words(card.boat.name, { fontSize: 22, bold: true }),
      words(`Length ${write(card.boat.lengthM, 'length')}, draught ${write(card.boat.draughtM, 'length')}. ${water}.`, {
        margin: [0, 2, 0, 8],
      }),
      ...agroundLines(card, units),
      {
        margin: [0, 8, 0, 0],
        layout: 'lightHorizontalLines',
        table: {
          headerRows: 1,
          widths: ['*', 'auto', 'auto', 'auto', 'auto'],
          body: [
            [
              head('Transducer', 'left'),
              head('frequency'),
              head('cone at -3 dB'),
              head(`footprint at ${write(card.depthM, 'depth', { decimals: 1 })}`),
              head('depth offset'),
            ],
            ...transducerRows(card, write),
          ],
        },
      },
      ...ringLines(card, write),
      { svg: sectionSvg(sectionAt(plan, card.depthM), units, widths[paper], 250), margin: [0, 10, 0, 8] },
      words(open.length ? 'Not settled' : 'Everything on this card is fresh.', { bold: true, margin: [0, 12, 0, 2] }),
      ...(open.length ? [{ ul: open.map((line) => words(line, { fontSize: 9 })) }] : []),
      words('Cautions', { bold: true, margin: [0, 8, 0, 2] }),
      { ul: cardCautions.map((line) => words(line, { fontSize: 9 })) },
      // Cautions and what is not settled stand on the first sheet, whatever the stations need.
      ...card.stations.map(stationBlock),
    ],
  };
};

pdfmake.addFonts(fonts);
// Only our own font files are read, and nothing is fetched, whatever a document holds.
pdfmake.setLocalAccessPolicy((path: string) => Object.values(fonts).some((face) => Object.values(face).includes(path)));
pdfmake.setUrlAccessPolicy(() => false);

/** The dash card as a PDF, with the section as vectors. */
export const cardPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> =>
  pdfmake.createPdf(cardDocument(plan, options)).getBuffer();
