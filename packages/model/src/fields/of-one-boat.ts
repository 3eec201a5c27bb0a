import * as z from 'zod';

/** What a copy for another boat begins with in the place of such a part or field; left out where it is left out then. */
export interface OfOneBoat {
  readonly begins?: string | number | object;
}

/**
 * The parts and fields that hold for one boat alone: what was measured on it, entered in its displays or printed, and whose
 * it is. Declared on their schemas, so that a copy cannot forget one.
 */
export const ofOneBoat = z.registry<OfOneBoat>();

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What a schema holds within optional and nullable wrappers, and whether one of them is declared. */
const declared = (
  schema: z.core.$ZodType,
): { readonly inner: z.core.$ZodType; readonly own: OfOneBoat | undefined } => {
  let [inner, own] = [schema, ofOneBoat.get(schema)];
  while (inner instanceof z.ZodOptional || inner instanceof z.ZodNullable) {
    inner = inner.def.innerType;
    own ??= ofOneBoat.get(inner);
  }
  return { inner, own };
};

/** A value as another boat begins with it: without what its schema declares to be of one boat. */
export const forAnotherBoat = (schema: z.core.$ZodType, value: unknown): unknown => {
  const { inner } = declared(schema);
  if (!isRecord(value)) return value;
  if (inner instanceof z.ZodRecord)
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, forAnotherBoat(inner.valueType, one)]));
  if (!(inner instanceof z.ZodObject)) return value;
  const shape = inner.shape as Readonly<Record<string, z.core.$ZodType>>;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, one]) => {
      const field = shape[key];
      if (!field) return [[key, one]];
      const { own } = declared(field);
      if (!own) return [[key, forAnotherBoat(field, one)]];
      return own.begins === undefined ? [] : [[key, own.begins]];
    }),
  );
};
