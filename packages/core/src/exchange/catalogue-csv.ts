import {
  mountings,
  sonarKinds,
  transducerEntrySchema,
  type CatalogueItem,
  type TransducerEntry,
} from '@grey-keel/model';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { fieldErrors } from '../calculation/field-errors.ts';

/** The columns of a catalogue as CSV: one row a beam; rows of one name are one element. */
export const csvColumns = [
  { key: 'name', title: 'name', wanted: true, says: 'what it is called' },
  { key: 'kind', title: 'kind', wanted: false, says: `${sonarKinds.join(', ')}; sounder where empty` },
  { key: 'frequencyKHz', title: 'frequency_khz', wanted: true, says: 'middle of the band' },
  { key: 'bandKHz', title: 'band_khz', wanted: false, says: 'width of the chirp; empty for one frequency' },
  { key: 'coneDeg', title: 'cone_deg', wanted: true, says: 'full cone; for a fan the wide width' },
  { key: 'levelDb', title: 'level_db', wanted: true, says: 'where the cone is measured: -3 or -10' },
  { key: 'alongDeg', title: 'along_deg', wanted: false, says: 'for a fan the narrow width' },
  { key: 'sourceLevelDb', title: 'source_level_db', wanted: false, says: 're 1 µPa at 1 m' },
  { key: 'apertureMm', title: 'aperture_mm', wanted: false, says: 'diameter of the face' },
  { key: 'powerW', title: 'power_w', wanted: false, says: 'electrical' },
  { key: 'efficiencyPercent', title: 'efficiency_percent', wanted: false, says: 'sound out for power in' },
  { key: 'constant', title: 'constant_cone', wanted: false, says: 'yes where the cone is the same over the band' },
  {
    key: 'mountings',
    title: 'mountings',
    wanted: true,
    says: `one or more of ${mountings.join(', ')}, with / between`,
  },
  { key: 'temperature', title: 'temperature_sensor', wanted: false, says: 'none, built in, on a lead' },
  { key: 'socket', title: 'socket', wanted: false, says: 'its plug' },
] as const;
export type CsvKey = (typeof csvColumns)[number]['key'];

/** A file to fill in, with one row as an example. */
export const csvTemplate = (): string =>
  [
    csvColumns.map(({ title }) => title).join(','),
    'Example wide 150,sounder,150,,22,-3,,,26,600,50,no,transom / through-hull,built in,"round S"',
  ].join('\n') + '\n';

const plain = (title: string): string => title.toLowerCase().replace(/[^a-z0-9]/g, '');

/** Which column of a file is which, by its title; null for what has none. */
export const guessColumns = (titles: readonly string[]): Record<CsvKey, number | null> => {
  const found = csvColumns.map(({ key, title }) => {
    const at = titles.findIndex((one) => plain(one) === plain(title) || plain(one) === plain(key));
    return [key, at < 0 ? null : at];
  });
  return Object.fromEntries(found) as Record<CsvKey, number | null>;
};

