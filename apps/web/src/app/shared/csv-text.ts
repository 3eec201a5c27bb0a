import { unparse } from 'papaparse';

/** What a spreadsheet would run as a formula, with whatever stands before it, in narrow and in wide letters. */
const formula = /^[\s\u00a0\u200b]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r]/u;
/** A number below nothing with its unit begins like one and is none. */
const plainNumber = /^[-\u2212]\d+([.,]\d+)?( ?[\p{L}°%]+)?$/u;

const inert = (cell: string): string => (formula.test(cell) && !plainNumber.test(cell) ? `'${cell}` : cell);

/** A table as CSV, in which no cell is run by the spreadsheet that opens it. */
export const csvText = (columns: readonly string[], rows: readonly (readonly string[])[]): string =>
  unparse({ fields: columns.map(inert), data: rows.map((row) => row.map(inert)) });
