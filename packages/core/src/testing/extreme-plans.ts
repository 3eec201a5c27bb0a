import { planSchema, type Plan } from '@grey-keel/model';
import * as z from 'zod';

type Random = () => number;

/** The ids every collection draws on, so that what refers to something mostly finds it. */
const ids = ['a', 'b', 'c'] as const;

const pick = <T>(random: Random, list: readonly T[]): T => {
  const found = list[Math.floor(random() * list.length)];
  if (found === undefined) throw new Error('There is nothing to pick from.');
  return found;
};

/** The shape of a schema as far as values are made from it. */
interface Shape {
  readonly type: string;
  readonly innerType?: z.ZodType;
  readonly valueType?: z.ZodType;
  readonly element?: z.ZodType;
  readonly options?: readonly z.ZodType[];
  readonly shape?: Readonly<Record<string, z.ZodType>>;
  readonly entries?: Readonly<Record<string, string>>;
  readonly values?: readonly unknown[];
  readonly keyType?: z.ZodType;
}
const shapeOf = (schema: z.ZodType): Shape => schema.def;

/** Least, greatest, or something between: bounds are where formulas break. */
const numberFrom = (schema: z.ZodNumber, random: Random): number => {
  const least = Number.isFinite(schema.minValue) ? Number(schema.minValue) : -1e6;
  const most = Number.isFinite(schema.maxValue) ? Number(schema.maxValue) : 1e6;
  const turn = random();
  const value = turn < 0.3 ? least : turn < 0.6 ? most : least + random() * (most - least);
  return schema.format === 'safeint' ? Math.round(value) : value;
};

const textFrom = (schema: z.ZodString, random: Random): string => {
  for (const text of [
    pick(random, ids),
    '2026-05-01T09:30:00Z',
    'f'.repeat(64),
    `00000000-0000-4000-8000-${Math.floor(1e12 * random())
      .toString()
      .padStart(12, '0')}`,
    `${1 + Math.floor(4 * random())}-long`,
    '127.0.0.1',
    '2026-05-01',
  ])
    if (schema.safeParse(text).success) return text;
  throw new Error('No text fits.');
};

/** A value that a schema takes, at its bounds as often as not. */
export const valueFrom = (schema: z.ZodType, random: Random): unknown => {
  const { type, innerType, valueType, element, options, shape, entries, values, keyType } = shapeOf(schema);
  switch (type) {
    case 'number':
      return numberFrom(schema as z.ZodNumber, random);
    case 'string':
      return textFrom(schema as z.ZodString, random);
    case 'boolean':
      return random() < 0.5;
    case 'literal':
      return pick(random, values ?? []);
    case 'enum':
      return pick(random, Object.values(entries ?? {}));
    case 'nullable':
      return random() < 0.2 ? null : valueFrom(innerType ?? z.null(), random);
    case 'optional':
      return random() < 0.3 ? undefined : valueFrom(innerType ?? z.undefined(), random);
    case 'union':
      return valueFrom(pick(random, options ?? []), random);
    case 'array': {
      const made = Array.from({ length: 1 + Math.floor(2 * random()) }, () => valueFrom(element ?? z.null(), random));
      return made;
    }
    case 'object':
      return Object.fromEntries(
        Object.entries(shape ?? {}).flatMap(([key, one]) => {
          const value = valueFrom(one, random);
          return value === undefined ? [] : [[key, value]];
        }),
      );
    case 'record': {
      const named = shapeOf(keyType ?? z.string()).entries;
      const keys = named
        ? Object.values(named)
        : [...ids, '1-short', '2-long'].filter((id) => keyType?.safeParse(id).success);
      return Object.fromEntries(
        keys.filter(() => random() < 0.6).map((key) => [key, valueFrom(valueType ?? z.null(), random)]),
      );
    }
    default:
      return null;
  }
};

/** A plan the schema allows, with values at its bounds: nothing about it need make sense. */
export const extremePlan = (random: Random): Plan => {
  // What the simulated boat said stands on practice copies alone.
  const value = { ...(valueFrom(planSchema, random) as object), practice: true };
  const parsed = planSchema.safeParse(value);
  if (!parsed.success) throw new Error(JSON.stringify(parsed.error.issues[0]));
  return parsed.data;
};
