import * as z from 'zod';
import type { Quantity } from '../units/quantity.ts';

/** What is said of a field wherever it is shown, asked about, or named in a message. Its range is in its schema. */
export interface FieldWords {
  readonly label: string;
  /** What its number measures; the number itself is SI. Left out for what is no measure. */
  readonly quantity?: Quantity;
  /** Where it is shown with other decimals than its unit usually has. */
  readonly decimals?: number;
  /** Where a plus is part of what it says. */
  readonly signed?: boolean;
  /** What it is for the calculation it belongs to: what may be off by how much, or what is set in a device meanwhile. */
  readonly role?: 'tolerance' | 'set';
}

/** The words of the fields, on their schemas. Apart from Zod's own registry, so that published schemas stay as they are. */
export const fieldWords = z.registry<FieldWords>();

/** The schema a wrapper stands around: of an optional, a nullable or a defaulted one. */
const within = (schema: z.core.$ZodType): z.core.$ZodType | null =>
  schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault
    ? schema.def.innerType
    : null;

/** What is said of a field, by its schema, which may be wrapped as optional or nullable; null where nothing is. */
export const wordsOf = (schema: z.core.$ZodType): FieldWords | null => {
  for (let at: z.core.$ZodType | null = schema; at; at = within(at)) {
    const words = fieldWords.get(at);
    if (words) return words;
  }
  return null;
};

const stepInto = (schema: z.core.$ZodType, key: string | number): z.core.$ZodType | null => {
  let at = schema;
  for (let inner = within(at); inner; inner = within(at)) at = inner;
  if (at instanceof z.ZodObject) return (at.shape as Record<string, z.core.$ZodType>)[key] ?? null;
  if (at instanceof z.ZodRecord) return at.valueType;
  if (at instanceof z.ZodArray) return at.element;
  if (at instanceof z.ZodUnion)
    return at.options.map((option) => stepInto(option, key)).find((found) => found !== null) ?? null;
  return null;
};

/** The schema of a place within what a schema describes; null where it describes none. */
export const schemaAt = (schema: z.core.$ZodType, path: readonly (string | number)[]): z.core.$ZodType | null => {
  let at: z.core.$ZodType | null = schema;
  for (const key of path) at = at && stepInto(at, key);
  return at;
};
