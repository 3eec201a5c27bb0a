import { formatFigure, type UnitChoice } from '@grey-keel/core/units';
import { planSchema, schemaAt, wordsOf, type FieldWords, type Path, type Plan } from '@grey-keel/model';

const nameInWords = (name: string): string => name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).trim();

const wordsAt = (path: Path): FieldWords | null => {
  const schema = schemaAt(planSchema, path);
  return schema && wordsOf(schema);
};

/** Within a sentence a field's name begins small. */
const fieldInWords = (path: Path, name: string): string => {
  const label = wordsAt(path)?.label;
  return label === undefined ? nameInWords(name) : label.charAt(0).toLowerCase() + label.slice(1);
};

const property = (value: unknown, key: string | number): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string | number, unknown>)[key] : undefined;

/** What a part of the plan is called: things by the name they bear, fields by what they hold. */
export const pathInWords = (plan: Plan, path: Path): string => {
  const words: string[] = [];
  let value: unknown = plan;
  for (const [depth, key] of path.entries()) {
    value = property(value, key);
    const name = property(value, 'name');
    if (typeof name === 'string' && name !== '') words.push(name);
    else if (typeof key === 'string' && (depth === 0 || /^[a-z][A-Za-z]*$/.test(key)))
      words.push(fieldInWords(path.slice(0, depth + 1), key));
  }
  return words.join(', ');
};

/** What several changes touched, each thing once. */
export const pathsInWords = (plan: Plan, paths: readonly Path[], most = 3): string => {
  const things = [...new Set(paths.map((path) => pathInWords(plan, path)))];
  const left = things.length - most;
  return things.slice(0, most).join('; ') + (left > 0 ? ` and ${left} more` : '');
};

/** A value of the plan as a person reads it where two of them are to be told apart: numbers with their unit. */
export const valueInWords = (path: Path, value: unknown, units: UnitChoice): string => {
  if (value === undefined) return 'deleted';
  if (value === null || value === '') return 'nothing';
  if (typeof value === 'number') {
    const { quantity, decimals = 2 } = wordsAt(path) ?? {};
    return quantity ? formatFigure({ value, quantity }, units, { decimals }) : String(value);
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  const name = property(value, 'name');
  return typeof name === 'string' && name !== '' ? `${name}, as it is` : 'its own version';
};
