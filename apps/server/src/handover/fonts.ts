import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);
const archivo = join(dirname(require.resolve('@fontsource/archivo/package.json')), 'files');
const dejavu = join(dirname(require.resolve('dejavu-fonts-ttf/package.json')), 'ttf');

const face = (normal: string, bold: string) => ({ normal, bold, italics: normal, bolditalics: bold });

/** The fonts of printed matter: text, figures, and a wide one for whatever the first does not have. */
export const fonts = {
  Archivo: face(join(archivo, 'archivo-latin-400-normal.woff'), join(archivo, 'archivo-latin-700-normal.woff')),
  Figures: face(join(dejavu, 'DejaVuSansMono.ttf'), join(dejavu, 'DejaVuSansMono-Bold.ttf')),
  Wide: face(join(dejavu, 'DejaVuSans.ttf'), join(dejavu, 'DejaVuSans-Bold.ttf')),
};

/** What the Latin subset of the text font holds: Latin-1, its punctuation and the true minus. */
const inArchivo = /^[\u0020-\u007e\u00a0-\u00ff\u2013\u2014\u2018\u2019\u201c\u201d\u2022\u2026\u2212]*$/;

/** The font in which a text has all its glyphs. */
export const fontFor = (text: string): 'Archivo' | 'Wide' => (inArchivo.test(text) ? 'Archivo' : 'Wide');
