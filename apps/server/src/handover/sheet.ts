import {
  agroundInWords,
  cardCautions,
  correctionInWords,
  deviationInWords,
  enteredAboard,
  formatFigure,
  formatSentence,
  type Card,
  type CardTransducer,
  type FormatOptions,
  type UnitChoice,
} from '@grey-keel/core';
import type { Plan, Quantity } from '@grey-keel/model';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { fontFor } from './fonts.ts';
import { seriesColour } from './section-svg.ts';

export interface PrintOptions {
  readonly units: UnitChoice;
  readonly paper: 'A4' | 'LETTER';
  readonly at: Date;
  readonly revision: number;
  /** Of a practice copy: what stands on it holds for no boat. */
  readonly practice?: boolean;
}

/** Points across a sheet between its margins. */
export const sheetWidths = { A4: 595 - 2 * 40, LETTER: 612 - 2 * 40 } as const;
const wanting = 'not known';

export const words = (text: string, more: object = {}): Content => ({ text, font: fontFor(text), ...more });
export const figures = (text: string, more: object = {}): Content => ({ text, font: 'Figures', ...more });

export const writer =
  (units: UnitChoice) =>
  (value: number | null, quantity: Quantity, options: FormatOptions = {}): string =>
    value === null ? wanting : formatFigure({ value, quantity }, units, options);
export type Write = ReturnType<typeof writer>;

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

export const ringLines = (card: Card, write: Write): Content[] =>
  card.ring
    ? [
        words(
          `A mark in ${card.ring.wide} only lies ${write(card.ring.nearestM, 'length')} to ${write(card.ring.farthestM, 'length')} from ${card.ring.narrow}: move that far to have it straight below. A strong mark in both is nearly below.`,
          { margin: [0, 6, 0, 0] },
        ),
      ]
    : [];

export const agroundLines = (card: Card, units: UnitChoice, fontSize = 10): Content[] =>
  card.transducers.flatMap(({ name, offset }) =>
    offset?.state === 'fresh'
      ? [words(`${name}: ${formatSentence(agroundInWords(offset.aground), units)}`, { bold: true, fontSize })]
      : [],
  );

/** Courses of a deviation table beside each other, and below each other. */
const coursesAcross = 6;

/** What no display takes and is corrected by hand: lines, and of each compass what to steer. */
export const correctionLines = ({ corrections }: Card, units: UnitChoice, fontSize = 9): Content[] => {
  if (!corrections) return [];
  const late = ({ state }: { readonly state: string }): string => (state === 'stale' ? ' OUT OF DATE.' : '');
  const degrees = (deg: number): string => `${String(deg).padStart(3, '0')}\u00b0`;
  return [
    ...corrections.lines.map((line) =>
      words(`${formatSentence(correctionInWords(line), units)}${late(line)}`, { fontSize, margin: [0, 2, 0, 0] }),
    ),
    ...corrections.deviations.flatMap((table): Content[] => {
      const down = table.courses.length / coursesAcross;
      return [
        words(`${deviationInWords(table)}.${late(table)}`, { fontSize, bold: true, margin: [0, 4, 0, 2] }),
        {
          layout: 'lightHorizontalLines',
          table: {
            body: Array.from({ length: down }, (_, row) =>
              Array.from({ length: coursesAcross }, (__, column): TableCell => {
                const { magneticDeg = 0, compassDeg = 0 } = table.courses[column * down + row] ?? {};
                return words(`${degrees(magneticDeg)}: ${degrees(compassDeg)}`, { fontSize, margin: [0, 0, 10, 0] });
              }),
            ),
          },
        },
      ];
    }),
  ];
};

/** What was entered on which instrument, when and by whom. */
export const enteredLines = (plan: Plan, units: UnitChoice): Content[] => {
  const lines = enteredAboard(plan).map(({ of, value, state, at, by, seenAgainAt, held }) => {
    const seen = seenAgainAt
      ? `seen again after power off ${onDay.format(new Date(seenAgainAt))}`
      : 'not seen again yet';
    const told = [
      onDay.format(new Date(at)),
      ...(by ? [`by ${by}`] : []),
      ...(held && state === 'fresh' ? [seen] : []),
    ];
    return `${of}: ${formatSentence(value, units)}, ${told.join(', ')}${state === 'stale' ? '; OUT OF DATE' : ''}.`;
  });
  if (lines.length === 0) return [];
  return [
    words('Entered on the instruments', { bold: true, margin: [0, 6, 0, 2] }),
    { ul: lines.map((line) => words(line, { fontSize: 9 })) },
  ];
};

/** The title of a column. */
export const head = (text: string, alignment: 'left' | 'right' = 'right'): TableCell =>
  words(text, { fontSize: 8, alignment });

/** What the water is and how fast sound travels in it, in one sentence. */
export const boatLine = ({ boat, water }: Card, write: Write): string => {
  const inWater = water
    ? `${water.name}: ${write(water.temperatureC, 'temperature')}, ${write(water.salinityPpt, 'salinity')}, sound at ${write(water.soundSpeedMps, 'soundSpeed')}`
    : 'The water is not described';
  return `Length ${write(boat.lengthM, 'length')}, draught ${write(boat.draughtM, 'length')}. ${inWater}.`;
};

/** The transducers with their cones, footprints and offsets. */
export const transducerTable = (card: Card, write: Write): Content => ({
  margin: [0, 6, 0, 0],
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
});

export const cautions = (): Content[] => [
  words('Cautions', { bold: true, margin: [0, 8, 0, 2] }),
  { ul: cardCautions.map((line) => words(line, { fontSize: 9 })) },
];

const onDay = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** The time as the clock on the wall has it where it is printed. */
const printedAt = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Paper, margins, type and the line at the foot that every printed sheet has. */
export const sheet = (
  title: string,
  { paper, at, revision, practice = false }: PrintOptions,
  content: Content[],
): TDocumentDefinitions => ({
  pageSize: paper,
  pageMargins: [40, 36, 40, 44],
  ...(practice
    ? {
        header: words('PRACTICE COPY. No figure here is of a real boat: do not put it aboard.', {
          bold: true,
          color: '#B3271B',
          margin: [40, 14, 40, 0],
        }),
      }
    : {}),
  defaultStyle: { font: 'Archivo', fontSize: 10, color: '#1D272D' },
  info: { title },
  footer: (page, pages) =>
    words(`Grey Keel, revision ${revision}, printed ${printedAt.format(at)}, page ${page} of ${pages}`, {
      fontSize: 8,
      margin: [40, 12, 40, 0],
    }),
  content,
});
