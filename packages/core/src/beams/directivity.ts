import besselj1 from '@stdlib/math-base-special-besselj1';

/** 10 log10(0.5): where the intensity has fallen to half. */
export const halfPowerDb = 10 * Math.log10(0.5);

/** One-way amplitude pattern of a circular piston at x = k a sin θ. Source: Urick 1983, ch. 3. */
export const pistonPattern = (x: number): number => (Math.abs(x) < 1e-6 ? 1 - (x * x) / 8 : (2 * besselj1(x)) / x);

/** One-way amplitude pattern of a uniform line at x = (k L / 2) sin θ. Source: Urick 1983, ch. 3. */
export const linePattern = (x: number): number => (Math.abs(x) < 1e-6 ? 1 - (x * x) / 6 : Math.sin(x) / x);

export type Pattern = (x: number) => number;

/** First zero of each pattern: the edge of the main lobe. */
const firstNull = { piston: 3.831705970207512, line: Math.PI } as const;
/** The first side lobe's peak stands where the pattern's slope is zero again. */
const sidelobeAt = { piston: 5.135622301840683, line: 4.493409457909064 } as const;
export type Shape = keyof typeof firstNull;

export const patternOf = (shape: Shape): Pattern => (shape === 'piston' ? pistonPattern : linePattern);

const bisect = (shape: Shape, levelDb: number): number => {
  const pattern = patternOf(shape);
  const amplitude = 10 ** (levelDb / 20);
  let low = 0;
  let high: number = firstNull[shape];
  for (let i = 0; i < 200 && high - low > 1e-14; i++) {
    const middle = (low + high) / 2;
    if (pattern(middle) > amplitude) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
};

const known = new Map<string, number>();

/** The argument x inside the main lobe at which the pattern has fallen to a level in dB, by bisection. */
export const argumentAtLevel = (shape: Shape, levelDb: number): number => {
  const key = `${shape} ${levelDb}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const argument = bisect(shape, levelDb);
  // Sheets quote a handful of levels; a caller that tries thousands must not fill the memory with them.
  if (known.size < 200) known.set(key, argument);
  return argument;
};

/** Level of the first side lobe in dB, or null where the aperture is too small to have one. */
export const firstSidelobeDb = (shape: Shape, largestArgument: number): number | null =>
  largestArgument < sidelobeAt[shape] ? null : 20 * Math.log10(Math.abs(patternOf(shape)(sidelobeAt[shape])));

/** Composite Simpson rule; `panels` even. */
const integrate = (f: (x: number) => number, from: number, to: number, panels: number): number => {
  const h = (to - from) / panels;
  let sum = f(from) + f(to);
  for (let i = 1; i < panels; i++) sum += (i % 2 ? 4 : 2) * f(from + i * h);
  return (sum * h) / 3;
};

/** Over this the integral is its own closed form, which is exact for a piston: (k a)² / (1 - J1(2 k a) / (k a)). */
const closedFormFrom = 60;

/**
 * Directivity index in dB by integration of the intensity pattern over all directions.
 * `argument` is k a for a piston in a baffle (one half-space), k L / 2 for a line free in the water.
 * Source: Urick 1983, ch. 3; the closed form of a large piston, Kinsler and Frey 1982, ch. 8.
 */
export const directivityIndexDb = (shape: Shape, argument: number): number => {
  if (shape === 'piston' && argument > closedFormFrom)
    return 10 * Math.log10(argument ** 2 / (1 - besselj1(2 * argument) / argument));
  const pattern = patternOf(shape);
  const panels = 2 * Math.ceil(200 + 20 * argument);
  const overHalf =
    shape === 'piston'
      ? integrate((theta) => pattern(argument * Math.sin(theta)) ** 2 * Math.sin(theta), 0, Math.PI / 2, panels)
      : 2 * integrate((theta) => pattern(argument * Math.sin(theta)) ** 2 * Math.cos(theta), 0, Math.PI / 2, panels);
  return 10 * Math.log10(2 / overHalf);
};
