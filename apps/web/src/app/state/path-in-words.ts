import { formatFigure, type UnitChoice } from '@grey-keel/core/units';
import type { Path, Plan, Quantity } from '@grey-keel/model';

/** The unit a name of the plan ends with; a person sees units where the figure stands. */
const unitEnding = /(?:M|C|Deg|Db|Hz|Px|Ppt|Mps|W|Ph)$/;

const fieldInWords = (name: string): string =>
  name
    .replace(unitEnding, '')
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .trim();

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
    else if (typeof key === 'string' && (depth === 0 || /^[a-z][A-Za-z]*$/.test(key))) words.push(fieldInWords(key));
  }
  return words.join(', ');
};

/** What several changes touched, each thing once. */
export const pathsInWords = (plan: Plan, paths: readonly Path[], most = 3): string => {
  const things = [...new Set(paths.map((path) => pathInWords(plan, path)))];
  const left = things.length - most;
  return things.slice(0, most).join('; ') + (left > 0 ? ` and ${left} more` : '');
};

/** What the ending of a field's name says its number is. */
const quantityEndings: readonly (readonly [ending: RegExp, quantity: Quantity])[] = [
  [/^depthM$|DepthM$|shallowestM$|deepestM$|greatestM$/i, 'depth'],
  [/M$/, 'length'],
  [/Mps$/, 'speed'],
  [/C$/, 'temperature'],
  [/Deg$/, 'angle'],
  [/Hz$/, 'frequency'],
];

/** A value of the plan as a person reads it where two of them are to be told apart: numbers with their unit. */
export const valueInWords = (path: Path, value: unknown, units: UnitChoice): string => {
  if (value === undefined) return 'deleted';
  if (value === null || value === '') return 'nothing';
  const field = String(path[path.length - 1] ?? '');
  if (typeof value === 'number') {
    const quantity = quantityEndings.find(([ending]) => ending.test(field))?.[1];
    return quantity ? formatFigure({ value, quantity }, units, { decimals: 2 }) : String(value);
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  const name = property(value, 'name');
  return typeof name === 'string' && name !== '' ? `${name}, as it is` : 'its own version';
};
