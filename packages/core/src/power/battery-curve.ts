import type { Battery } from '@grey-keel/model';
import { scaleLinear } from 'd3-scale';

/** Voltage of one cell at rest by what is left in it. */
type Curve = readonly (readonly [left: number, volts: number])[];

/** In round figures as sheets print them for the kinds of cell. */
const leadAcid: Curve = [
  [0, 11.6 / 6],
  [0.25, 12 / 6],
  [0.5, 12.2 / 6],
  [0.75, 12.4 / 6],
  [1, 12.7 / 6],
];
/** Iron phosphate: four cells, nominally 12.8 V, rest near 13.4 V when full. */
const flat: Curve = [
  [0, 10 / 4],
  [0.1, 12.6 / 4],
  [0.2, 12.9 / 4],
  [0.3, 13 / 4],
  [0.7, 13.2 / 4],
  [0.9, 13.3 / 4],
  [1, 13.4 / 4],
];
/** Nickel, manganese, cobalt and their like. */
const sloping: Curve = [
  [0, 3],
  [0.1, 3.45],
  [0.2, 3.55],
  [0.4, 3.63],
  [0.6, 3.77],
  [0.8, 3.95],
  [1, 4.15],
];

export type Pack = Pick<Battery, 'chemistry' | 'curve' | 'nominalV' | 'cells'>;

/** Nominal voltage of one cell of each kind. */
const cellV = { 'lead-acid': 2, flat: 3.2, sloping: 3.65 } as const;

/** "12 V" of iron phosphate is four cells, whatever is printed on it: such packs come in blocks of four for each 12 V. */
const blockV = 12;

/** What kind of cell a pack is of; the flat lithium curve where nothing else was said. */
export const cellKindOf = ({ chemistry, curve }: Pick<Pack, 'chemistry' | 'curve'>): keyof typeof cellV =>
  chemistry === 'lead-acid' ? 'lead-acid' : (curve ?? 'flat');

/** Cells in a row: as counted, else those that the nominal voltage stands for, at least one. */
export const cellsOf = (pack: Pack): number => {
  if (pack.cells != null) return pack.cells;
  const kind = cellKindOf(pack);
  const blocks = pack.nominalV / blockV;
  if (kind === 'flat' && Math.abs(blocks - Math.round(blocks)) < 0.02) return 4 * Math.round(blocks);
  return Math.max(1, Math.round(pack.nominalV / cellV[kind]));
};

const curves = { 'lead-acid': leadAcid, flat, sloping } as const;

/** Voltage of a battery at rest with a share of it left, 0 to 1; an empty one's beyond. */
export const restVoltageV = (pack: Pack, left: number): number => {
  const points = curves[cellKindOf(pack)];
  const perCell = scaleLinear(
    points.map(([share]) => share),
    points.map(([, volts]) => volts),
  ).clamp(true);
  return cellsOf(pack) * perCell(left);
};

/** How much is left of a battery that rests at a voltage, 0 to 1: the other way round, since every curve only falls. */
export const leftAtRestVoltage = (pack: Pack, volts: number): number => {
  const points = curves[cellKindOf(pack)];
  const left = scaleLinear(
    points.map(([, perCell]) => perCell),
    points.map(([share]) => share),
  ).clamp(true);
  return left(volts / cellsOf(pack));
};

/** How much of a battery a day may take without wearing it: half of lead-acid, four fifths of lithium. Round figures. */
export const bearsShare = { 'lead-acid': 0.5, lithium: 0.8 } as const;
