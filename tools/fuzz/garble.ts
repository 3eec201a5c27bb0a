type Random = () => number;
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

/** Texts that have broken programs before. */
export const oddTexts: readonly string[] = [
  '',
  ' ',
  'constructor',
  '__proto__',
  'toString',
  'length',
  '../../etc/passwd',
  '%',
  '%00',
  '%E0%A4%A',
  '\u0000',
  '\ud800',
  '\u202eabc',
  '\u{1f6a4}'.repeat(40),
  'x'.repeat(20_000),
  "'; DROP TABLE boats; --",
  '=1+1',
  'NaN',
  '-0',
  '1e999',
];

const nested = (depth: number): Json => {
  let value: Json = 1;
  for (let i = 0; i < depth; i++) value = i % 2 ? [value] : { a: value };
  return value;
};

const oddValue = (random: Random): Json =>
  pick<() => Json>(random, [
    () => null,
    () => true,
    () => -1,
    () => 1e308,
    () => -0,
    () => 0.1 + random(),
    () => Number.MAX_SAFE_INTEGER,
    () => pick(random, oddTexts),
    () => [],
    () => ({}),
    () => nested(60),
    () => Array.from({ length: 3000 }, () => 0),
    () => Object.fromEntries(Array.from({ length: 500 }, (_, i) => [`id-${i}`, {}])),
  ])();

/** Every holder in a piece of JSON. */
const holders = (value: Json): (Json[] | Record<string, Json>)[] =>
  typeof value !== 'object' || value === null ? [] : [value, ...Object.values(value).flatMap(holders)];

/** JSON with one to three places of it changed, taken out, renamed or doubled. */
export const garbled = (value: Json, random: Random): Json => {
  const copy = JSON.parse(JSON.stringify(value)) as Json;
  for (let times = 1 + Math.floor(3 * random()); times > 0; times--) {
    const holder = pick(random, holders(copy));
    if (!holder) return oddValue(random);
    const key = pick(random, Object.keys(holder));
    if (Array.isArray(holder)) {
      if (random() < 0.3) holder.push(oddValue(random));
      else if (holder.length) holder[Math.floor(random() * holder.length)] = oddValue(random);
      continue;
    }
    const turn = random();
    if (key === undefined || turn < 0.15) holder[pick(random, oddTexts)] = oddValue(random);
    else if (turn < 0.35) delete holder[key];
    else if (turn < 0.5)
      Object.defineProperty(holder, pick(random, oddTexts), {
        value: holder[key],
        enumerable: true,
        configurable: true,
        writable: true,
      });
    else holder[key] = oddValue(random);
  }
  return copy;
};

/** The text of some JSON, now and then cut, spoilt or not JSON at all. */
export const garbledText = (value: Json, random: Random): string => {
  const text = JSON.stringify(garbled(value, random));
  const turn = random();
  if (turn < 0.05) return text.slice(0, Math.floor(random() * text.length));
  if (turn < 0.08) return `${'['.repeat(100_000)}${']'.repeat(100_000)}`;
  if (turn < 0.1) return text.replace(/"/g, "'");
  if (turn < 0.12) return `{"__proto__":{"admin":true},${text.slice(1)}`;
  return text;
};
