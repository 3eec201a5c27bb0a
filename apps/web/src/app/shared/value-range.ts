import { formatNumber, toDisplay, type DisplayUnit } from '@grey-keel/core/units';
import * as z from 'zod';

interface Limits {
  readonly minimum?: number;
  readonly maximum?: number;
  readonly anyOf?: readonly Limits[];
}

/** The bounds a number's schema sets, in SI, or null where it sets none. */
export const limitsOf = (schema: z.ZodType): { low: number; high: number } | null => {
  const json = z.toJSONSchema(schema, { io: 'input' }) as Limits;
  const numeric = json.anyOf?.find(({ maximum }) => maximum !== undefined) ?? json;
  return numeric.minimum === undefined || numeric.maximum === undefined
    ? null
    : { low: numeric.minimum, high: numeric.maximum };
};

const trimmed = (value: number, decimals: number): string => {
  const text = formatNumber(value, decimals);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** What to write instead of a value out of range, in the unit shown. */
export const rangeInWords = ({ low, high }: { low: number; high: number }, shown: DisplayUnit): string => {
  const unit = shown.symbol === '°' ? '°' : shown.symbol ? ` ${shown.symbol}` : '';
  return `${trimmed(toDisplay(low, shown), 2)} to ${trimmed(toDisplay(high, shown), 2)}${unit}`;
};
