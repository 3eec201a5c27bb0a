import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { root } from './install.mjs';

const require = createRequire(import.meta.url);
const folder = join(root, 'apps/web/fonts');

const characters = (...ranges) =>
  ranges
    .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)))
    .join('');
/** Latin-1, the punctuation of running text, arrows and the true minus. */
const usual = characters([0x20, 0x7e], [0xa0, 0xff], [0x2013, 0x2026], [0x2190, 0x2193], [0x2212, 0x2212]);
/** What names are written with elsewhere; fetched only where one is. */
const further = characters([0x100, 0x17f], [0x1e00, 0x1eff], [0x20a0, 0x20c0]);

const weights = { wght: { min: 400, max: 700, default: 400 } };
const fonts = [
  { family: 'archivo', axis: 'wdth', axes: { ...weights, wdth: { min: 100, max: 120, default: 100 } } },
  { family: 'spline-sans-mono', axis: 'wght', axes: weights },
];
const faces = fonts.flatMap(({ family, axis, axes }) =>
  [
    { set: 'latin', glyphs: usual },
    { set: 'latin-ext', glyphs: further },
  ].map(({ set, glyphs }) => ({
    to: `${family}-${set}.woff2`,
    from: `@fontsource-variable/${family}/files/${family}-${set}-${axis}-normal.woff2`,
    glyphs,
    axes,
  })),
);

/** Of the fonts' widths and weights only what the interface uses: whole, they are a fifth of the first view. */
mkdirSync(folder, { recursive: true });
for (const { to, from, glyphs, axes } of faces) {
  const path = join(folder, to);
  if (existsSync(path)) continue;
  const whole = readFileSync(require.resolve(from));
  writeFileSync(path, await subsetFont(whole, glyphs, { targetFormat: 'woff2', variationAxes: axes }));
}
