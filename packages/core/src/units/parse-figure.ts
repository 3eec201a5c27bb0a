import type { Quantity } from '@grey-keel/model';
import {
  depthUnits,
  lengthUnits,
  speedUnits,
  temperatureUnits,
  toSi,
  unitFor,
  type DisplayUnit,
  type UnitChoice,
} from './display-units.ts';

export type ParsedFigure = { ok: true; value: number } | { ok: false; message: string };

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
  in: { ...lengthUnits.ft, perSi: 12 * lengthUnits.ft.perSi },
  fm: depthUnits.fathom,
  fathom: depthUnits.fathom,
  fathoms: depthUnits.fathom,
};

const written: Partial<Record<Quantity, Record<string, DisplayUnit>>> = {
  length: metricLengths,
  depth: metricLengths,
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

const plain = /^[+\-\u2212]?(\d+\.?\d*|\.\d+)$/;

/**
 * Reads what a person types for a quantity, with or without a unit: "12,5", "12.5 m", "41 ft", "6 fm 2 ft" is not read.
 * A comma before anything but three digits is a decimal comma; before three it could be either and is asked about.
 */
export const parseFigure = (text: string, quantity: Quantity, choice: UnitChoice): ParsedFigure => {
  const shown = unitFor(quantity, choice);
  const trimmed = text.trim().replace(/\u00a0/g, ' ');
  const match = /^([+\-\u2212]?[\d.,]+)\s*(.*)$/.exec(trimmed);
  const digits = match?.[1];
  const example = `a number such as ${(12.5).toFixed(1)}${shown.symbol ? ' ' + shown.symbol : ''}`;
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
