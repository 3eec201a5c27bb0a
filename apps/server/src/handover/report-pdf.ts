import { cardOf, sectionAt, whoseBoat } from '@grey-keel/core';
import type { Plan } from '@grey-keel/model';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { openLines } from './open-lines.ts';
import { countedPdf } from './pdf.ts';
import { sectionSvg } from './section-svg.ts';
import {
  agroundLines,
  boatLine,
  cautions,
  correctionLines,
  enteredLines,
  ringLines,
  sheet,
  sheetWidths,
  transducerTable,
  words,
  writer,
  type PrintOptions,
} from './sheet.ts';

/** The report is one sheet: of long notes so much is printed, the rest is in the program. */
const mostOfNotes = 400;

/** The report: the boat's figures, section, stations and what is not settled, of which at most so many lines. */
const reportDocument = (plan: Plan, options: PrintOptions, mostOpen: number): TDocumentDefinitions => {
  const card = cardOf(plan);
  const { units, paper } = options;
  const write = writer(units);
  const open = openLines(plan, units);
  const left = open.length - mostOpen;
  const listed = left > 0 ? [...open.slice(0, mostOpen), `And ${left} more, in the program.`] : open;
  const stations: Content[] = card.stations.map(({ name, display, pages, keys }) =>
    words(
      `${name}, ${display}: ${pages.map((page) => page.name).join(', ') || 'no page yet'}; ${keys.filter(({ short, long }) => short || long).length} of ${keys.length} keys set.`,
      { fontSize: 9 },
    ),
  );
  return sheet(`${plan.boat.name}: report`, options, [
    words(card.boat.name, { fontSize: 22, bold: true }),
    words(boatLine(card, write), { margin: [0, 2, 0, 6] }),
    ...[whoseBoat(plan.boat), plan.boat.notes.slice(0, mostOfNotes)]
      .filter((text) => text !== '')
      .map((text) => words(text)),
    ...agroundLines(card, units),
    transducerTable(card, write),
    ...ringLines(card, write),
    ...correctionLines(card, units),
    ...enteredLines(plan, units),
    { svg: sectionSvg(sectionAt(plan, card.depthM), units, sheetWidths[paper], 210), margin: [0, 8, 0, 6] },
    ...stations,
    words(open.length ? 'Not settled' : 'Everything on this report is fresh.', { bold: true, margin: [0, 8, 0, 2] }),
    ...(listed.length ? [{ ul: listed.map((line) => words(line, { fontSize: 9 })) }] : []),
    ...cautions(),
  ]);
};

/** The report as a PDF of one sheet: as many open points as fit, the rest counted. */
export const reportPdf = async (plan: Plan, options: PrintOptions): Promise<Buffer> => {
  for (let mostOpen = 40; ; mostOpen -= 2) {
    const { sheets, buffer } = await countedPdf(reportDocument(plan, options, mostOpen));
    if (sheets <= 1 || mostOpen <= 0) return buffer;
  }
};
