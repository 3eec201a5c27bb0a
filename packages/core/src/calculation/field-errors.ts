import * as z from 'zod';

/** One thing wrong with an input: where, what, and what would do. */
export interface FieldError {
  readonly field: string;
  readonly message: string;
  readonly range: string;
}

interface JsonSchema {
  type?: string | string[];
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  enum?: unknown[];
  const?: unknown;
  properties?: Record<string, JsonSchema>;
  additionalProperties?: JsonSchema | boolean;
  items?: JsonSchema;
  minItems?: number;
  maxItems?: number;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
}

const fieldName = (path: readonly PropertyKey[]): string =>
  path.map((step, i) => (typeof step === 'number' ? `[${step}]` : (i ? '.' : '') + String(step))).join('');

const at = (schema: JsonSchema | undefined, path: readonly PropertyKey[]): JsonSchema | undefined => {
  if (!schema) return undefined;
  const [step, ...rest] = path;
  if (step === undefined) return schema;
  const options = schema.anyOf ?? schema.oneOf;
  if (options) return options.map((option) => at(option, path)).find((found) => found !== undefined);
  if (typeof step === 'number') return at(schema.items, rest);
  const extra = typeof schema.additionalProperties === 'object' ? schema.additionalProperties : undefined;
  return at(schema.properties?.[String(step)] ?? extra, rest);
};

const rangeOf = (schema: JsonSchema | undefined): string => {
  if (!schema) return '';
  const options = schema.anyOf ?? schema.oneOf;
  if (options) return options.map(rangeOf).filter(Boolean).join(' or ');
  if (schema.enum) return schema.enum.map(String).join(', ');
  if (schema.const !== undefined) return JSON.stringify(schema.const);
  const low = schema.minimum ?? schema.exclusiveMinimum;
  const high = schema.maximum ?? schema.exclusiveMaximum;
  const above = schema.exclusiveMinimum !== undefined ? 'above ' : '';
  const below = schema.exclusiveMaximum !== undefined ? 'below ' : '';
  if (low !== undefined && high !== undefined && Math.abs(low) < 9e15 && Math.abs(high) < 9e15)
    return `${above}${low} to ${below}${high}`;
  if (low !== undefined && Math.abs(low) < 9e15) return above ? `above ${low}` : `${low} or more`;
  if (high !== undefined && Math.abs(high) < 9e15) return below ? `below ${high}` : `${high} or less`;
  if (schema.minItems !== undefined && schema.maxItems !== undefined)
    return `${schema.minItems} to ${schema.maxItems} entries`;
  return typeof schema.type === 'string' ? schema.type : '';
};

const flatten = (
  issue: z.core.$ZodIssue,
  base: PropertyKey[] = [],
): { issue: z.core.$ZodIssue; path: PropertyKey[] }[] => {
  const path = [...base, ...issue.path];
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const nearest = [...issue.errors].sort((a, b) => a.length - b.length)[0] ?? [];
    if (nearest.length > 0) return nearest.flatMap((inner) => flatten(inner, path));
  }
  return [{ issue, path }];
};

const wording = (issue: z.core.$ZodIssue, name: string): string => {
  switch (issue.code) {
    case 'unrecognized_keys':
      return `There is no field ${issue.keys.map((key) => `"${key}"`).join(', ')} here; take it out or spell it as the schema does.`;
    case 'invalid_type':
      return issue.message.endsWith('received undefined')
        ? `"${name}" is missing.`
        : `"${name}" is of the wrong type: ${issue.expected} is wanted.`;
    case 'too_small':
    case 'too_big':
      return issue.origin === 'number'
        ? `"${name}" is too ${issue.code === 'too_small' ? 'small' : 'large'}.`
        : issue.message;
    case 'invalid_value':
      return `"${name}" is none of the values it may have.`;
    default:
      return issue.message;
  }
};

/** Turns what Zod found into plain sentences that name the field, with the range it may lie in. */
export const fieldErrors = (error: z.ZodError, schema: z.ZodType): FieldError[] => {
  const json = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as JsonSchema;
  return error.issues
    .flatMap((issue) => flatten(issue))
    .slice(0, 20)
    .map(({ issue, path }) => {
      const inner = issue.code === 'unrecognized_keys' && issue.keys[0] !== undefined ? [...path, issue.keys[0]] : path;
      const field = fieldName(inner);
      return {
        field,
        message: wording(issue, field || 'input'),
        range: issue.code === 'unrecognized_keys' ? '' : rangeOf(at(json, path)),
      };
    });
};
