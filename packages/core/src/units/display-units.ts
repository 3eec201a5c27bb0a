import type { Figure, Quantity } from '@grey-keel/model';
import * as z from 'zod';

/** One way of writing a quantity: what SI is multiplied by, then shifted by, and how many decimals serve. */
export interface DisplayUnit {
  readonly symbol: string;
  readonly perSi: number;
  readonly shift: number;
  readonly decimals: number;
  /** What one press of an arrow key changes, in this unit. */
  readonly step: number;
}

const unit = (symbol: string, perSi: number, decimals: number, step: number, shift = 0): DisplayUnit => ({
  symbol,
  perSi,
  shift,
  decimals,
  step,
});

const metre = 1;
/** International foot, fathom, statute and nautical mile: exact by definition (BIPM SI Brochure 2019, NIST SP 811). */
const foot = 0.3048;
const fathom = 6 * foot;
const knot = 1852 / 3600;
const mileAnHour = 1609.344 / 3600;

export const lengthUnits = { m: unit('m', 1 / metre, 2, 0.01), ft: unit('ft', 1 / foot, 2, 0.05) } as const;
export const depthUnits = {
  m: unit('m', 1 / metre, 2, 0.1),
  ft: unit('ft', 1 / foot, 1, 0.5),
  fathom: unit('fm', 1 / fathom, 2, 0.1),
} as const;
export const speedUnits = {
  kn: unit('kn', 1 / knot, 1, 0.5),
  mph: unit('mph', 1 / mileAnHour, 1, 0.5),
  kmh: unit('km/h', 3.6, 1, 0.5),
} as const;
/** Of a fish, a sinker, a lure: stored in centimetres. */
export const fishUnits = { m: unit('cm', 1, 0, 1), ft: unit('in', 1 / 2.54, 1, 0.5) } as const;
export const temperatureUnits = { C: unit('°C', 1, 1, 0.1), F: unit('°F', 1.8, 1, 0.2, 32) } as const;

export const unitChoiceSchema = z.strictObject({
  length: z.enum(['m', 'ft']),
  depth: z.enum(['m', 'ft', 'fathom']),
  speed: z.enum(['kn', 'mph', 'kmh']),
  temperature: z.enum(['C', 'F']),
});
export type UnitChoice = Readonly<z.output<typeof unitChoiceSchema>>;

/** The sets one switch goes through. */
export const unitSets = {
  metric: { length: 'm', depth: 'm', speed: 'kn', temperature: 'C' },
  feet: { length: 'ft', depth: 'ft', speed: 'kn', temperature: 'F' },
  fathoms: { length: 'ft', depth: 'fathom', speed: 'kn', temperature: 'F' },
  // On lakes, where nobody counts in knots.
  miles: { length: 'ft', depth: 'ft', speed: 'mph', temperature: 'F' },
  kilometres: { length: 'm', depth: 'm', speed: 'kmh', temperature: 'C' },
} as const satisfies Record<string, UnitChoice>;

const fixed: Partial<Record<Quantity, DisplayUnit>> = {
  soundSpeed: unit('m/s', 1, 1, 1),
  frequency: unit('kHz', 1e-3, 0, 5),
  angle: unit('°', 1, 1, 0.5),
  salinity: unit('ppt', 1, 1, 0.5),
  level: unit('dB', 1, 1, 1),
  absorption: unit('dB/km', 1, 1, 1),
  duration: unit('ms', 1000, 1, 0.1),
  rate: unit('/s', 1, 1, 1),
  voltage: unit('V', 1, 1, 0.1),
  current: unit('A', 1, 1, 0.5),
  charge: unit('Ah', 1, 0, 5),
  resistance: unit('mohm', 1000, 1, 0.5),
  hours: unit('h', 1, 1, 0.5),
  wait: unit('s', 1, 0, 10),
  fraction: unit('%', 100, 1, 1),
  visualAngle: unit('′', 1, 1, 1),
  digitHeight: unit('mm', 1000, 1, 0.1),
  pixels: unit('px', 1, 0, 1),
  power: unit('W', 1, 0, 10),
  count: unit('', 1, 0, 1),
};

/** The unit a quantity is shown in under a choice of units. */
export const unitFor = (quantity: Quantity, choice: UnitChoice): DisplayUnit => {
  switch (quantity) {
    case 'length':
      return lengthUnits[choice.length];
    case 'depth':
      return depthUnits[choice.depth];
    case 'fishLength':
      return fishUnits[choice.length];
    case 'speed':
      return speedUnits[choice.speed];
    case 'temperature':
      return temperatureUnits[choice.temperature];
    case 'pixelSize':
      return choice.length === 'm' ? unit('m/px', 1, 2, 0.01) : unit('ft/px', 1 / foot, 2, 0.01);
    case 'temperatureDifference':
      return { ...temperatureUnits[choice.temperature], shift: 0 };
    case 'area':
      return choice.length === 'm' ? unit('m²', 1, 1, 1) : unit('ft²', 1 / (foot * foot), 0, 1);
    default:
      return fixed[quantity] ?? unit('', 1, 2, 1);
  }
};

export const toDisplay = (value: number, shown: DisplayUnit): number => value * shown.perSi + shown.shift;
export const toSi = (value: number, shown: DisplayUnit): number => (value - shown.shift) / shown.perSi;

const minus = '\u2212';

/** A number as it is printed: fixed decimals, a true minus sign, never "-0". */
export const formatNumber = (value: number, decimals: number, signed = false): string => {
  const text = Math.abs(value).toFixed(decimals);
  const zero = Number(text) === 0;
  if (zero) return text;
  return (value < 0 ? minus : signed ? '+' : '') + text;
};

export interface FormatOptions {
  readonly decimals?: number;
  /** At most so many figures, the rest as noughts: for what is not known any closer. */
  readonly figures?: number;
  /** Writes a plus before what is added. */
  readonly signed?: boolean;
}

/** A number with its unit, as it is printed everywhere. */
export const formatFigure = (figure: Figure, choice: UnitChoice, options: FormatOptions = {}): string => {
  const shown = unitFor(figure.quantity, choice);
  const value = toDisplay(figure.value, shown);
  const { decimals = shown.decimals, figures, signed = false } = options;
  const rounded = figures === undefined ? value : Number(value.toPrecision(figures));
  // As many decimals as those figures have room for.
  const room =
    figures === undefined || value === 0 ? decimals : figures - 1 - Math.floor(Math.log10(Math.abs(rounded)));
  const number = formatNumber(rounded, Math.max(0, Math.min(decimals, room)), signed);
  const gap = ['°', '′', ''].includes(shown.symbol) ? '' : '\u00a0';
  return `${number}${gap}${shown.symbol}`;
};