/** What is wrong in one cell: rows count as a person counts lines, the titles being line 1. */
export interface CsvFault {
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

export interface CsvCatalogue {
  readonly items: readonly { readonly id: string; readonly item: CatalogueItem }[];
  readonly faults: readonly CsvFault[];
}

const titleOf = (key: CsvKey): string => csvColumns.find((one) => one.key === key)?.title ?? key;

/** Which column a field of the schema came from. */
const columnOf: Readonly<Record<string, CsvKey>> = {
  name: 'name',
  kind: 'kind',
  frequencyHz: 'frequencyKHz',
  bandwidthHz: 'bandKHz',
  beamwidthDeg: 'coneDeg',
  levelDb: 'levelDb',
  alongDeg: 'alongDeg',
  sourceLevelDb: 'sourceLevelDb',
  apertureM: 'apertureMm',
  electricalPowerW: 'powerW',
  efficiency: 'efficiencyPercent',
  mountings: 'mountings',
  temperatureSensor: 'temperature',
  socket: 'socket',
};

/** A name of which nothing but case and blanks is lost in its id. */
const plainName = /^[a-z0-9]+( [a-z0-9]+)*$/;
const longestPlain = 40;
const longestStem = 30;

/**
 * The id of a name, in any script and of any length: what can be read of it, and where that is not all of it, a piece of
 * its SHA-256, so that two names never share an id. Names are the same whatever their case, and blanks about them.
 */
export const idOfName = (name: string): string => {
  const same = name.normalize('NFC').trim().toLowerCase().replace(/\s+/g, ' ');
  const stem = same
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  if (plainName.test(same) && same.length <= longestPlain) return `own-${stem}`;
  const piece = bytesToHex(sha256(utf8ToBytes(same))).slice(0, 10);
  return ['own', stem.slice(0, longestStem).replace(/-+$/, ''), piece].filter((part) => part !== '').join('-');
};

interface Row {
  readonly line: number;
  readonly item: TransducerEntry;
}

/** One row as an entry of one beam, or what is wrong with it. */
const readRow = (
  cells: readonly string[],
  line: number,
  columns: Readonly<Record<CsvKey, number | null>>,
  faults: CsvFault[],
): Row | null => {
  const before = faults.length;
  const cell = (key: CsvKey): string => {
    const at = columns[key];
    return at === null ? '' : (cells[at] ?? '').trim();
  };
  const fault = (key: CsvKey, message: string): void => {
    faults.push({ row: line, column: titleOf(key), message });
  };
  const number = (key: CsvKey, times: number): number | null => {
    const text = cell(key).replace(',', '.');
    if (text === '') return null;
    const value = Number(text);
    // Without the last bits that a change of unit adds.
    if (Number.isFinite(value)) return Number((value * times).toPrecision(12));
    fault(key, `"${cell(key)}" is no number.`);
    return null;
  };
  for (const { key, wanted } of csvColumns) if (wanted && cell(key) === '') fault(key, 'This cell is empty.');
  const raw = {
    type: 'transducer',
    element: {
      name: cell('name'),
      kind: cell('kind').toLowerCase() || 'sounder',
      beams: [
        {
          frequencyHz: number('frequencyKHz', 1000),
          bandwidthHz: number('bandKHz', 1000),
          beamwidthDeg: number('coneDeg', 1),
          levelDb: number('levelDb', 1),
          alongDeg: number('alongDeg', 1),
          sourceLevelDb: number('sourceLevelDb', 1),
        },
      ],
      apertureM: number('apertureMm', 0.001),
      constantBeamwidth: /^(yes|true|1)$/i.test(cell('constant')),
      electricalPowerW: number('powerW', 1),
      efficiency: number('efficiencyPercent', 0.01),
    },
    mountings: cell('mountings')
      .split('/')
      .map((one) => one.trim().toLowerCase())
      .filter((one) => one !== ''),
    temperatureSensor: cell('temperature').toLowerCase() || 'none',
    socket: cell('socket'),
  };
  if (faults.length > before) return null;
  const parsed = transducerEntrySchema.safeParse(raw);
  if (parsed.success) return { line, item: parsed.data };
  for (const error of fieldErrors(parsed.error, transducerEntrySchema)) {
    const field = error.field.split(/[^A-Za-z]+/).find((part) => part in columnOf) ?? '';
    const key = columnOf[field] ?? 'name';
    fault(key, `${error.message}${error.range === '' ? '' : ` Range: ${error.range}, in the unit it is stored in.`}`);
  }
  return null;
};

/**
 * Reads a catalogue from rows of cells, the first being the titles. Every bad cell is named by its line and column; a
 * good row is kept though others are bad, and nothing is imported by this.
 */
export const readCatalogueCsv = (
  rows: readonly (readonly string[])[],
  columns: Readonly<Record<CsvKey, number | null>> = guessColumns(rows[0] ?? []),
  progress: (share: number) => void = () => undefined,
): CsvCatalogue => {
  const faults: CsvFault[] = [];
  const elements = new Map<string, TransducerEntry>();
  const missing = csvColumns.filter(({ key, wanted }) => wanted && columns[key] === null);
  for (const { title } of missing)
    faults.push({ row: 1, column: title, message: 'No column of the file is chosen for it.' });
  if (missing.length > 0) return { items: [], faults };
  const body = rows.slice(1);
  body.forEach((cells, i) => {
    if (i % 250 === 0) progress(i / body.length);
    if (cells.every((one) => one.trim() === '')) return;
    const row = readRow(cells, i + 2, columns, faults);
    if (!row) return;
    const id = idOfName(row.item.element.name);
    const before = elements.get(id);
    if (!before) elements.set(id, row.item);
    else if (before.element.beams.length >= 6)
      faults.push({ row: row.line, column: titleOf('name'), message: 'An element has six beams at most.' });
    else
      elements.set(id, {
        ...before,
        element: { ...before.element, beams: [...before.element.beams, ...row.item.element.beams] },
      });
  });
  progress(1);
  return { items: [...elements].map(([id, item]) => ({ id, item })), faults };
};
