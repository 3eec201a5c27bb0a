import * as z from 'zod';
import { type Choice, choicesOf } from './choice-field.ts';

/** A schema without what says that it may be missing. */
export const bare = (schema: z.core.$ZodType): z.core.$ZodType =>
  schema instanceof z.ZodOptional || schema instanceof z.ZodNullable ? bare(schema.def.innerType) : schema;

/** The words a schema is one of; none where it is another. */
export const optionsOf = (schema: z.core.$ZodType): string[] => {
  const inner = bare(schema);
  return inner instanceof z.ZodEnum ? inner.options.map(String) : [];
};

/** The words of a schema that is one of several, with an empty one where it may be missing; null for any other. */
export const choicesIn = (schema: z.core.$ZodType): Choice[] | null => {
  const options = optionsOf(schema);
  return options.length === 0
    ? null
    : [...(schema instanceof z.ZodNullable ? [{ value: '', label: 'not said' }] : []), ...choicesOf(options)];
};
