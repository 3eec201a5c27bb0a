import { definePreset } from '@primeuix/themes';
import base from '@primeuix/themes/aura/base';
import accordion from '@primeuix/themes/aura/accordion';
import button from '@primeuix/themes/aura/button';
import checkbox from '@primeuix/themes/aura/checkbox';
import datatable from '@primeuix/themes/aura/datatable';
import dialog from '@primeuix/themes/aura/dialog';
import inputtext from '@primeuix/themes/aura/inputtext';
import message from '@primeuix/themes/aura/message';
import virtualscroller from '@primeuix/themes/aura/virtualscroller';

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

/** Of the library's preset only what is used: whole, it is a fifth of the first view. */
const outlined = (colour: string) => ({
  background: 'transparent',
  hoverBackground: 'var(--water-wash)',
  activeBackground: 'var(--water-wash)',
  borderColor: colour,
  hoverBorderColor: colour,
  activeBorderColor: colour,
  color: colour,
  hoverColor: colour,
  activeColor: colour,
});
const filled = (colour: string) => ({
  ...outlined(colour),
  background: colour,
  hoverBackground: colour,
  activeBackground: colour,
  color: 'var(--sheet)',
  hoverColor: 'var(--sheet)',
  activeColor: 'var(--sheet)',
});
const framed = (colour: string) => ({
  background: 'var(--sheet)',
  borderColor: colour,
  color: 'var(--ink)',
  shadow: 'none',
});

const used = {
  ...base,
  components: { accordion, button, checkbox, datatable, dialog, inputtext, message, virtualscroller },
};

/** The component library in the same tokens: it reads the variables, so it follows whichever theme is chosen. */
export const preset = definePreset(used, {
  primitive: { borderRadius: { none: '0', xs: '2px', sm: '2px', md: '2px', lg: '2px', xl: '2px' } },
  semantic: {
    primary: Object.fromEntries(
      [50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950].map((step) => [step, 'var(--water)']),
    ),
    transitionDuration: '0.1s',
    focusRing: { width: '3px', style: 'solid', color: 'var(--water)', offset: '2px' },
    colorScheme: {
      light: {
        primary: {
          color: 'var(--water)',
          contrastColor: 'var(--on-water)',
          hoverColor: 'var(--water)',
          activeColor: 'var(--water)',
        },
        text: {
          color: 'var(--ink)',
          hoverColor: 'var(--ink)',
          mutedColor: 'var(--faint)',
          hoverMutedColor: 'var(--faint)',
        },
        content: {
          background: 'var(--sheet)',
          hoverBackground: 'var(--water-wash)',
          borderColor: 'var(--rule)',
          color: 'var(--ink)',
          hoverColor: 'var(--ink)',
        },
        formField: {
          background: 'var(--sheet)',
          borderColor: 'var(--hull-light)',
          hoverBorderColor: 'var(--water)',
          focusBorderColor: 'var(--water)',
          color: 'var(--ink)',
          placeholderColor: 'var(--faint)',
          shadow: 'none',
        },
        overlay: {
          modal: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
        },
      },
    },
  },
  components: {
    button: {
      // With the text a thumb's height.
      root: { paddingY: '0.72rem' },
      colorScheme: {
        light: { root: { secondary: outlined('var(--water)'), danger: filled('var(--stop)') } },
      },
    },
    message: {
      colorScheme: {
        light: { warn: framed('var(--check)'), error: framed('var(--stop)'), info: framed('var(--note)') },
      },
    },
    // The library takes the ring away from its text fields, and leaves a hair of another colour.
    inputtext: { root: { focusRing: { width: '3px', style: 'solid', color: 'var(--water)', offset: '1px' } } },
    checkbox: {
      root: {
        width: '22px',
        height: '22px',
        borderColor: 'var(--faint)',
        focusRing: { width: '3px', style: 'solid', color: 'var(--water)', offset: '1px' },
      },
    },
    // A fold within a sheet: no frame of its own, its words as small as what stands around it.
    accordion: {
      panel: { borderWidth: '0' },
      header: { background: 'transparent', color: 'var(--ink)', padding: '0.8rem 8px' },
      content: { background: 'transparent', padding: '0 8px 8px' },
    },
    datatable: {
      headerCell: { padding: '0.4rem 0.5rem', background: 'var(--sheet)', color: 'var(--faint)' },
      bodyCell: { padding: '0.35rem 0.5rem' },
      row: { background: 'var(--sheet)', color: 'var(--ink)', hoverBackground: 'var(--water-wash)' },
    },
  },
});
