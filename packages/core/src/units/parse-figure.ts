import type { Quantity } from '@grey-keel/model';
import {
  depthUnits,
  fishUnits,
  lengthUnits,
  speedUnits,
  temperatureUnits,
  toSi,
  unitFor,
  type DisplayUnit,
  type UnitChoice,
} from './display-units.ts';

export type ParsedFigure = { ok: true; value: number } | { ok: false; message: string };

const inch: DisplayUnit = { ...lengthUnits.ft, perSi: 12 * lengthUnits.ft.perSi };

const metricLengths: Record<string, DisplayUnit> = {
  m: lengthUnits.m,
  metre: lengthUnits.m,
  metres: lengthUnits.m,
  meter: lengthUnits.m,
  meters: lengthUnits.m,
  cm: { ...lengthUnits.m, perSi: 100 },
  mm: { ...lengthUnits.m, perSi: 1000 },
  ft: lengthUnits.ft,
  feet: lengthUnits.ft,
  foot: lengthUnits.ft,
  "'": lengthUnits.ft,
  in: inch,
  inch: inch,
  inches: inch,
  '"': inch,
  fm: depthUnits.fathom,
  fathom: depthUnits.fathom,
  fathoms: depthUnits.fathom,
};

const written: Partial<Record<Quantity, Record<string, DisplayUnit>>> = {
  length: metricLengths,
  depth: metricLengths,
  // In centimetres.
  fishLength: {
    cm: fishUnits.m,
    mm: { ...fishUnits.m, perSi: 10 },
    in: fishUnits.ft,
    inch: fishUnits.ft,
    inches: fishUnits.ft,
    '"': fishUnits.ft,
  },
  speed: {
    kn: speedUnits.kn,
    kt: speedUnits.kn,
    kts: speedUnits.kn,
    knot: speedUnits.kn,
    knots: speedUnits.kn,
    mph: speedUnits.mph,
    'km/h': speedUnits.kmh,
    'm/s': { ...speedUnits.kmh, perSi: 1 },
  },
  temperature: {
    c: temperatureUnits.C,
    '°c': temperatureUnits.C,
    f: temperatureUnits.F,
    '°f': temperatureUnits.F,
  },
};

/** Two units of one length written after each other: 20'6", 20 ft 6 in, 6 fm 2 ft. The second is less than one of the first. */
const compound =
  /^([+\-\u2212]?)(\d+)\s*(fathoms|fathom|fm|feet|foot|ft|['\u2019\u2032])\s*(\d+(?:[.,]\d+)?)\s*(feet|foot|ft|inches|inch|in|['\u2019\u2032]|["\u201d\u2033])?$/i;
const compounds = {
  fathom: { whole: depthUnits.fathom, part: lengthUnits.ft, parts: 6, words: /^(feet|foot|ft|['\u2019\u2032])$/i },
  foot: { whole: lengthUnits.ft, part: inch, parts: 12, words: /^(inches|inch|in|["\u201d\u2033])$/i },
} as const;

/** What two units after each other say, metres; null where the text is not so written, NaN where its second part is none. */
const compoundM = (text: string): number | null => {
  const [, sign = '', whole = '', unit = '', rest = '', part] = compound.exec(text) ?? [];
  if (whole === '') return null;
  const of = /^f(m|ath)/i.test(unit) ? compounds.fathom : compounds.foot;
  const value = Number(rest.replace(',', '.'));
  // After feet a bare figure is inches, as carpenters write it.
  if (part === undefined ? of === compounds.fathom : !of.words.test(part)) return Number.NaN;
  if (value >= of.parts) return Number.NaN;
  const sum = toSi(Number(whole), of.whole) + toSi(value, of.part);
  return sign === '' || sign === '+' ? sum : -sum;
};

const plain = /^[+\-\u2212]?(\d+\.?\d*|\.\d+)$/;

/**
 * Reads what a person types for a quantity, with or without a unit: "12,5", "12.5 m", "41 ft", 20'6", "6 fm 2 ft".
 * A comma before anything but three digits is a decimal comma; before three it could be either and is asked about.
 */
export const parseFigure = (text: string, quantity: Quantity, choice: UnitChoice): ParsedFigure => {
  const shown = unitFor(quantity, choice);
  const trimmed = text.trim().replace(/\u00a0/g, ' ');
  const match = /^([+\-\u2212]?[\d.,]+)\s*(.*)$/.exec(trimmed);
  const digits = match?.[1];
  const example = `a number such as ${(12.5).toFixed(1)}${shown.symbol ? ' ' + shown.symbol : ''}`;
  if (quantity === 'length' || quantity === 'depth') {
    const metres = compoundM(trimmed);
    if (metres !== null && Number.isNaN(metres))
      return { ok: false, message: `"${trimmed}" is no length of two units. Write 20 ft 6 in, or 6 fm 2 ft.` };
    if (metres !== null) return { ok: true, value: metres };
  }
  if (!digits) return { ok: false, message: `"${trimmed}" is not a number. Write ${example}.` };

  let number = digits;
  if (digits.includes(',')) {
    // Nobody writes a thousand with a nought in front: "0,455" is a fraction.
    if (/^[+\-\u2212]?[1-9]\d{0,2}(,\d{3})+$/.test(digits))
      return {
        ok: false,
        message: `"${digits}" can be read two ways. Write ${digits.replace(/,/g, '')} or ${digits.replace(',', '.')}.`,
      };
    if (digits.includes('.') || digits.split(',').length > 2)
      return { ok: false, message: `"${digits}" has too many points and commas. Write ${example}.` };
    number = digits.replace(',', '.');
  }
  if (!plain.test(number)) return { ok: false, message: `"${digits}" is not a number. Write ${example}.` };
  const value = Number(number.replace('\u2212', '-'));

  const suffix = (match[2] ?? '').trim().toLowerCase();
  if (suffix === '' || suffix === shown.symbol.toLowerCase()) return { ok: true, value: toSi(value, shown) };
  const other = written[quantity]?.[suffix];
  if (!other)
    return {
      ok: false,
      message: `"${suffix}" is no unit for this. Write ${example}.`,
    };
  return { ok: true, value: toSi(value, other) };
};
