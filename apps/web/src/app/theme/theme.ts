/** Every colour and size of the interface, by theme. The one place they are named. */
interface Tokens {
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly faint: string;
  readonly hull: string;
  readonly hullDark: string;
  /** A boat in a drawing. */
  readonly boat: string;
  readonly hullLight: string;
  readonly rule: string;
  readonly water: string;
  readonly waterWash: string;
  readonly onWater: string;
  readonly antifoul: string;
  readonly onHull: string;
  /** Signs on the painted hull of the ladder. */
  readonly signStop: string;
  readonly signStale: string;
  readonly stop: string;
  readonly check: string;
  readonly note: string;
  readonly fresh: string;
  readonly caution: string;
  /** What a display's views are drawn in: land and lines of a chart, an echogram's ground, its weak and strong echoes. */
  readonly artLand: string;
  readonly artLine: string;
  readonly artDark: string;
  readonly artGrey: string;
  readonly artBright: string;
  readonly artWarm: string;
  readonly series: readonly string[];
  /** Which of the browser's own controls are drawn: a white box at night takes the eye's adaptation. */
  readonly colorScheme: 'light' | 'dark';
  readonly hairline: string;
  readonly text: string;
}

const shop: Tokens = {
  paper: '#EDF0EE',
  sheet: '#FAFBF8',
  ink: '#1D272D',
  faint: '#4F5B61',
  hull: '#4B5A63',
  hullDark: '#2C373E',
  boat: '#4B5A63',
  hullLight: '#A9B4B8',
  rule: '#CBD2D0',
  water: '#17727F',
  waterWash: '#D6E7E8',
  onWater: '#FFFFFF',
  antifoul: '#84503F',
  onHull: '#FFFFFF',
  signStop: '#FF9C8F',
  signStale: '#FFD694',
  stop: '#B3271B',
  check: '#8A5708',
  note: '#17727F',
  fresh: '#3E7448',
  caution: '#F7EADB',
  artLand: '#E6EAE2',
  artLine: '#9FB0AE',
  artDark: '#0C3338',
  artGrey: '#4F8F8C',
  artBright: '#F3EBCB',
  artWarm: '#DCC98A',
  series: ['#17727F', '#A4402D', '#4B5A63', '#A86A0B', '#3E7448', '#84503F'],
  colorScheme: 'light',
  hairline: '1px',
  text: '15px',
};

const sun: Tokens = {
  ...shop,
  paper: '#FFFFFF',
  sheet: '#FFFFFF',
  ink: '#000000',
  faint: '#2A2F32',
  hull: '#2F3B42',
  hullDark: '#10181C',
  rule: '#5B6669',
  water: '#0A4F59',
  waterWash: '#DDEEEF',
  antifoul: '#5F3326',
  stop: '#8C1309',
  check: '#5E3A00',
  note: '#0A4F59',
  fresh: '#1F4F29',
  caution: '#FFFFFF',
  series: ['#0A4F59', '#7D2413', '#2F3B42', '#6B4200', '#1F4F29', '#5F3326'],
  hairline: '2px',
  text: '17px',
};

const night: Tokens = {
  ...shop,
  paper: '#120A07',
  sheet: '#1A0F0A',
  ink: '#D9805A',
  faint: '#B8694A',
  hull: '#2B1811',
  hullDark: '#3A2016',
  boat: '#6B3D2B',
  hullLight: '#6B3D2B',
  rule: '#4A2A1E',
  water: '#C76B45',
  waterWash: '#2A160E',
  onWater: '#120A07',
  antifoul: '#1F0D08',
  onHull: '#D9805A',
  signStop: '#FF6A4D',
  signStale: '#E0904A',
  stop: '#FF6A4D',
  check: '#E0904A',
  note: '#C9744F',
  fresh: '#BF8A5A',
  caution: '#24130C',
  colorScheme: 'dark',
  artLand: '#2A160E',
  artLine: '#5A3524',
  artDark: '#120A07',
  artGrey: '#5A3524',
  artBright: '#D9805A',
  artWarm: '#A05A40',
  series: ['#C76B45', '#E0904A', '#A05A40', '#D39B66', '#8F6A45', '#B8694A'],
};

export const themes = { shop, sun, night } as const;
export type ThemeName = keyof typeof themes;
export const themeNames = Object.keys(themes) as ThemeName[];

const kebab = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

const variables = (tokens: Tokens): string =>
  Object.entries(tokens)
    .flatMap(([name, value]: [string, string | readonly string[]]) =>
      typeof value === 'string'
        ? [`--${kebab(name)}: ${value};`]
        : value.map((colour, i) => `--${kebab(name)}-${i}: ${colour};`),
    )
    .join(' ');

/** Writes the themes as CSS variables; `data-theme` on the root element chooses one. */
export const writeThemes = (target: Document): void => {
  const style = target.createElement('style');
  style.textContent = Object.entries(themes)
    .map(([name, tokens]) => `:root[data-theme='${name}'] { ${variables(tokens)} }`)
    .concat(`@media print { :root[data-theme] { ${variables(shop)} } }`)
    .join('\n');
  target.head.append(style);
};
