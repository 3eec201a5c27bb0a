import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { root } from './install.mjs';

const require = createRequire(import.meta.url);
const folder = join(root, 'apps/web/fonts');

/** Latin-1, the punctuation of running text, arrows and the signs of figures. */
const ranges = [
  [0x20, 0x7e],
  [0xa0, 0xff],
  [0x2013, 0x2026],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
];
const glyphs = ranges
  .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)))
  .join('');
const weights = { wght: { min: 400, max: 700, default: 400 } };
const faces = [
  {
    to: 'archivo.woff2',
    from: '@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2',
    axes: { ...weights, wdth: { min: 100, max: 120, default: 100 } },
  },
  {
    to: 'spline-sans-mono.woff2',
    from: '@fontsource-variable/spline-sans-mono/files/spline-sans-mono-latin-wght-normal.woff2',
    axes: weights,
  },
];

/** Of the fonts' widths and weights only what the interface uses: whole, they are a fifth of the first view. */
mkdirSync(folder, { recursive: true });
for (const { to, from, axes } of faces) {
  const path = join(folder, to);
  if (existsSync(path)) continue;
  const whole = readFileSync(require.resolve(from));
  writeFileSync(path, await subsetFont(whole, glyphs, { targetFormat: 'woff2', variationAxes: axes }));
}
